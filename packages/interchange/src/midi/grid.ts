import type { MetreMark } from '@wide-fern/core';
import type { MidiEvent } from 'midi-file';
import { refuse } from '../common/found';

const units = [1, 2, 4, 8, 16] as const;
const mostBars = 20_000;

/** An event with its time from the beginning. */
export interface Timed {
  readonly tick: number;
  readonly event: MidiEvent;
}

/** Where bars begin and what their metres are. */
export interface Grid {
  readonly starts: readonly number[];
  readonly metres: readonly MetreMark[];
}

/** Where bars begin, in ticks: each as long as the time signature before it says. */
export function gridOf(all: readonly Timed[], ticks: number, end: number): Grid {
  const signs = all
    .flatMap(({ tick, event }) => (event.type === 'timeSignature' ? [{ tick, ...event }] : []))
    .sort((a, b) => a.tick - b.tick);
  const starts: number[] = [];
  const metres: MetreMark[] = [];
  let at = 0;
  let next = 0;
  let length = 4 * ticks;
  while (at < end || starts.length === 0) {
    while (next < signs.length && signs[next]!.tick <= at) {
      const { numerator, denominator } = signs[next]!;
      const unit = units.find((one) => one === denominator);
      if (unit && numerator >= 1 && numerator <= 32) {
        length = (numerator * 4 * ticks) / unit;
        const last = metres[metres.length - 1]?.metre;
        if (last?.beats !== numerator || last.unit !== unit) {
          metres.push({ bar: starts.length, metre: { beats: numerator, unit } });
        }
      }
      next += 1;
    }
    starts.push(at);
    if (starts.length > mostBars)
      refuse(`This file has more than ${mostBars} bars. It is not read.`);
    // A signature in the middle of a bar begins a new one.
    const sign = signs[next]?.tick ?? Infinity;
    at = Math.min(at + length, sign > at ? sign : Infinity);
  }
  return { starts, metres };
}

/** The bar a tick lies in. */
export function barAt(starts: readonly number[], tick: number): number {
  let low = 0;
  let high = starts.length - 1;
  while (low < high) {
    const middle = (low + high + 1) >> 1;
    if (starts[middle]! <= tick) low = middle;
    else high = middle - 1;
  }
  return low;
}
