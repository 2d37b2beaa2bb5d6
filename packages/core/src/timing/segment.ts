import { beatsToSeconds, type Beats, type BeatsPerMinute, type Seconds } from '../units';

/** What the length of a sung or spoken segment depends on. */
export interface PatternTiming {
  /** Explanation before it. */
  readonly talk: Seconds;
  /** Whether the leader sings it once first. */
  readonly demonstrate: boolean;
  readonly countIn: Beats;
  /** At least 1. */
  readonly keys: number;
  /** How often it is sung in each key, at least 1. */
  readonly verses: number;
  readonly patternBeats: Beats;
  /** After each repetition. */
  readonly breathBeats: Beats;
  /** Between keys, for the chord that leads to the next. */
  readonly keyChangeBeats: Beats;
  readonly tempo: BeatsPerMinute;
}

/** When the segment's first note sounds, counted from its start. */
function firstNoteAt(timing: PatternTiming): Seconds {
  const demonstration = timing.demonstrate ? timing.patternBeats : 0;
  return timing.talk + beatsToSeconds(demonstration + timing.countIn, timing.tempo);
}

/** The length of a sung or spoken segment: talk, demonstration, count-in and repetitions (docs/model.md, section 6). */
export function patternSeconds(timing: PatternTiming): Seconds {
  const repetitions = timing.keys * timing.verses;
  const beats =
    repetitions * timing.patternBeats +
    (repetitions - 1) * timing.breathBeats +
    (timing.keys - 1) * timing.keyChangeBeats;
  return firstNoteAt(timing) + beatsToSeconds(beats, timing.tempo);
}

/** When each key begins, counted from the segment's start, and how long it is sung. */
export function keyTimes(timing: PatternTiming): { at: Seconds; seconds: Seconds }[] {
  const first = firstNoteAt(timing);
  const perVerse = timing.patternBeats + timing.breathBeats;
  const sung = timing.verses * perVerse - timing.breathBeats;
  return Array.from({ length: timing.keys }, (_, key) => ({
    at:
      first +
      beatsToSeconds(key * (timing.verses * perVerse + timing.keyChangeBeats), timing.tempo),
    seconds: beatsToSeconds(sung, timing.tempo),
  }));
}

/** The counts of one breath: in, held, out, at rest. */
export interface BreathCounts {
  readonly in: Beats;
  readonly hold: Beats;
  readonly out: Beats;
  readonly rest: Beats;
}

/** Counted breathing: the first round's counts and what each round adds to them. */
export interface BreathTiming extends BreathCounts {
  /** At least 1. */
  readonly rounds: number;
  readonly increment: BreathCounts;
  readonly tempo: BeatsPerMinute;
}

/** The counts of every round in turn. */
export function breathRounds(timing: BreathTiming): BreathCounts[] {
  const { increment } = timing;
  return Array.from({ length: timing.rounds }, (_, round) => ({
    in: timing.in + round * increment.in,
    hold: timing.hold + round * increment.hold,
    out: timing.out + round * increment.out,
    rest: timing.rest + round * increment.rest,
  }));
}

/** The length of counted breathing, without talk (docs/model.md, section 6). */
export function breathSeconds(timing: BreathTiming): Seconds {
  const beats = breathRounds(timing).reduce(
    (sum, round) => sum + round.in + round.hold + round.out + round.rest,
    0,
  );
  return beatsToSeconds(beats, timing.tempo);
}

/** The length of movements: so many, each so long. */
export const bodySeconds = (count: number, each: Seconds): Seconds => count * each;
