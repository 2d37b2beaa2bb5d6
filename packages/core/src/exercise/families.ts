/** A line of a list in which families are folded: one of them, or how many more ways it has. */
export type Folded<T> =
  | { readonly kind: 'one'; readonly item: T; readonly within?: true }
  | {
      readonly kind: 'ways';
      /** What it is opened by. */
      readonly key: string;
      readonly family: string;
      /** How many more there are beside the one above. */
      readonly more: number;
      readonly open: boolean;
    };

/** What a family of a group is opened and folded by. */
export const familyKey = (group: string, family: string): string => `${group} ${family}`;

/** Fewer ways than this stand in the list one by one. */
const fewestFolded = 3;

/**
 * A list with its families folded behind the first of each, in the order of the list.
 * @param group what the list is of; the same family opens in each group for itself
 * @param unfolded the keys of the families that are open
 */
export function folded<T>(
  items: readonly T[],
  familyOf: (item: T) => string | undefined,
  group: string,
  unfolded: ReadonlySet<string>,
): Folded<T>[] {
  const families = new Map<string, T[]>();
  for (const item of items) {
    const family = familyOf(item);
    if (family !== undefined) families.set(family, [...(families.get(family) ?? []), item]);
  }
  const told = new Set<string>();
  return items.flatMap((item): Folded<T>[] => {
    const family = familyOf(item);
    const ways = family === undefined ? [] : (families.get(family) ?? []);
    if (family === undefined || ways.length < fewestFolded) return [{ kind: 'one', item }];
    if (told.has(family)) return [];
    told.add(family);
    const key = familyKey(group, family);
    const open = unfolded.has(key);
    const others = ways
      .slice(1)
      .map((one): Folded<T> => ({ kind: 'one', item: one, within: true }));
    return [
      { kind: 'one', item },
      { kind: 'ways', key, family, more: others.length, open },
      ...(open ? others : []),
    ];
  });
}
