/** Deeper than this nothing that is sent is nested. */
const deepest = 64;

/** What a database of texts cannot hold: the zero character, and halves of characters. */
const isStorable = (text: string): boolean =>
  !text.includes('\u0000') && !/\p{Surrogate}/u.test(text);

/** What cannot be kept in a value: where it stands, by the names on the way to it. */
export type Unstorable =
  { readonly why: 'signs'; readonly at: readonly string[] } | { readonly why: 'depth' };

/**
 * Looks for what cannot be kept, in names as well as in values; undefined where all can. Goes without
 * recursion, so that depth alone never breaks it.
 */
export function findUnstorable(value: unknown): Unstorable | undefined {
  const open: { value: unknown; at: readonly string[] }[] = [{ value, at: [] }];
  for (let next = open.pop(); next; next = open.pop()) {
    const { value: one, at } = next;
    if (typeof one === 'string') {
      if (!isStorable(one)) return { why: 'signs', at };
    } else if (typeof one === 'object' && one !== null && !Buffer.isBuffer(one)) {
      if (at.length >= deepest) return { why: 'depth' };
      for (const [name, inner] of Object.entries(one)) {
        // A name that cannot be kept is not repeated.
        if (!isStorable(name)) return { why: 'signs', at };
        open.push({ value: inner, at: [...at, name] });
      }
    }
  }
  return undefined;
}
