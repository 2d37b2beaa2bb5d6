import type { MidiNote, PitchRange } from '../units';
import type { SingerRange } from './comfort';
import { checkLimits } from './rangeCheck';

/** One singer who dropped out at a note: the first that was not easy any more. */
export interface Dropped {
  readonly singer: string;
  readonly way: 'up' | 'down';
  readonly note: MidiNote;
}

/** A whole section checked together: all sing up from a note, then down; who drops out is ticked off. */
export interface SectionCheck {
  readonly singers: readonly string[];
  readonly start: MidiNote;
  readonly way: 'up' | 'down' | 'done';
  readonly note: MidiNote;
  readonly out: readonly Dropped[];
  /** The last note that was sung on each way that is over; null before. */
  readonly reached: { readonly up: MidiNote | null; readonly down: MidiNote | null };
}

export const beginSectionCheck = (singers: readonly string[], start: MidiNote): SectionCheck => ({
  singers,
  start,
  way: 'up',
  note: start,
  out: [],
  reached: { up: null, down: null },
});

const isOut = (check: SectionCheck, singer: string): boolean =>
  check.out.some((one) => one.singer === singer && one.way === check.way);

/** Who still sings on the present way. */
export const stillSinging = (check: SectionCheck): readonly string[] =>
  check.way === 'done' ? [] : check.singers.filter((singer) => !isOut(check, singer));

/** Ends the present way; whoever still sings has reached the present note. */
export function turnAround(check: SectionCheck): SectionCheck {
  const { way, start, note, reached } = check;
  if (way === 'up') {
    return { ...check, way: 'down', note: start - 1, reached: { ...reached, up: note } };
  }
  if (way === 'down') return { ...check, way: 'done', reached: { ...reached, down: note } };
  return check;
}

/** Goes on to the next note, or, when nobody sings any more or there is none, to the next way. */
export function nextNote(check: SectionCheck): SectionCheck {
  if (check.way === 'done') return check;
  const next = check.note + (check.way === 'up' ? 1 : -1);
  const isOver =
    stillSinging(check).length === 0 || next < checkLimits.lowest || next > checkLimits.highest;
  return isOver ? turnAround(check) : { ...check, note: next };
}

/** Ticks a singer off at the present note, or takes the tick back. */
export function tick(check: SectionCheck, singer: string): SectionCheck {
  const { way, note } = check;
  if (way === 'done') return check;
  const out = isOut(check, singer)
    ? check.out.filter((one) => one.singer !== singer || one.way !== way)
    : [...check.out, { singer, way, note }];
  return { ...check, out };
}

/**
 * The comfort that a finished section check found for a singer: to the note before the one at which
 * they dropped out, each way, or to the last that was sung. Undefined for whoever found no note easy.
 */
export function foundForSinger(check: SectionCheck, singer: string): PitchRange | undefined {
  const droppedAt = (way: 'up' | 'down') =>
    check.out.find((one) => one.singer === singer && one.way === way)?.note;
  const up = droppedAt('up');
  const down = droppedAt('down');
  const high = up === undefined ? check.reached.up : up - 1;
  const low = down === undefined ? check.reached.down : down + 1;
  return high !== null && low !== null && low <= high ? [low, high] : undefined;
}

/** A singer's limits after a section check: the comfort as found, the reach never narrower than it was. */
export const withReachKept = (
  comfort: PitchRange,
  before: SingerRange | undefined,
): SingerRange => ({
  comfort,
  reach: [
    Math.min(comfort[0], before?.reach[0] ?? comfort[0]),
    Math.max(comfort[1], before?.reach[1] ?? comfort[1]),
  ],
});
