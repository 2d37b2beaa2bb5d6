import { isNote, type MidiNote, type Music } from '@wide-fern/core';

/** The note a part begins on, over its tonic; a chord's part begins on its own note. */
export function firstNoteOf(music: Music, tonic: MidiNote): MidiNote {
  if (music.kind === 'pattern') return tonic + (music.notes.find(isNote)?.offset ?? 0);
  if (music.kind === 'glide') return tonic + (music.points[0]?.offset ?? 0);
  return tonic;
}
