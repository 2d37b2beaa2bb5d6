import type { Hertz, MidiNote } from '../units';

/** The tuning a4 may be set between, in Hz (docs/model.md, section 1). */
export const tuningLimits = { lowest: 415, usual: 440, highest: 446 } as const;

/**
 * The frequency of a pitch in equal temperament.
 * @throws RangeError when a4 lies outside the tuning limits.
 * @example frequency(69) // 440
 */
export function frequency(note: MidiNote, a4: Hertz = tuningLimits.usual): Hertz {
  if (!(a4 >= tuningLimits.lowest && a4 <= tuningLimits.highest)) {
    throw new RangeError(
      `A4 may be tuned from ${tuningLimits.lowest} to ${tuningLimits.highest} Hz, not ${a4}.`,
    );
  }
  return a4 * 2 ** ((note - 69) / 12);
}
