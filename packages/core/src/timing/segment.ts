import { beatsToSeconds, type Beats, type BeatsPerMinute, type Seconds } from '../units';

/** When the leader sings it first, the singers silent. */
export const demonstrations = ['no', 'once', 'each key'] as const;
export type Demonstration = (typeof demonstrations)[number];

/** A shake-out or a look at the posture every so many repetitions; no segment of its own. */
export interface Reset {
  readonly seconds: Seconds;
  /** At least 1. */
  readonly every: number;
}

/** What the length of a sung or spoken segment depends on; what is left out is nothing. */
export interface PatternTiming {
  /** Explanation before it. */
  readonly talk?: Seconds | undefined;
  /** What is said between two keys. */
  readonly coach?: Seconds | undefined;
  /** What is said at the end. */
  readonly after?: Seconds | undefined;
  readonly reset?: Reset | undefined;
  /** In which nobody sings after single keys, by the key's place; not after the last. */
  readonly pauses?: Readonly<Record<string, Seconds>> | undefined;
  readonly demonstrate?: Demonstration | undefined;
  readonly countIn?: Beats | undefined;
  /** Whether every repetition is counted in, or only the first. */
  readonly countInEach?: boolean | undefined;
  /** At least 1. */
  readonly keys: number;
  /** How often it is sung in each key, at least 1. */
  readonly verses: number;
  readonly patternBeats: Beats;
  /** After each repetition. */
  readonly breathBeats?: Beats | undefined;
  /** Between keys, for the chord that leads to the next. */
  readonly keyChangeBeats?: Beats | undefined;
  readonly tempo: BeatsPerMinute;
  /** Beats a minute by which each repetition is quicker than the one before; the breath after it goes with it. */
  readonly tempoStep?: number | undefined;
}

/** One repetition in its time: from the segment's start to its last note. */
export interface RepetitionTime {
  readonly key: number;
  readonly verse: number;
  readonly at: Seconds;
  readonly seconds: Seconds;
  /** The tempo it is sung at. */
  readonly tempo: BeatsPerMinute;
}

/**
 * Every repetition of a sung or spoken segment in its time, and how long the whole takes (docs/model.md, section 6).
 * @throws RangeError where the tempo step slows it to a standstill.
 */
function segmentTimes(timing: PatternTiming): {
  readonly repetitions: readonly RepetitionTime[];
  readonly seconds: Seconds;
} {
  const { talk = 0, coach = 0, after = 0, reset, demonstrate = 'no' } = timing;
  const { countIn = 0, countInEach, breathBeats = 0, keyChangeBeats = 0, pauses = {} } = timing;
  const { keys, verses, patternBeats, tempo, tempoStep = 0 } = timing;
  const repetitions: RepetitionTime[] = [];
  const count = keys * verses;
  let at: Seconds = talk;
  for (let i = 0; i < count; i += 1) {
    const now = tempo + i * tempoStep;
    if (now <= 0) throw new RangeError(`Repetition ${i + 1} would have no tempo left.`);
    const key = Math.floor(i / verses);
    const verse = i % verses;
    const pass = (beats: Beats): void => {
      at += beatsToSeconds(beats, now);
    };
    const opensKey = verse === 0;
    if (demonstrate === 'once' ? i === 0 : demonstrate === 'each key' && opensKey) {
      pass(patternBeats);
    }
    if (countInEach || i === 0) pass(countIn);
    repetitions.push({ key, verse, at, seconds: beatsToSeconds(patternBeats, now), tempo: now });
    pass(patternBeats);
    if (i === count - 1) break;
    pass(breathBeats);
    if (verse === verses - 1) {
      pass(keyChangeBeats);
      at += coach + (pauses[String(key)] ?? 0);
    }
    if (reset && (i + 1) % reset.every === 0) at += reset.seconds;
  }
  return { repetitions, seconds: at + after };
}

/** Every repetition of a sung or spoken segment in its time, from the segment's start. */
export const repetitionTimes = (timing: PatternTiming): readonly RepetitionTime[] =>
  segmentTimes(timing).repetitions;

/** How often each thing happens in a sung or spoken segment. */
export interface PatternCounts {
  readonly repetitions: number;
  readonly demonstrations: number;
  readonly countIns: number;
  readonly breaths: number;
  readonly keyChanges: number;
  readonly resets: number;
}

