import { beatsOf, hasKeys } from '../exercise';
import { partLines } from '../exercise/partLines';
import { singleKey, type Ways } from '../exercise/single';
import type { PlannedExercise } from '../plan';
import type { Repetition } from '../fit/sounding';
import type { Beats, MidiNote } from '../units';
import { keyChord } from './programme';

/** How a part comes in: on which note, and how long after the others began. */
export interface Entry {
  readonly part: string;
  /** Null where it rests all through this key. */
  readonly note: MidiNote | null;
  readonly after: Beats;
}

/** What an accompanist gives before a key: its chord, and the note of every part that comes in. */
export interface Opening {
  readonly tonic: MidiNote;
  /** From the lowest; none where nothing is played. */
  readonly chord: readonly MidiNote[];
  /** In the order of the parts, the highest first. */
  readonly entries: readonly Entry[];
}

/**
 * What leads into each key of a segment (docs/model.md, section 6): the chord that is heard too, and every
 * part's first note. Empty for what has no keys.
 * @param repetitions the keys, as a computed segment has them
 */
export function openings(
  { music, inKeys }: Pick<PlannedExercise, 'music'> & Pick<Ways, 'inKeys'>,
  repetitions: readonly Repetition[],
): Opening[] {
  if (!hasKeys(music)) return [];
  return repetitions.flatMap(({ tonic, parts }, i) => {
    if (tonic === undefined || parts.length === 0) return [];
    const length = beatsOf(music);
    const entries = partLines(music, parts).map(({ part, events }): Entry => {
      const first = events.findIndex(({ midi }) => midi !== null);
      if (first < 0) return { part, note: null, after: length };
      const after = events.slice(0, first).reduce((sum, { beats }) => sum + beats, 0);
      return { part, note: events[first]!.midi, after };
    });
    const unled = singleKey({ inKeys }, i)?.played === 'nothing';
    return [{ tonic, chord: unled ? [] : keyChord(tonic, music.mode), entries }];
  });
}
