import type { Span } from '../units';
import type { MidiNote } from '../units';
import type { Voice } from '../voices/parts';
import { fitOnTonic, type Fit } from './fit';

/** One tonic of a key strip: how the pattern lies in each part there, in its usual octave. */
export interface KeyColumn {
  readonly tonic: MidiNote;
  readonly fits: Readonly<Record<string, Fit>>;
}

/** Every tonic from the first to the last by semitone, with the fit of each part's own span. */
export function keyStrip(
  sections: readonly Voice[],
  spanOf: (part: string) => Span,
  [first, last]: readonly [MidiNote, MidiNote],
): KeyColumn[] {
  return Array.from({ length: Math.max(0, last - first + 1) }, (_, i) => ({
    tonic: first + i,
    fits: Object.fromEntries(
      sections.map((section) => [section.id, fitOnTonic(section, spanOf(section.id), first + i)]),
    ),
  }));
}