/** How often everything happens that the length of a segment is the sum of. */
export function patternCounts(timing: PatternTiming): PatternCounts {
  const { keys, verses, demonstrate = 'no', countIn = 0, countInEach, reset } = timing;
  const repetitions = keys * verses;
  return {
    repetitions,
    demonstrations: { no: 0, once: 1, 'each key': keys }[demonstrate],
    countIns: countIn === 0 ? 0 : countInEach ? repetitions : 1,
    breaths: repetitions - 1,
    keyChanges: keys - 1,
    resets: reset ? Math.floor((repetitions - 1) / reset.every) : 0,
  };
}

/** Single pauses together, as far as there are keys after them. */
export const pausesSeconds = ({ pauses = {}, keys }: PatternTiming): Seconds =>
  Object.entries(pauses).reduce(
    (sum, [place, seconds]) => (Number(place) < keys - 1 ? sum + seconds : sum),
    0,
  );

/** The beats of a sung or spoken segment, what is only said left out. */
export function patternBeats(timing: PatternTiming): Beats {
  const { countIn = 0, breathBeats = 0, keyChangeBeats = 0 } = timing;
  const counts = patternCounts(timing);
  return (
    (counts.repetitions + counts.demonstrations) * timing.patternBeats +
    counts.countIns * countIn +
    counts.breaths * breathBeats +
    counts.keyChanges * keyChangeBeats
  );
}

/** The length of a sung or spoken segment, from the talk before it to what is said at its end (docs/model.md, section 6). */
export const patternSeconds = (timing: PatternTiming): Seconds => segmentTimes(timing).seconds;

/** When each key begins, counted from the segment's start, and how long it is sung. */
export function keyTimes(timing: PatternTiming): { at: Seconds; seconds: Seconds }[] {
  const { repetitions } = segmentTimes(timing);
  return Array.from({ length: timing.keys }, (_, key) => {
    const first = repetitions[key * timing.verses]!;
    const last = repetitions[(key + 1) * timing.verses - 1]!;
    return { at: first.at, seconds: last.at + last.seconds - first.at };
  });
}

/** The counts of one breath: in, held, out, at rest. */
export interface BreathCounts {
  readonly in: Beats;
  readonly hold: Beats;
  readonly out: Beats;
  readonly rest: Beats;
}

/** Something for some of the four counts. */
export type PerCount<T> = { readonly [Count in keyof BreathCounts]?: T | undefined };

/** Counted breathing: the first round's counts, and what each round adds to them or takes from them. */
export interface BreathTiming extends BreathCounts {
  /** At least 1. */
  readonly rounds: number;
  /** Of either sign. */
  readonly increment: BreathCounts;
  /** What no count falls below; 0 where nothing is said. */
  readonly least?: PerCount<Beats> | undefined;
  readonly tempo: BeatsPerMinute;
}

/** The counts of every round in turn: the first ones and what was added, never below the least (docs/model.md, section 3). */
export function breathRounds(timing: BreathTiming): BreathCounts[] {
  const { increment, least = {} } = timing;
  return Array.from({ length: timing.rounds }, (_, round) => {
    const count = (of: keyof BreathCounts): Beats =>
      Math.max(least[of] ?? 0, timing[of] + round * increment[of]);
    return { in: count('in'), hold: count('hold'), out: count('out'), rest: count('rest') };
  });
}

/** The length of counted breathing, without talk (docs/model.md, section 6). */
export function breathSeconds(timing: BreathTiming): Seconds {
  const beats = breathRounds(timing).reduce(
    (sum, round) => sum + round.in + round.hold + round.out + round.rest,
    0,
  );
  return beatsToSeconds(beats, timing.tempo);
}

/** A movement of a body exercise: on one side or on both, so often, and how long each takes and is held. */
export interface Movement {
  readonly text: string;
  readonly sides: 1 | 2;
  readonly times: number;
  readonly seconds: Seconds;
  readonly held: Seconds;
}

/** The length of one movement (docs/model.md, section 3). */
export const movementSeconds = ({ sides, times, seconds, held }: Omit<Movement, 'text'>): Seconds =>
  sides * times * (seconds + held);

/** The length of movements one after the other. */
export const bodySeconds = (moves: readonly Omit<Movement, 'text'>[]): Seconds =>
  moves.reduce((sum, move) => sum + movementSeconds(move), 0);
