import { countNote, type Programme, type Sounded } from './programme';

/** How a simulated choir answers: the same for the same seed. */
export interface Answering {
  readonly seed: number;
  /** How often a part slips in a key, from 0 to 1. */
  readonly rate: number;
}

/** What a part gets wrong in a key: it comes in late, or on another note. */
export interface Slip {
  readonly part: string;
  readonly how: 'late' | 'wrong';
}

/** So much later a late part comes in, in seconds, and so far off a wrong one is, in semitones. */
const late = 0.45;
const off = 2;

/** A number from 0 up to 1 that is the same for the same words (FNV-1a, mixed once more). */
function chanceOf(words: string): number {
  let hash = 0x811c9dc5;
  for (const sign of words) hash = Math.imul(hash ^ sign.codePointAt(0)!, 0x01000193);
  hash ^= hash >>> 15;
  hash = Math.imul(hash, 0x2c1b3c6d);
  hash ^= hash >>> 12;
  hash = Math.imul(hash, 0x297a2d39);
  return ((hash ^ (hash >>> 15)) >>> 0) / 2 ** 32;
}

/**
 * What the parts of a simulated choir get wrong one time that a key is sung.
 * @param parts that sing in it
 * @param which says which time it is: «steps 3 0»
 */
export const slipsOf = (
  parts: readonly string[],
  which: string,
  { seed, rate }: Answering,
): Slip[] =>
  parts.flatMap((part): Slip[] => {
    const words = `${seed} ${which} ${part}`;
    if (chanceOf(words) >= rate) return [];
    return [{ part, how: chanceOf(`${words} how`) < 0.5 ? 'late' : 'wrong' }];
  });

/** What is heard when parts slip: everything else sounds as it should. */
export function withSlips(programme: Programme, slips: readonly Slip[]): Programme {
  const how = new Map(slips.map((slip) => [slip.part, slip.how]));
  const sounded = programme.sounded.map((one): Sounded => {
    const slip = how.get(one.voice);
    if (slip === undefined || one.midi === countNote) return one;
    if (slip === 'late') return { ...one, at: one.at + late };
    const { glideTo } = one;
    return {
      ...{ ...one, midi: one.midi - off },
      ...(glideTo === undefined ? {} : { glideTo: glideTo - off }),
    };
  });
  const isLate = slips.some((slip) => slip.how === 'late');
  return { ...programme, sounded, seconds: programme.seconds + (isLate ? late : 0) };
}
