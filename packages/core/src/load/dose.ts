import type { Dynamic } from '../exercise/vocabulary';
import { frequency as hertzOf } from '../pitch';
import type { Hertz, MidiNote, Seconds } from '../units';

/** A stretch of sounding voice: held, or sliding from one note to another. */
export interface Phonation {
  readonly from: MidiNote;
  readonly to: MidiNote;
  readonly seconds: Seconds;
  readonly dynamic: Dynamic;
}

/** What singing adds up to, for comparing segments; never a limit for a person. */
export interface Dose {
  readonly seconds: Seconds;
  /** Thousands of openings and closings of the vocal folds. */
  readonly cycles: number;
  /** An estimate of the way the folds' edges travel, in metres. */
  readonly metres: number;
}

/** Sound pressure at 50 cm by printed loudness, in dB; rough. */
const pressureLevel: Readonly<Record<Dynamic, number>> = {
  pp: 60,
  p: 66,
  mp: 70,
  mf: 74,
  f: 80,
  ff: 86,
};

/** The folds of men and women: their length in mm, and the frequency their threshold is told from. */
const folds = {
  lower: { length: 16, nominal: 120 },
  higher: { length: 10, nominal: 190 },
} as const;

/** The pressure from which folds begin to swing at a frequency, in kPa. */
const threshold = (frequency: Hertz, nominal: Hertz): number =>
  0.14 + 0.06 * (frequency / nominal) ** 2;

/** How far a fold's edge swings, in mm. */
function amplitude(frequency: Hertz, dynamic: Dynamic, isLower: boolean): number {
  const { length, nominal } = folds[isLower ? 'lower' : 'higher'];
  const least = threshold(frequency, nominal);
  const above = 10 ** ((pressureLevel[dynamic] - 78.5) / 27.3);
  return 0.05 * length * Math.sqrt(above / least);
}

/** Openings of the folds in one stretch: of a slide, its frequency summed over the time. */
function cyclesOf({ from, to, seconds }: Phonation): number {
  const begin = hertzOf(from);
  const bend = (Math.LN2 * (to - from)) / 12;
  return bend === 0 ? begin * seconds : (begin * seconds * (Math.exp(bend) - 1)) / bend;
}

/**
 * The dose of singing (docs/model.md, section 8; Titze, Švec and Popolo, «Vocal dose measures», JSLHR 46,
 * 2003): time, cycles and distance.
 * @param isLower whether a tenor or bass sings it
 */
export function doseOf(notes: readonly Phonation[], isLower: boolean): Dose {
  let seconds: Seconds = 0;
  let cycles = 0;
  let metres = 0;
  for (const note of notes) {
    if (note.seconds <= 0) continue;
    const swings = cyclesOf(note);
    // A slide's swing is that of its mean frequency.
    const swing = amplitude(swings / note.seconds, note.dynamic, isLower);
    seconds += note.seconds;
    cycles += swings / 1000;
    metres += (4 * swing * swings) / 1000;
  }
  return { seconds, cycles, metres };
}
