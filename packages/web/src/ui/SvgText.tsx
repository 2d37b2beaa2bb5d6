import type { SVGProps } from 'react';
import { color, type ColorName } from './color';

/**
 * Text in a drawing. Its font is set as style: the page's reset gives every element its parent's
 * font, and that beats attributes.
 */
export function SvgText({
  size = 12,
  weight = 400,
  isName = false,
  ink = 'inkSoft',
  hue,
  ...text
}: {
  readonly size?: number;
  readonly weight?: number;
  /** Set in the face of names. */
  readonly isName?: boolean;
  readonly ink?: ColorName;
  /** A part's hue, in place of an ink. */
  readonly hue?: string;
} & Omit<SVGProps<SVGTextElement>, 'fill' | 'fontSize' | 'fontWeight'>) {
  return (
    <text
      {...text}
      fill={hue ?? color(ink)}
      style={{
        fontSize: size,
        fontWeight: isName ? 480 : weight,
        ...(isName
          ? { fontFamily: 'var(--chakra-fonts-heading)', fontVariationSettings: "'SOFT' 40" }
          : {}),
      }}
    />
  );
}
