import type { Segment } from '@wide-fern/contract';
import {
  beatsOf,
  beatsToSeconds,
  breathMoment,
  hasKeys,
  keyMoment,
  movementSeconds,
  timingOf,
  type BreathChange,
  type Pass,
  type RunState,
  type Seconds,
} from '@wide-fern/core';
import { capitalise, counted } from '../counting';
import { passInWords } from '../passes';
import { waysIn } from './ways';

/** What comes one after the other in a key, or in a text or breath done several times. */
export interface Turns {
  /** «Shown first», «With a small knock»; none where every time is alike. */
  readonly rows: readonly string[];
  /** «six times in this key», where the rows do not say so. */
  readonly times: string;
  /** Asked when the last one is over; empty where nothing is. */
  readonly ask: string;
  /** The row that goes on so many seconds after it was begun; -1 before the first, their number once all are over. */
  readonly at: (seconds: Seconds) => number;
}

/** Whether the leader sings it before a key. */
const isShownIn = ({ choices: { demonstrate } }: Segment, key: number): boolean =>
  demonstrate === 'each key' || (demonstrate === 'once' && key === 0);

/** Each way in its cue alone where every one has a cue of its own, else in all that is other in it. */
const waysInWords = (ways: readonly Pass[]): string[] => {
  const cues = new Set(ways.map(({ cue }) => cue));
  const isToldByCue = cues.size === ways.length && !cues.has(undefined);
  return ways.map((way) => capitalise(isToldByCue ? way.cue! : passInWords(way)));
};

/** What is asked after a key: behind the last of the ways, once for all of them. */
function askedAfter({ exercise: { passes } }: Segment, key: number, keys: number): string {
  if (!passes?.ask) return '';
  const isLast =
    passes.over === 'verses' || (key + 1) % passes.each.length === 0 || key === keys - 1;
  return isLast ? passes.ask : '';
}

/** Rows and which of them goes on, of something sung or spoken. */
function inTime(segment: Segment, key: number): Pick<Turns, 'rows' | 'times' | 'at'> {
  const { exercise, choices } = segment;
  const timing = timingOf(exercise, choices);
  const ways = waysInWords(waysIn(segment, key));
  const isShown = isShownIn(segment, key);
  const answered = isShown && ways.length === 0 ? ['Then all'] : ways;
  const rows = isShown ? ['Shown first', ...answered] : ways;
  const before = isShown ? 1 : 0;
  // A text that is spoken says itself which time it is.
  const isSaid = timing.verses > Math.max(1, ways.length) && exercise.music.kind !== 'spoken';
  return {
    rows,
    times: isSaid ? `${counted(timing.verses, 'time', 'times')} in this key` : '',
    at: (seconds) => {
      if (seconds < 0) return -1;
      const moment = keyMoment(timing, key, seconds);
      if (moment === 'over') return rows.length;
      const verse = moment.repetition - key * timing.verses;
      if (moment.of === 'text') return before + (verse % Math.max(1, answered.length));
      if (moment.of === 'listen') return 0;
      // Between two times the next one is near; before the first nothing goes on yet.
      return verse === 0 ? -1 : before + (verse % Math.max(1, answered.length));
    },
  };
}

/** Rows of counted breath, a way for each round. */
function inRounds(
  { exercise: { music, passes }, choices: { repetitions, tempo } }: Segment,
  longer: readonly BreathChange[],
): Pick<Turns, 'rows' | 'times' | 'at'> {
  const rows = (passes?.each ?? [])
    .slice(0, repetitions)
    .map((pass) => capitalise(passInWords(pass)));
  return {
    rows: rows.length > 1 ? rows : [],
    times: '',
    at: (seconds) => {
      if (seconds < 0 || music.kind !== 'breath') return -1;
      const moment = breathMoment({ ...music, rounds: repetitions, tempo }, seconds, longer);
      return moment ? moment.round % Math.max(1, rows.length) : rows.length;
    },
  };
}

/** How long one movement or one round on the own note goes on, with nothing in it that changes. */
function asOne(
  { exercise: { music }, choices }: Segment,
  place: number,
): Pick<Turns, 'rows' | 'times' | 'at'> {
  const move = music.kind === 'body' ? music.moves[place % music.moves.length] : undefined;
  const length = move
    ? movementSeconds(move) * choices.repetitions
    : beatsToSeconds(beatsOf(music), choices.tempo);
  return { rows: [], times: '', at: (seconds) => (seconds < length ? -1 : 0) };
}

/**
 * What comes one after the other while a key, a text or counted breath goes on; undefined where it is one
 * thing and nothing is asked after it.
 */
export function turnsIn(
  segment: Segment,
  { key, longer }: Pick<RunState, 'key' | 'longer'>,
): Turns | undefined {
  const { exercise, choices } = segment;
  const { music } = exercise;
  const place = key ?? 0;
  if (music.kind === 'breath')
    return orNothing(inRounds(segment, longer), askedAfter(segment, 0, 1));
  if (hasKeys(music) || music.kind === 'spoken') {
    const { keys } = timingOf(exercise, choices);
    return orNothing(inTime(segment, place), askedAfter(segment, place, keys));
  }
  const places = music.kind === 'body' ? music.moves.length : choices.repetitions;
  return orNothing(asOne(segment, place), askedAfter(segment, place, places));
}

const orNothing = (turns: Omit<Turns, 'ask'>, ask: string): Turns | undefined =>
  turns.rows.length === 0 && !turns.times && !ask ? undefined : { ...turns, ask };
