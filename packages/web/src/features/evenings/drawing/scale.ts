import type { ClockKind, StoreEvening } from '@wide-fern/contract';
import { clockDrawn } from '@wide-fern/words';
import { agendaMinutes, clockAfter, eveningMinutes } from '../model/typed';

/** The evening's clock on the page: where each minute lies, in px. */
export interface EveningScale {
  readonly left: number;
  readonly right: number;
  readonly pxPerMinute: number;
  /** From the evening's start, in minutes. */
  readonly x: (minutes: number) => number;
  /** How long the evening is, and how long what is in it. */
  readonly length: number;
  readonly used: number;
}

/** The clock of an evening over a width: as long as the evening, or as what is in it when that is too much. */
export function eveningScale(
  evening: Pick<StoreEvening, 'start' | 'end' | 'agenda'>,
  width: number,
  gutter: number,
): EveningScale {
  const length = eveningMinutes(evening);
  const used = agendaMinutes(evening.agenda);
  const left = gutter;
  const right = Math.max(left + 1, width - 24);
  const pxPerMinute = (right - left) / Math.max(1, length, used);
  return { left, right, pxPerMinute, x: (minutes) => left + minutes * pxPerMinute, length, used };
}

/** Where items begin, in minutes from the start. */
export const beginnings = (agenda: StoreEvening['agenda']): number[] =>
  agenda.map((_, i) => agendaMinutes(agenda.slice(0, i)));

/** The clock's figures: every five minutes to every hour, as close as they can be read, and the end. */
export function clockTicks(
  { start, end }: Pick<StoreEvening, 'start' | 'end'>,
  { length, pxPerMinute, x }: EveningScale,
  kind: ClockKind,
): { readonly x: number; readonly words: string; readonly isEnd: boolean }[] {
  const step = [5, 10, 15, 30, 60, 120].find((one) => one * pxPerMinute >= 52) ?? 240;
  const count = Math.floor((length - 1) / step);
  const ticks = Array.from({ length: count + 1 }, (_, i) => i * step).filter(
    (minutes) => minutes === 0 || (length - minutes) * pxPerMinute >= 40,
  );
  return [
    ...ticks.map((minutes) => ({
      x: x(minutes),
      words: clockDrawn(clockAfter(start, minutes), kind),
      isEnd: false,
    })),
    { x: x(length), words: clockDrawn(end, kind), isEnd: true },
  ];
}
