import type { Semitones, Seconds } from '../units';
import type { Opening } from './openings';
import type { Programme, Sounded } from './programme';

/** How a key is given: its chord, or each part's first note one after the other, the highest first. */
export type Giving = 'chord' | 'notes';

const chordLasts: Seconds = 1.6;
const noteLasts: Seconds = 0.9;
const loudness = 0.5;

/**
 * What is heard before a key is sung.
 * @param shift by how much it is sung higher than planned
 */
export function givenKey(
  { chord, entries }: Pick<Opening, 'chord' | 'entries'>,
  how: Giving,
  shift: Semitones = 0,
): Programme {
  if (how === 'chord') {
    const sounded = chord.map((midi): Sounded => ({
      ...{ at: 0, seconds: chordLasts, voice: 'chord' },
      ...{ midi: midi + shift, loudness },
    }));
    return { seconds: sounded.length > 0 ? chordLasts : 0, sounded, keys: [] };
  }
  const sung = entries.flatMap(({ part, note }) => (note === null ? [] : [{ part, note }]));
  const sounded = sung.map(({ part, note }, i): Sounded => ({
    ...{ at: i * noteLasts, seconds: noteLasts * 0.95, voice: part },
    ...{ midi: note + shift, loudness },
  }));
  return { seconds: sung.length * noteLasts, sounded, keys: [] };
}
