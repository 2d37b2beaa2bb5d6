import type { Semitones } from '../units';

/** The ways a ladder's keys can move. */
export const shapes = ['up', 'down', 'up-and-back', 'outward'] as const;
export type Shape = (typeof shapes)[number];

/** How far key i lies from the first one, for i = 0 … keys − 1 (docs/model.md, section 5). */
export function keyOffsets(shape: Shape, keys: number, step: Semitones): Semitones[] {
  return Array.from({ length: keys }, (_, i) => {
    switch (shape) {
      case 'up':
        return i * step;
      case 'down':
        return i === 0 ? 0 : -i * step;
      case 'up-and-back':
        return step * Math.min(i, keys - 1 - i);
      case 'outward':
        return Math.ceil(i / 2) * (i % 2 === 1 ? step : i === 0 ? 0 : -step);
    }
  });
}
