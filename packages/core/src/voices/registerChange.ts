import type { MidiNote, PitchRange } from '../units';

/** Where a section's voices change their register, and on how many singers that rests. */
export interface RegisterZone {
  readonly zone: PitchRange;
  /** Singers of whom it was noted; 0 when the part's usual figures stand in. */
  readonly asked: number;
}

/** The value at a share of a sorted row, by nearest rank: the first that so many are not above. */
const rankAt = (sorted: readonly MidiNote[], share: number): MidiNote =>
  sorted[Math.max(0, Math.ceil(share * sorted.length - 1e-9) - 1)]!;

/**
 * The zone in which a section changes its register: from the 10th to the 90th percentile of what
 * was noted of the singers, all their changes together; where nobody was asked, the part's usual
 * one. A zone to mark, never a rule (docs/model.md, section 2).
 */
export function registerZone(
  changes: readonly (readonly MidiNote[])[],
  usual: PitchRange,
): RegisterZone {
  const asked = changes.filter((notes) => notes.length > 0);
  const all = asked.flat().sort((a, b) => a - b);
  if (all.length === 0) return { zone: usual, asked: 0 };
  return { zone: [rankAt(all, 0.1), rankAt(all, 0.9)], asked: asked.length };
}
