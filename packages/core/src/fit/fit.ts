import type { MidiNote, PitchRange, Semitones, Span } from '../units';
import type { Voice } from '../voices/parts';

export type FitState = 'comfortable' | 'edge' | 'out';

/** How one repetition lies in a part: the notes it sings and the room left to its comfort. */
export interface Fit {
  readonly low: MidiNote;
  readonly high: MidiNote;
  /** Semitones left below, negative when the comfort is left. */
  readonly roomBelow: Semitones;
  readonly roomAbove: Semitones;
  readonly state: FitState;
}

/** The fit of notes that a part sings, whatever the octave (docs/model.md, section 4). */
export function fitOf(section: Voice, low: MidiNote, high: MidiNote): Fit {
  const roomBelow = low - section.comfort[0];
  const roomAbove = section.comfort[1] - high;
  let state: FitState = 'out';
  if (roomBelow >= 0 && roomAbove >= 0) state = 'comfortable';
  else if (low >= section.reach[0] && high <= section.reach[1]) state = 'edge';
  return { low, high, roomBelow, roomAbove, state };
}

/** The fit of a pattern on a tonic, sung the given octave away from it (the part's usual one, unless said). */
export function fitOnTonic(
  section: Voice,
  span: Span,
  tonic: MidiNote,
  octave: Semitones = section.octave,
): Fit {
  return fitOf(section, tonic + octave + span.lowest, tonic + octave + span.highest);
}

/**
 * The tonics on which a pattern is comfortable for every part in its usual octave, lowest to
 * highest; undefined when there is none (docs/model.md, section 4).
 */
export function sharedTonics(sections: readonly Voice[], span: Span): PitchRange | undefined {
  const low = Math.max(...sections.map((s) => s.comfort[0] - s.octave - span.lowest));
  const high = Math.min(...sections.map((s) => s.comfort[1] - s.octave - span.highest));
  return low <= high ? [low, high] : undefined;
}

/**
 * The middle of a comfort that a stage of the warm-up keeps to: the fraction of it around its
 * centre, in whole notes inside (docs/model.md, section 4). The first may lie above the second
 * when no whole note is inside.
 * @param fraction above 0, at most 1.
 */
export function stageWindow([low, high]: PitchRange, fraction: number): PitchRange {
  const centre = (low + high) / 2;
  const half = ((high - low) / 2) * fraction;
  // Fractions such as 0.55 are not exact in binary; the allowance keeps whole limits whole.
  return [Math.ceil(centre - half - 1e-9), Math.floor(centre + half + 1e-9)];
}
