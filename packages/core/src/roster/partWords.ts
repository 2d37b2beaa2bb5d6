import type { PartName } from '../voices';

type NamedPart = PartName & { readonly id: string };

/** «Sopran I» and «soprano 1» as «s1»-like keys: lower case, no spaces, Roman numbers as figures. */
function plain(text: string): string {
  const bare = text
    .trim()
    .toLowerCase()
    .replace(/[\s._-]+/g, ' ');
  return bare
    .replace(/ ?\b(i{1,3})$/, (_, roman: string) => String(roman.length))
    .replace(/ /g, '');
}

/** What voices are called in lists, by the letter of their part. */
const stems = [
  [/^(sopran|dessus|treble)/, 's'],
  [/^(alt|contralto|mezzo)/, 'a'],
  [/^(ten)/, 't'],
  [/^(bas|bar)/, 'b'],
] as const;

/** «first soprano» and «soprano 1» are «s1». */
function byStem(text: string): string {
  const ordinal = /^(first|1st|1\.?)/.test(text) ? '1' : /^(second|2nd|2\.?)/.test(text) ? '2' : '';
  const rest = text.replace(/^(first|1st|second|2nd|[12]\.?)/, '');
  const letter = stems.find(([stem]) => stem.test(rest))?.[1];
  if (!letter) return text;
  const number = /(\d)$/.exec(rest)?.[1] ?? ordinal;
  return letter + number;
}

/** The part a text names, by its letters, its name or a usual word for it; undefined when none or several. */
export function partInText<P extends NamedPart>(text: string, parts: readonly P[]): P | undefined {
  const wanted = plain(text);
  if (wanted === '') return undefined;
  const exact = parts.find(({ id, one, many }) => [id, one, many].map(plain).includes(wanted));
  if (exact) return exact;
  const key = byStem(wanted);
  const found = parts.filter((part) => byStem(plain(part.one)) === key || plain(part.id) === key);
  return found.length === 1 ? found[0] : undefined;
}
