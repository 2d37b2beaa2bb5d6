import { color } from '../../ui/color';
import { pathsOf } from './signPaths';
import type { Sign } from './signs';

/** Draws signs in a part's hue. */
export function SignShapes({
  signs,
  hue,
  scale,
}: {
  readonly signs: readonly Sign[];
  readonly hue: string;
  /** Below 1 where keys stand closer than a sign is wide. */
  readonly scale: number;
}) {
  const named = { hue, sheet: color('sheet'), brick: color('brick') };
  return pathsOf(signs, scale).map(({ name, fill, stroke, ...path }) => (
    <path
      key={name}
      fill={fill ? named[fill] : 'none'}
      stroke={stroke && named[stroke]}
      {...path}
    />
  ));
}
