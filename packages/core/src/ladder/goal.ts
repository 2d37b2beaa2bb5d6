import type { Span } from '../units';
import type { MidiNote } from '../units';

import type { PartNeed } from '../evening/needs';
import type { Voice } from '../voices/parts';

/**
 * The tonic a ladder should reach for tonight's music: the least one at which every part that can
 * has sung its own target top (its highest note tonight, but not above its comfort). A part can
 * when the whole pattern lies in its reach there. Undefined when no part has a target it can reach
 * (docs/model.md, section 5).
 */
export function goalTonic(
  sections: readonly Voice[],
  spanOfPart: (part: string) => Span,
  needs: readonly Pick<PartNeed, 'part' | 'highest'>[],
): MidiNote | undefined {
  const tonics = sections.flatMap((section) => {
    const need = needs.find(({ part }) => part === section.id);
    if (!need) return [];
    const target = Math.min(need.highest, section.comfort[1]);
    const { lowest, highest } = spanOfPart(section.id);
    const tonic = target - section.octave - highest;
    return tonic + section.octave + lowest >= section.reach[0] ? [tonic] : [];
  });
  return tonics.length > 0 ? Math.max(...tonics) : undefined;
}

/**
 * The tonic a ladder should reach at its lowest: the greatest one at which every part that can has
 * sung its own bottom (its lowest note tonight, not below its comfort; without music the comfort's
 * low end). A part can when the whole pattern lies in its reach there. Undefined when none can
 * (docs/model.md, section 5, anchor «low»).
 */
export function goalBottomTonic(
  sections: readonly Voice[],
  spanOfPart: (part: string) => Span,
  needs: readonly Pick<PartNeed, 'part' | 'lowest'>[],
): MidiNote | undefined {
  const tonics = sections.flatMap((section) => {
    const need = needs.find(({ part }) => part === section.id);
    const bottom = Math.max(need?.lowest ?? -Infinity, section.comfort[0]);
    const { lowest, highest } = spanOfPart(section.id);
    const tonic = bottom - section.octave - lowest;
    return tonic + section.octave + highest <= section.reach[1] ? [tonic] : [];
  });
  return tonics.length > 0 ? Math.min(...tonics) : undefined;
}
