/** A value with the names of its parts in order, at every depth: the database keeps no order. */
export function inOrder(value: unknown): unknown {
  if (Array.isArray(value)) return value.map(inOrder);
  if (typeof value !== 'object' || value === null) return value;
  const parts = Object.entries(value).filter(([, part]) => part !== undefined);
  return parts.sort(([x], [y]) => (x < y ? -1 : 1)).map(([name, part]) => [name, inOrder(part)]);
}

/** Whether two values say the same, whatever the order of their parts' names. */
export const sameValue = (one: unknown, other: unknown): boolean =>
  one === other || JSON.stringify(inOrder(one)) === JSON.stringify(inOrder(other));
