import type { MidiNote } from '../../units';
import { noteInKey, tonicName, type AccidentalPreference, type Mode } from '../../pitch';
import { partName, type PartName } from '../../voices/parts';
import type { Ladder, PartPath } from '../problem';

/** How the sentences about a ladder name parts, keys and notes. */
export interface Wording {
  readonly mode?: Mode;
  readonly accidentals?: AccidentalPreference;
  readonly parts?: (id: string) => PartName;
}

/** «altos» */
export const many = (wording: Wording, id: string): string => (wording.parts ?? partName)(id).many;
/** «alto» */
export const one = (wording: Wording, id: string): string => (wording.parts ?? partName)(id).one;

export const capitalise = (text: string): string => text.charAt(0).toUpperCase() + text.slice(1);

/** Phrases as sentences. */
export const asSentences = (phrases: readonly string[]): string[] =>
  phrases.map((phrase) => `${capitalise(phrase)}.`);

/** The name of a key, and of a note inside it, as this wording has it. */
export const keyNamed = (wording: Wording, tonic: MidiNote): string =>
  tonicName(tonic, wording.mode, wording.accidentals);
export const noteNamed = (wording: Wording, note: MidiNote, tonic: MidiNote): string =>
  noteInKey(note, tonic, wording.mode, wording.accidentals);

/** What a part does in a ladder. */
export const pathOf = (ladder: Ladder, id: string): PartPath | undefined =>
  ladder.paths.find((path) => path.id === id);
