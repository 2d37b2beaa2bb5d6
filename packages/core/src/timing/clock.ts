import type { Seconds } from '../units';

/** Where one segment lies, counted from the warm-up's start. */
export interface Placed {
  readonly from: Seconds;
  readonly to: Seconds;
  /** The length to print: the difference of the rounded running clock, so that a row adds up. */
  readonly shown: Seconds;
}

/** Places segments one after another (docs/model.md, section 6). */
export function placeSegments(lengths: readonly Seconds[]): Placed[] {
  let clock = 0;
  return lengths.map((length) => {
    const from = clock;
    clock += length;
    return { from, to: clock, shown: Math.round(clock) - Math.round(from) };
  });
}

/** An item of an evening as it is planned. */
export interface AgendaLength {
  readonly id: string;
  readonly minutes: number;
}

/** An item of an evening placed on its clock, in seconds from the evening's start. */
export interface AgendaPlaced {
  readonly id: string;
  readonly from: Seconds;
  readonly to: Seconds;
}

/** Places an evening's items one after another and says what does not fit before its end. */
export function placeAgenda(
  items: readonly AgendaLength[],
  available: Seconds,
): { items: AgendaPlaced[]; over: Seconds } {
  let clock = 0;
  const placed = items.map(({ id, minutes }) => {
    const from = clock;
    clock += minutes * 60;
    return { id, from, to: clock };
  });
  return { items: placed, over: Math.max(0, clock - available) };
}
