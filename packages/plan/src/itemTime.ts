import type { AgendaItem, Evening } from '@wide-fern/contract';
import type { Seconds } from '@wide-fern/core';

/** When an agenda item begins, as a moment in milliseconds, and the time set aside for it. */
export interface ItemTime {
  readonly start: number;
  readonly allotted: Seconds;
}

/** An item's place on the evening's clock; one that is not there begins with it and has no time. */
export function itemTime(
  { agenda, startsAt }: Pick<Evening, 'agenda' | 'startsAt'>,
  item: string,
): ItemTime {
  const place = agenda.findIndex(({ id }) => id === item);
  const minutes = (items: readonly AgendaItem[]) =>
    items.reduce((sum, one) => sum + one.minutes, 0);
  const before = agenda.slice(0, Math.max(0, place));
  return {
    start: Date.parse(startsAt) + minutes(before) * 60_000,
    allotted: minutes(agenda.slice(place, place + 1)) * 60,
  };
}
