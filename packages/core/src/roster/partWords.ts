import { ordinalOf, partWordsOf, voiceGroup, voiceKind, type PartName } from '../voices';

type NamedPart = PartName & { readonly id: string };

/** «Sopran II», «2nd soprano» and «S2» are all s2; a mezzo is s2 and a baritone b1 where there are two. */
function keyOf(text: string): string {
  const words = partWordsOf(text);
  const kinds = words.flatMap((word) => voiceKind(word) ?? []);
  if (kinds.length !== 1 || words.some((word) => voiceGroup(word))) return words.join(' ');
  const number = words.map(ordinalOf).find((one) => one !== undefined) ?? '';
  return kinds[0]! + number;
}

/** What a choir without that voice has instead. */
const near: Readonly<Record<string, readonly string[]>> = {
  Mez: ['S2', 'A1', 'A'],
  Bar: ['B1', 'B'],
};

/** The part a text names, by its letters, its name or a usual word for it in many languages; undefined when none or several. */
export function partInText<P extends NamedPart>(text: string, parts: readonly P[]): P | undefined {
  const wanted = partWordsOf(text).join(' ');
  if (wanted === '') return undefined;
  const exact = parts.find(({ id, one, many }) =>
    [id, one, many].some((name) => partWordsOf(name).join(' ') === wanted),
  );
  if (exact) return exact;
  const withKey = (key: string) =>
    parts.filter((part) => keyOf(part.one) === key || keyOf(part.id) === key);
  const key = keyOf(text);
  const found = [[key], Object.hasOwn(near, key) ? near[key]! : []].flat().map(withKey);
  return found.find((some) => some.length === 1)?.[0];
}
