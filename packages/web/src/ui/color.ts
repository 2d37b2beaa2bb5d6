/** The names of our colours, for drawings. */
export type ColorName =
  | 'paper'
  | 'sheet'
  | 'sunk'
  | 'ink'
  | 'inkSoft'
  | 'line'
  | 'fern'
  | 'spore'
  | 'sporeText'
  | 'brick'
  | 'partS'
  | 'partA'
  | 'partT'
  | 'partB';

/** A colour as CSS writes it, following light and dark. */
export const color = (name: ColorName): string => `var(--chakra-colors-${toKebab(name)})`;

/** Chakra keeps camel case escaped in its variables; ours are written in kebab case. */
const toKebab = (name: string): string =>
  name.replace(/[A-Z]/g, (letter) => `-${letter.toLowerCase()}`);

const hues = { S: 'partS', A: 'partA', T: 'partT', B: 'partB' } as const;

/** The hue of a part: S1 and S2 share one. Parts with other letters take one by their place. */
export function hueOf(part: string, place = 0): string {
  const letter = part.charAt(0).toUpperCase();
  const all = Object.values(hues);
  const hue = letter in hues ? hues[letter as keyof typeof hues] : all[place % all.length]!;
  return color(hue);
}
