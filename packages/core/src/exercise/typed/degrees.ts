import type { Semitones } from '../../units';
import { degreeOfOffset } from '../../pitch/spelling';
import { modes, type Mode } from '../../pitch/mode';

/** A step of the scale: 1 is the tonic, 8 its octave, 0 the step below; with the semitones it is raised (or lowered, negative). */
export interface Degree {
  readonly step: number;
  readonly altered: Semitones;
}

/** The seven steps of a mode over its tonic. A chromatic line is counted by the major ones. */
const scaleOf = (mode: Mode): readonly Semitones[] =>
  mode === 'chromatic' ? modes.major.scale : modes[mode].scale;

const octavesOf = (step: number): number => Math.floor((step - 1) / 7);

/** The semitones of a scale step over the tonic. */
export function offsetOfDegree({ step, altered }: Degree, mode: Mode): Semitones {
  const octaves = octavesOf(step);
  return scaleOf(mode)[step - 1 - 7 * octaves]! + 12 * octaves + altered;
}

/** The step an offset is written on, by the spelling of its key, and how it is altered there. */
export function degreeOfSemitones(offset: Semitones, mode: Mode): Degree {
  const octaves = Math.floor(offset / 12);
  const step = 1 + degreeOfOffset[offset - 12 * octaves]! + 7 * octaves;
  return { step, altered: offset - offsetOfDegree({ step, altered: 0 }, mode) };
}

/** The offset so many scale steps up (or down) from another; what was altered is no longer. */
export function stepBy(offset: Semitones, steps: number, mode: Mode): Semitones {
  const { step } = degreeOfSemitones(offset, mode);
  return offsetOfDegree({ step: step + steps, altered: 0 }, mode);
}
