import type { Semitones } from '../units';

/** The ways a ladder's keys can move. */
export const shapes = ['up', 'down', 'up-and-back', 'two-runs', 'outward'] as const;
export type Shape = (typeof shapes)[number];

/** How a ladder moves from key to key. */
export interface Climb {
  readonly shape: Shape;
  /** How many keys, at least 1. */
  readonly keys: number;
  /** From key to key: semitones, or steps of the scale where there is one; at least 1. */
  readonly step: number;
  /** The semitones of a scale within the octave, 0 first: the keys go by its steps. */
  readonly scale?: readonly Semitones[] | undefined;
}

/** How many steps key i lies from the first one. */
function stepsTo(i: number, { shape, keys, step }: Climb): number {
  const firstRun = Math.ceil(keys / 2);
  switch (shape) {
    case 'up':
      return i * step;
    case 'down':
      return -i * step;
    case 'up-and-back':
      return step * Math.min(i, keys - 1 - i);
    case 'two-runs':
      return i < firstRun ? i * step : -(i - firstRun) * step;
    case 'outward':
      return Math.ceil(i / 2) * (i % 2 === 1 ? step : -step);
  }
}

/** So many steps of a scale, as semitones; below the first note it goes on in the octave below. */
function onScale(steps: number, scale: readonly Semitones[]): Semitones {
  const octaves = Math.floor(steps / scale.length);
  return 12 * octaves + scale[steps - octaves * scale.length]!;
}

/** How far key i lies from the first one in semitones, for i = 0 … keys − 1 (docs/model.md, section 5). */
export function keyOffsets(climb: Climb): Semitones[] {
  const { keys, scale } = climb;
  return Array.from({ length: keys }, (_, i) => {
    const steps = stepsTo(i, climb) || 0;
    return scale ? onScale(steps, scale) : steps;
  });
}

/** The key by which the length of a ladder is told: where it turns, else its last. */
export const farKey = ({ shape, keys }: Pick<Climb, 'shape' | 'keys'>): number =>
  shape === 'up-and-back' ? Math.floor((keys - 1) / 2) : keys - 1;

/**
 * How many keys a ladder needs so that its far key lies as near as can be to a distance from the first;
 * the fewest where several do.
 * @param most no more than so many
 */
export function keysToReach(climb: Climb, distance: Semitones, most: number): number {
  const offs = Array.from({ length: most }, (_, i) => {
    const keys = i + 1;
    return Math.abs(keyOffsets({ ...climb, keys })[farKey({ ...climb, keys })]! - distance);
  });
  return 1 + offs.indexOf(Math.min(...offs));
}
