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
  span: Span,
  needs: readonly Pick<PartNeed, 'part' | 'highest'>[],
): MidiNote | undefined {
  const tonics = sections.flatMap((section) => {
    const need = needs.find(({ part }) => part === section.id);
    if (!need) return [];
    const target = Math.min(need.highest, section.comfort[1]);
    const tonic = target - section.octave - span.highest;
    return tonic + section.octave + span.lowest >= section.reach[0] ? [tonic] : [];
  });
  return tonics.length > 0 ? Math.max(...tonics) : undefined;
}
