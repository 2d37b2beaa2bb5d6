import type { Phase } from '../exercise/vocabulary';
import { phases } from '../exercise/vocabulary';
import type { Seconds } from '../units';

/** An exercise as it was led once. */
export interface LedTime {
  /** The column it belongs to. */
  readonly column: string;
  readonly phase: Phase;
  /** What was sung or done, without talk. */
  readonly singing: Seconds;
}

/** The time led on one phase, column by column. */
export interface PhaseTime {
  readonly phase: Phase;
  readonly seconds: readonly Seconds[];
}

/** What was led on each phase in each column. */
export function timeByPhase(columns: readonly string[], led: readonly LedTime[]): PhaseTime[] {
  const places = new Map(columns.map((column, i) => [column, i]));
  const rows = new Map(phases.map((phase) => [phase, columns.map(() => 0)]));
  for (const { column, phase, singing } of led) {
    const place = places.get(column);
    if (place !== undefined) rows.get(phase)![place]! += singing;
  }
  return phases.map((phase) => ({ phase, seconds: rows.get(phase)! }));
}

/** A phase that has had nothing for so many columns in a row, up to the last one. */
export interface Neglected {
  readonly phase: Phase;
  /** Columns from the first that had nothing to the last, those without an evening among them. */
  readonly from: number;
  readonly to: number;
  /** How many of them had something led. */
  readonly led: number;
}

/** Fewer evenings without are no neglect: not everything is led every time. */
const leastLed = 3;

/**
 * What has been neglected longest: a phase that was led once in this time, and then not in three columns
 * or more that had something led.
 * @param isLed for each column whether anything was led in it
 */
export function neglected(
  times: readonly PhaseTime[],
  isLed: readonly boolean[],
): Neglected | undefined {
  const last = isLed.lastIndexOf(true);
  const found = times.flatMap(({ phase, seconds }): Neglected[] => {
    const lastLed = seconds.findLastIndex((one) => one > 0);
    if (lastLed < 0 || lastLed >= last) return [];
    const from = isLed.indexOf(true, lastLed + 1);
    const led = isLed.slice(from, last + 1).filter(Boolean).length;
    return led >= leastLed ? [{ phase, from, to: last, led }] : [];
  });
  return found.reduce<Neglected | undefined>(
    (most, one) => (most === undefined || one.led > most.led ? one : most),
    undefined,
  );
}
