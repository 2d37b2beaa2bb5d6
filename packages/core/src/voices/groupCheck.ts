import type { MidiNote, PitchRange, Semitones } from '../units';
import type { SingerRange } from './comfort';
import { checkLimits, checkAfter, noteChange } from './rangeCheck';

/** One singer who dropped out at a note, as given: the first that was not easy any more. */
export interface Dropped {
  readonly singer: string;
  readonly way: 'up' | 'down';
  readonly note: MidiNote;
  /** The last given note before it on this way, which was easy; null when there was none. */
  readonly sung: MidiNote | null;
}

/**
 * A section or a whole room checked together: all sing up from a note that is given, then down; who
 * drops out is ticked off. Whoever is in `below` sings an octave below what is given.
 */
export interface GroupCheck {
  readonly singers: readonly string[];
  readonly below: readonly string[];
  /** What is expected to be easy for everybody, as given: well inside it by larger steps. */
  readonly expected: PitchRange | null;
  readonly start: MidiNote;
  readonly way: 'up' | 'down' | 'done';
  readonly note: MidiNote;
  /** The note given before on this way; null at its first. */
  readonly before: MidiNote | null;
  readonly out: readonly Dropped[];
  /** The last note that was sung on each way that is over; null before. */
  readonly reached: { readonly up: MidiNote | null; readonly down: MidiNote | null };
  /** Where voices changed their register, as given, for each singer of whom it was noted. */
  readonly changes: Readonly<Record<string, readonly MidiNote[]>>;
}

/** The larger steps of a check of many: a tone, so that whoever drops out loses one note at most. */
const largerStep: Semitones = 2;
const octave: Semitones = 12;

export const beginGroupCheck = (
  singers: readonly string[],
  start: MidiNote,
  { below = [], expected = null }: Partial<Pick<GroupCheck, 'below' | 'expected'>> = {},
): GroupCheck => ({
  ...{ singers, below, expected, start, way: 'up', note: start, before: null },
  ...{ out: [], reached: { up: null, down: null }, changes: {} },
});

const isOut = (check: GroupCheck, singer: string): boolean =>
  check.out.some((one) => one.singer === singer && one.way === check.way);

/** Who still sings on the present way. */
export const stillSinging = (check: GroupCheck): readonly string[] =>
  check.way === 'done' ? [] : check.singers.filter((singer) => !isOut(check, singer));

/** Larger steps are for as long as it is easy for everybody. */
const after = (check: GroupCheck, way: 'up' | 'down', note: MidiNote): MidiNote =>
  checkAfter(
    note,
    way,
    check.out.some((one) => one.way === way) ? null : check.expected,
    largerStep,
  );

/** Ends the present way; whoever still sings has reached the present note. */
export function turnAround(check: GroupCheck): GroupCheck {
  const { way, start, note, reached } = check;
  if (way === 'up') {
    const next = after(check, 'down', start);
    return { ...check, way: 'down', note: next, before: null, reached: { ...reached, up: note } };
  }
  if (way === 'down') return { ...check, way: 'done', reached: { ...reached, down: note } };
  return check;
}

/** Goes on to the next note, or, when nobody sings any more or there is none, to the next way. */
export function nextNote(check: GroupCheck): GroupCheck {
  const { way, note, below } = check;
  if (way === 'done') return check;
  const next = after(check, way, note);
  const lowest = checkLimits.lowest + (below.length > 0 ? octave : 0);
  const isOver = stillSinging(check).length === 0 || next < lowest || next > checkLimits.highest;
  return isOver ? turnAround(check) : { ...check, note: next, before: note };
}

/** Ticks a singer off at the present note, or takes the tick back. */
export function tick(check: GroupCheck, singer: string): GroupCheck {
  const { way, note, before } = check;
  if (way === 'done') return check;
  const out = isOut(check, singer)
    ? check.out.filter((one) => one.singer !== singer || one.way !== way)
    : [...check.out, { singer, way, note, sung: before }];
  return { ...check, out };
}

/** Notes in passing that a singer's voice changes its register at the present note, or takes it back. */
export function noteChangeOf(check: GroupCheck, singer: string): GroupCheck {
  if (check.way === 'done') return check;
  const changes = noteChange(check.changes[singer] ?? [], check.note);
  return { ...check, changes: { ...check.changes, [singer]: changes } };
}

/** How far below the given note a singer sings. */
const lowered = ({ below }: GroupCheck, singer: string): Semitones =>
  below.includes(singer) ? octave : 0;

/** Where a singer's voice was noted to change its register, as it sounds. */
export const changesOf = (check: GroupCheck, singer: string): readonly MidiNote[] =>
  (check.changes[singer] ?? []).map((note) => note - lowered(check, singer));

/**
 * The comfort that a finished check of many found for a singer, as it sounds: to the last note
 * before the one at which they dropped out, each way, or to the last that was sung. Undefined for
 * whoever found no note easy.
 */
export function foundForSinger(check: GroupCheck, singer: string): PitchRange | undefined {
  const dropped = (way: 'up' | 'down') =>
    check.out.find((one) => one.singer === singer && one.way === way);
  const up = dropped('up');
  const down = dropped('down');
  // Who dropped out at the start may still find what lies below it easy.
  const high = up ? (up.sung ?? check.start - 1) : check.reached.up;
  const low = down ? (down.sung ?? check.start) : check.reached.down;
  if (high === null || low === null || low > high) return undefined;
  const by = lowered(check, singer);
  return [low - by, high - by];
}

/**
 * A singer's limits after a finished check of many, as they sound. At an end at which they never
 * dropped out the check went no further than it went: what was known to be easy beyond stays so.
 * The reach is never narrower than it was. Undefined for whoever found no note easy.
 */
export function limitsAfter(
  check: GroupCheck,
  singer: string,
  before: SingerRange | undefined,
): SingerRange | undefined {
  const found = foundForSinger(check, singer);
  if (!found) return undefined;
  const isEnd = (way: 'up' | 'down') =>
    check.out.some((one) => one.singer === singer && one.way === way);
  const known = before?.comfort ?? found;
  const comfort: PitchRange = [
    isEnd('down') ? found[0] : Math.min(found[0], known[0]),
    isEnd('up') ? found[1] : Math.max(found[1], known[1]),
  ];
  const reach = before?.reach ?? comfort;
  return { comfort, reach: [Math.min(comfort[0], reach[0]), Math.max(comfort[1], reach[1])] };
}
