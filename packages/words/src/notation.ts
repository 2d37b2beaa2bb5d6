import {
  noteInKey,
  spellKey,
  tonicName,
  type NoteWriting,
  type Mode,
  type MidiNote,
  type PartName,
  type PartLine,
} from '@wide-fern/core';
import { capitalise, listInWords } from './counting';

const most = 12;

/** «C4 D4 E4, then 9 more». */
function notesInWords(
  line: PartLine,
  tonic: MidiNote,
  mode: Mode,
  writing: NoteWriting | undefined,
): string {
  const notes = line.events.flatMap(({ midi, glideTo }) => {
    if (midi === null) return [];
    const name = noteInKey(midi, tonic, mode, writing);
    return [
      glideTo === undefined
        ? name
        : `${name} sliding to ${noteInKey(glideTo, tonic, mode, writing)}`,
    ];
  });
  if (notes.length === 0) return 'rest';
  const shown = notes.slice(0, most).join(' ');
  return notes.length > most ? `${shown}, then ${notes.length - most} more` : shown;
}

/** A score for who cannot see it: «E♭ major. Sopranos and altos: E♭4 F4 G4. Tenors …: …». */
export function scoreInWords(
  lines: readonly PartLine[],
  {
    tonic,
    mode,
    writing,
    parts,
  }: {
    readonly tonic: MidiNote;
    readonly mode: Mode;
    readonly writing?: NoteWriting | undefined;
    readonly parts: (id: string) => PartName;
  },
): string {
  const byNotes = new Map<string, string[]>();
  for (const line of lines) {
    const words = notesInWords(line, tonic, mode, writing);
    byNotes.set(words, [...(byNotes.get(words) ?? []), parts(line.part).many]);
  }
  const sung = [...byNotes].map(([words, who]) => {
    return `${capitalise(listInWords(who))}: ${words}.`;
  });
  const key =
    mode === 'chromatic'
      ? `On ${tonicName(tonic, mode, writing)}`
      : `${tonicName(tonic, mode, writing)} ${mode}`;
  const { signature } = spellKey(tonic, mode, writing);
  const count = Math.abs(signature);
  const signs =
    count === 0
      ? 'no sharps or flats'
      : `${count} ${signature > 0 ? 'sharp' : 'flat'}${count === 1 ? '' : 's'}`;
  return `${key}, ${signs}. ${sung.join(' ')}`;
}
