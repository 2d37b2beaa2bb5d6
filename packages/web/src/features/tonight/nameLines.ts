/** How a name is set in a width: the size, and one or two lines; no lines when it does not fit. */
export interface SetName {
  readonly size: number;
  readonly lines: readonly string[];
}

/** About how wide a letter of the face of names is, as a share of its size. */
const letterWidth = 0.6;
const margin = 10;
const fits = (text: string, size: number, width: number): boolean =>
  text.length * size * letterWidth + margin < width;

/** The name on one line, as large as fits; else on two, parted where they are most alike in length. */
export function nameLines(name: string, width: number): SetName {
  for (const size of [15, 13]) if (fits(name, size, width)) return { size, lines: [name] };
  const words = name.split(' ');
  const halves = words
    .slice(1)
    .map((_, i) => [words.slice(0, i + 1).join(' '), words.slice(i + 1).join(' ')])
    .sort((a, b) => longest(a) - longest(b));
  const size = 12;
  const lines = halves.find((half) => half.every((line) => fits(line, size, width))) ?? [];
  return { size, lines };
}

const longest = (lines: readonly string[]): number =>
  Math.max(...lines.map(({ length }) => length));
