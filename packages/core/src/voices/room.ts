import type { MidiNote, PitchRange, Semitones } from '../units';
import { easyForAll } from './comfort';
import { beginGroupCheck, type GroupCheck } from './groupCheck';
import type { Voice } from './parts';

/** Somebody in the room: their part and range, as far as they are known. */
export interface InTheRoom {
  readonly id: string;
  readonly part: string | null;
  readonly comfort: PitchRange | null;
}

const octave: Semitones = 12;
const middleC: MidiNote = 60;

/** Whether somebody sings an octave below what is given, as far as their part or their range says. */
export function singsBelow(
  { part, comfort }: Omit<InTheRoom, 'id'>,
  parts: readonly Voice[],
): boolean {
  const own = parts.find(({ id }) => id === part);
  if (own) return own.octave < 0;
  // Whoever is not at ease within a fifth of middle C, but below it, is a low voice.
  return comfort !== null && comfort[1] < middleC + 7;
}

/** What is expected to be easy for one of the room, as it is given; null where nothing is. */
function expectedOf(
  { part, comfort }: InTheRoom,
  isBelow: boolean,
  parts: readonly Voice[],
): PitchRange | null {
  const own = parts.find(({ id }) => id === part)?.comfort;
  const alike = parts.filter((one) => one.octave < 0 === isBelow).map((one) => one.comfort);
  const easy = comfort ?? own ?? easyForAll(alike);
  if (!easy) return null;
  const by = isBelow ? octave : 0;
  return [easy[0] + by, easy[1] + by];
}

/**
 * Begins one check for a whole room: on the note nearest middle C that is expected to be easy for
 * everybody, the low voices an octave below it (docs/model.md, section 2).
 * @param below who sings an octave below what is given.
 */
export function beginRoom(
  singers: readonly InTheRoom[],
  below: readonly string[],
  parts: readonly Voice[],
): GroupCheck {
  const each = singers.map((one) => expectedOf(one, below.includes(one.id), parts));
  const isKnown = (one: PitchRange | null): one is PitchRange => one !== null;
  const expected = each.every(isKnown) ? easyForAll(each) : null;
  const start = expected ? Math.min(expected[1], Math.max(expected[0], middleC)) : middleC;
  return beginGroupCheck(
    singers.map(({ id }) => id),
    start,
    { below, expected },
  );
}
