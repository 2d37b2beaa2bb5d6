import {
  type MidiNote,
  noteInKey,
  tonicName,
  type NoteWriting,
  type Mode,
  type PartName,
} from '@wide-fern/core';
import { partName } from '../partNames';

/** How the sentences about a ladder name parts, keys and notes. */
export interface Wording {
  readonly mode?: Mode;
  readonly writing?: NoteWriting;
  readonly parts?: (id: string) => PartName;
}

/** «altos» */
export const many = (wording: Wording, id: string): string => (wording.parts ?? partName)(id).many;

/** The name of a key, and of a note inside it, as this wording has it. */
export const keyNamed = (wording: Wording, tonic: MidiNote): string =>
  tonicName(tonic, wording.mode, wording.writing);
export const noteNamed = (wording: Wording, note: MidiNote, tonic: MidiNote): string =>
  noteInKey(note, tonic, wording.mode, wording.writing);
