/** The readings that are averaged: one period of a usual vibrato, 5.5 Hz, at a hundred frames a second. */
const period = 18;
/** So far from the average, in semitones, and twice in a row: another note has begun. */
const anotherNote = 0.7;

/** The pitch as it has settled, in semitones, and what it rests on. */
export interface Settled {
  readonly pitch: number | null;
  /** The latest readings of the present note, oldest first. */
  readonly readings: readonly number[];
  /** Readings that may be another note's beginning. */
  readonly strays: readonly number[];
}

export const silent: Settled = { pitch: null, readings: [], strays: [] };

const mean = (values: readonly number[]): number =>
  values.reduce((sum, value) => sum + value, 0) / values.length;

/**
 * Takes one more reading: the pitch is the mean over a period of vibrato, so that the note is heard
 * and not its swinging. A single stray reading changes nothing; two begin another note.
 */
export function settle(before: Settled, reading: number | null): Settled {
  if (reading === null) return silent;
  const { pitch, readings, strays } = before;
  if (pitch === null || Math.abs(reading - pitch) < anotherNote) {
    const kept = [...readings, reading].slice(-period);
    return { pitch: mean(kept), readings: kept, strays: [] };
  }
  const last = strays[strays.length - 1];
  if (last !== undefined && Math.abs(reading - last) < anotherNote) {
    const begun = [last, reading];
    return { pitch: mean(begun), readings: begun, strays: [] };
  }
  return { pitch, readings, strays: [reading] };
}
