import type { Evening } from '@wide-fern/contract';
import { itemTime } from './itemTime';

const minute = 60_000;
/** So long before a planned cool-down it is called to mind. */
const ahead = 2 * minute;
/** Of an evening that was sung for so long a cool-down is due, in minutes. */
const longSung = 60;
/** What is not planned is called to mind so long before the end. */
const unplanned = 6 * minute;

/** A cool-down of an evening that is called to mind, and from when until when, in milliseconds. */
export interface CoolDown {
  /** The item it is planned as; null where none is planned, and one is due. */
  readonly item: string | null;
  readonly from: number;
  readonly start: number;
  readonly until: number;
}

/** What there is to call to mind at an evening's end: what is planned, or that singers who sang long should cool down. */
export function coolDownOf(
  evening: Pick<Evening, 'agenda' | 'startsAt' | 'endsAt'>,
): CoolDown | undefined {
  const item = evening.agenda.findLast(({ kind }) => kind === 'cool-down');
  const end = Date.parse(evening.endsAt);
  if (item) {
    const { start, allotted } = itemTime(evening, item.id);
    return {
      item: item.id,
      from: start - ahead,
      start,
      until: Math.max(end, start + 1000 * allotted),
    };
  }
  const sung = evening.agenda
    .filter(({ kind }) => kind === 'piece')
    .reduce((sum, { minutes }) => sum + minutes, 0);
  if (sung < longSung) return undefined;
  return { item: null, from: end - unplanned, start: end, until: end };
}
