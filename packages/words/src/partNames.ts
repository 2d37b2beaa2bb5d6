import { mixedChoir, type PartName } from '@wide-fern/core';

/** The name of a part in a sentence; one that is not known is called by its letters. */
export function partName(id: string): PartName {
  return mixedChoir.find((part) => part.id === id) ?? { one: `part ${id}`, many: `the part ${id}` };
}

/** Whoever has no part yet. */
export const undecidedName: PartName = { one: 'singer', many: 'singers' };
