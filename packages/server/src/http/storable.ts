/** Deeper than this nothing that is sent is nested. */
const deepest = 64;

/** What a database of texts cannot hold: the zero character, and halves of characters. */
const isStorable = (text: string): boolean => !text.includes('\u0000') && text.isWellFormed();

/** What cannot be kept in a value: where it stands, by the names on the way to it. */
export type Unstorable =
  { readonly why: 'signs'; readonly at: readonly string[] } | { readonly why: 'depth' };

/**
 * Looks for what cannot be kept, in names as well as in values; undefined where all can. Goes without
 * recursion, so that depth alone never breaks it.
 */
export function findUnstorable(value: unknown): Unstorable | undefined {
  const open: Place[] = [{ value, name: '', above: undefined, depth: 0 }];
  for (let place = open.pop(); place; place = open.pop()) {
    const { value: one, depth } = place;
    if (typeof one === 'string') {
      if (!isStorable(one)) return { why: 'signs', at: namesTo(place) };
    } else if (typeof one === 'object' && one !== null && !Buffer.isBuffer(one)) {
      if (depth >= deepest) return { why: 'depth' };
      for (const name of Object.keys(one)) {
        // A name that cannot be kept is not repeated.
        if (!isStorable(name)) return { why: 'signs', at: namesTo(place) };
        const inner = (one as Record<string, unknown>)[name];
        open.push({ value: inner, name, above: place, depth: depth + 1 });
      }
    }
  }
  return undefined;
}

/** A value on the way through another, and where it stands. */
interface Place {
  readonly value: unknown;
  readonly name: string;
  readonly above: Place | undefined;
  readonly depth: number;
}

function namesTo(place: Place): string[] {
  const names: string[] = [];
  for (let at: Place | undefined = place; at?.above; at = at.above) names.unshift(at.name);
  return names;
}
