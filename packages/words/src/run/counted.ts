import type { Segment } from '@wide-fern/contract';
import {
  beatMoment,
  breathMoment,
  moveMoment,
  timingOf,
  type BeatMoment,
  type BreathChange,
  type BreathCounts,
  type MoveMoment,
  type Movement,
  type Music,
  type RunState,
  type Seconds,
} from '@wide-fern/core';
import { counted } from '../counting';

/** What leads itself, as it is shown at one moment. */
export interface CountedMoment {
  /** How full the shape is, from 0 to 1. */
  readonly level: number;
  /** The count that is said now; a dash before it, a dot when it is over. */
  readonly count: string;
  readonly word: string;
  readonly round: string;
}

const countWords = { in: 'in', hold: 'hold', out: 'out', rest: 'rest' } as const;

/** «in», «out on s» */
export const breathCountWords = (
  of: keyof BreathCounts,
  { outOn }: Pick<Extract<Music, { kind: 'breath' }>, 'outOn'>,
): string => (of === 'out' && outOn ? `out on ${outOn}` : countWords[of]);

/** «the next rounds go out two counts longer»; nothing where nothing was changed. */
export function longerInWords(longer: readonly BreathChange[]): string {
  const counts = longer.reduce((sum, one) => sum + one.counts, 0);
  if (counts === 0) return '';
  const many = counted(Math.abs(counts), 'count', 'counts');
  return `the next rounds go out ${many} ${counts > 0 ? 'longer' : 'shorter'}`;
}

/** «one side, 2 of 3», «3 of 4»; nothing for what is done once. */
export function moveInWords(
  { side, time, round }: Pick<MoveMoment, 'side' | 'time' | 'round'>,
  { sides, times }: Pick<Movement, 'sides' | 'times'>,
  rounds: number,
): string {
  const said = [
    ...(sides === 2 ? [side === 0 ? 'one side' : 'the other side'] : []),
    ...(times > 1 ? [`${time} of ${times}`] : []),
    ...(rounds > 1 ? [`round ${round + 1} of ${rounds}`] : []),
  ];
  return said.join(', ');
}

/** Counted breath so many seconds after its first breath in; below 0 before it. */
export function breathAt(
  { exercise: { music }, choices: { repetitions, tempo } }: Segment,
  longer: readonly BreathChange[],
  seconds: Seconds,
): CountedMoment {
  const moment =
    music.kind === 'breath'
      ? breathMoment({ ...music, rounds: repetitions, tempo }, seconds, longer)
      : undefined;
  const said = longerInWords(longer);
  if (moment && music.kind === 'breath') {
    const { level, count, of, round } = moment;
    const place = `${round + 1} of ${repetitions}`;
    return {
      level,
      count: String(count),
      word: breathCountWords(of, music),
      round: said && round + 1 < repetitions ? `${place}; ${said}` : place,
    };
  }
  return seconds < 0
    ? { level: 0, count: '–', word: 'ready', round: `${repetitions} in all` }
    : { level: 0, count: '·', word: 'that was the last one', round: `${repetitions} in all` };
}

/** A movement of an exercise so many seconds after it began; below 0 while it is explained. */
export function moveAt(
  { exercise: { music }, choices: { repetitions } }: Segment,
  place: number,
  seconds: Seconds,
): CountedMoment {
  const move = music.kind === 'body' ? music.moves[place % music.moves.length] : undefined;
  const moment = move && moveMoment(move, seconds, repetitions);
  if (moment && move) {
    const { level, left, of } = moment;
    const word = of === 'hold' ? 'hold' : 'move';
    return { level, count: String(left), word, round: moveInWords(moment, move, repetitions) };
  }
  return seconds < 0
    ? { level: 0, count: '–', word: 'ready', round: '' }
    : { level: 0, count: '·', word: 'that is done', round: '' };
}

const beatWords = {
  'count-in': 'count in',
  listen: 'listen',
  text: 'speak',
  breath: 'breathe',
} as const satisfies Record<BeatMoment['of'], string>;

/** What is spoken to a beat so many seconds after it began; below 0 while it is explained. */
export function spokenAt({ exercise, choices }: Segment, seconds: Seconds): CountedMoment {
  const { music } = exercise;
  const moment =
    music.kind === 'spoken' ? beatMoment(timingOf(exercise, choices), seconds) : undefined;
  if (moment && music.kind === 'spoken') {
    const bar = music.metre?.beats ?? music.beats;
    const before = moment.of === 'text' ? (music.metre?.pickUp ?? 0) : 0;
    // A pick-up is the end of the bar before.
    const beat = (((moment.beat - before) % bar) + bar) % bar;
    return {
      level: 1 - moment.into,
      count: String(Math.floor(beat) + 1),
      word: beatWords[moment.of],
      round: `${moment.repetition + 1} of ${choices.repetitions}`,
    };
  }
  return seconds < 0
    ? { level: 0, count: '–', word: 'ready', round: `${choices.repetitions} in all` }
    : {
        level: 0,
        count: '·',
        word: 'that was the last one',
        round: `${choices.repetitions} in all`,
      };
}

/** What leads itself, whatever it is, so many seconds after it began; undefined for what is sung. */
export function countedAt(
  segment: Segment,
  { key, longer }: Pick<RunState, 'key' | 'longer'>,
): ((seconds: Seconds) => CountedMoment) | undefined {
  const { kind } = segment.exercise.music;
  if (kind === 'breath') return (seconds) => breathAt(segment, longer, seconds);
  if (kind === 'body' && key !== null) return (seconds) => moveAt(segment, key, seconds);
  if (kind === 'spoken' && key !== null) return (seconds) => spokenAt(segment, seconds);
  return undefined;
}
