import { hasKeys, type Music } from '../exercise/music';
import type { Anchor } from '../exercise/vocabulary';
import { partAction, spanOfPart } from '../exercise/roles';
import { canVoice } from '../ladder/chord';
import type { MidiNote, PitchRange } from '../units';
import { anchoredSections, type AnchoredVoice } from './anchor';

/** The starts a chord is tried on: one of every pitch class, around middle C. */
const chordRoots = Array.from({ length: 12 }, (_, i) => 55 + i);

/** Whether a note of some octave lies in a comfort. */
const inSomeOctave = (note: MidiNote, [low, high]: PitchRange): boolean =>
  low + ((((note - low) % 12) + 12) % 12) <= high;

/**
 * The keys in which every part is comfortable as it usually sings: tonics in the treble octave, for
 * a chord its roots, one of each name. What is sung light or where voices speak is comfortable as it
 * lies there. Undefined for what has no keys (docs/model.md, sections 4 and 5).
 */
export function sharedKeys(
  { music, anchor }: { readonly music: Music; readonly anchor: Anchor },
  voices: readonly AnchoredVoice[],
): MidiNote[] | undefined {
  if (!hasKeys(music)) return undefined;
  const sections = anchoredSections(anchor, voices);
  if (music.kind === 'chord') {
    // Inside the comfort is asked for, so the comfort is all there is.
    const inComfort = sections.map((section) => ({ ...section, reach: section.comfort }));
    const setting = { sections: inComfort, tones: music.tones, distinct: music.distinct };
    return chordRoots.filter((root) => canVoice(setting, root));
  }
  const parts = sections.map(({ comfort, octave }, place) => {
    const role = partAction(music, place, sections.length);
    const span = spanOfPart(music, place, sections.length) ?? { lowest: 0, highest: 0 };
    return { comfort, octave, span, anyOctave: role?.kind === 'holds' };
  });
  const fixed = parts.filter(({ anyOctave }) => !anyOctave);
  // Where all hold, a key an octave away is the same key.
  if (fixed.length === 0) {
    return chordRoots.filter((tonic) =>
      parts.every(({ comfort, span }) => inSomeOctave(tonic + span.lowest, comfort)),
    );
  }
  const held = parts.filter(({ anyOctave }) => anyOctave);
  const low = Math.max(
    0,
    ...fixed.map(({ comfort, octave, span }) => comfort[0] - octave - span.lowest),
  );
  const high = Math.min(
    127,
    ...fixed.map(({ comfort, octave, span }) => comfort[1] - octave - span.highest),
  );
  return Array.from({ length: Math.max(0, high - low + 1) }, (_, i) => low + i).filter((tonic) =>
    held.every(({ comfort, span }) => inSomeOctave(tonic + span.lowest, comfort)),
  );
}
