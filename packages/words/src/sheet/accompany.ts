import {
  clefOfPart,
  noteInKey,
  openings,
  tonicName,
  writtenIn,
  type NoteWriting,
  type Opening,
  type ScorePart,
} from '@wide-fern/core';
import { asSentences, figured, listInWords } from '../counting';
import { movesOfKeys } from '../ladder';
import { accompanimentInWords } from '../passes';
import { keyPath } from '../plan/words';
import { howOften, singleLines, withoutKey } from './lead';
import {
  plain,
  sheetWith,
  type Line,
  type OfSegment,
  type SheetNotes,
  type SheetOf,
  type SheetText,
} from './sheet';

/** «Entries: S at once, A after four beats.» Nothing where all begin together. */
function entriesInWords(keys: readonly Opening[]): Line[] {
  const [first] = keys;
  const coming = first?.entries.filter(({ note }) => note !== null) ?? [];
  if (!coming.some(({ after }) => after > 0)) return [];
  const each = coming.map(({ part, after }) =>
    after === 0 ? `${part} at once` : `${part} after ${figured(after, 'beat', 'beats')}`,
  );
  return [plain(`Entries: ${listInWords(each)}.`)];
}

/** «D major: chord D3 D4 F♯4 A4, then S D4, A D4, T rests» for each key: the drawing for those who cannot see it. */
export function openingsInWords(
  { keys, mode }: Extract<SheetNotes, { kind: 'openings' }>,
  writing: NoteWriting,
): string {
  return keys
    .map(({ tonic, name, chord, entries }) => {
      const note = (midi: number) => noteInKey(midi, tonic, mode, writing);
      const each = entries.map(({ part, note: midi }) =>
        midi === null ? `${part} rests` : `${part} ${note(midi)}`,
      );
      const given = chord.length === 0 ? 'nothing played' : `chord ${chord.map(note).join(' ')}`;
      return `${name}: ${given}, then ${each.join(', ')}`;
    })
    .join('; ');
}

function accompanyEntry(of: OfSegment) {
  const { segment, computed, wording, sections, writing } = of;
  const { exercise, choices } = segment;
  const { music } = exercise;
  const keys = openings(writtenIn(segment), computed.repetitions);
  if (keys.length === 0) {
    const waiting = withoutKey(of);
    return {
      beside: '',
      first: [],
      lines: waiting.length > 0 ? waiting : [plain('Nothing to play.')],
    };
  }
  const parts = sections.map((section): ScorePart => ({
    id: section.id,
    name: section.many,
    clef: clefOfPart(section),
  }));
  const moves = asSentences(movesOfKeys(computed.keys, wording));
  const countIn =
    exercise.countIn > 0 ? ` Count-in: ${figured(exercise.countIn, 'beat', 'beats')}.` : '';
  return {
    beside: keyPath(computed.keys, wording),
    first: [plain(`${howOften(of)}${countIn}`)],
    notes: {
      kind: 'openings' as const,
      keys: keys.map((key) => ({ ...key, name: tonicName(key.tonic, wording.mode, writing) })),
      parts,
      mode: 'mode' in music ? music.mode : 'major',
    },
    lines: [
      ...(moves.length > 0 ? [plain(moves.join(' '))] : []),
      ...entriesInWords(keys),
      ...(choices.demonstrate === 'no' ? [] : [plain('Shown once before it is sung.')]),
      ...singleLines(segment),
      ...(exercise.accompaniment ? [plain(accompanimentInWords(exercise.accompaniment))] : []),
    ],
  };
}

/** For whoever plays: every key's chord and the note on which each part comes in. */
export const accompanySheet = (of: SheetOf): SheetText =>
  sheetWith(
    of,
    accompanyEntry,
    (_, clock) =>
      `${of.choir} · for whoever plays · warm-up from ${clock.minute(of.start)} · ` +
      'in each bar the chord, then the first note of every part',
  );
