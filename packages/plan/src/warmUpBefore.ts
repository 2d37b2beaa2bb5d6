import type { AgendaItem } from '@wide-fern/contract';

/** The warm-up of an evening that goes before a piece, and whether it is straight before it. */
export interface WarmUpBefore {
  readonly item: AgendaItem;
  readonly isStraight: boolean;
}

/**
 * The last warm-up before the first time a piece is on; the evening's first warm-up where the piece
 * is not on, or nothing goes before it. Undefined without any warm-up.
 */
export function warmUpBefore(
  agenda: readonly AgendaItem[],
  piece: string,
): WarmUpBefore | undefined {
  const at = agenda.findIndex((one) => one.piece === piece);
  const before = agenda.slice(0, Math.max(0, at)).findLast(({ kind }) => kind === 'warm-up');
  const item = before ?? agenda.find(({ kind }) => kind === 'warm-up');
  return item && { item, isStraight: agenda.indexOf(item) === at - 1 };
}
