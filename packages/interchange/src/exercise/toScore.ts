import {
  quartersOf,
  quartersOfBeat,
  spellKey,
  swellsOf,
  writtenBars,
  type AccidentalPreference,
  type LineEvent,
  type PieceScore,
  type Score,
  type ScoreBar,
  type StaffNote,
  type WrittenBar,
} from '@wide-fern/core';
import { fileNote, saidName } from './said';

/** The notes of one bar, from its place in the score: what is tied over the bar line is a note in each. */
function notesOf({ events: heads }: WrittenBar, events: readonly LineEvent[], bar: number) {
  const ends = new Set(swellsOf(events).map(({ to }) => to));
  const notes: StaffNote[] = [];
  heads.forEach((head, i) => {
    const event = events[head.event]!;
    if (event.midi === null || heads[i - 1]?.event === head.event) return;
    const tied = heads.filter((one) => one.event === head.event);
    const isLast = tied[tied.length - 1]!.last;
    notes.push({
      bar,
      at: head.at,
      quarters: tied.reduce((sum, one) => sum + quartersOf(one), 0),
      midi: event.midi,
      voice: '1',
      ...(head.first ? {} : { tieStop: true }),
      ...(isLast ? {} : { tieStart: true }),
      ...(head.first && event.syllable !== undefined ? { syllables: [event.syllable] } : {}),
      ...(head.first && event.dynamic ? { dynamic: event.dynamic } : {}),
      ...(head.first && event.swell ? { swell: event.swell } : {}),
      ...(isLast && ends.has(head.event) ? { swellEnd: true } : {}),
      ...(event.slur ? { slur: true } : {}),
      ...(isLast && event.breathAfter ? { breathAfter: true } : {}),
      ...(isLast && event.glideTo !== undefined ? { slideTo: event.glideTo } : {}),
    });
  });
  return notes;
}

/**
 * An exercise's score in the form of a piece's, as files hold it: every part a staff, every key in
 * turn, with the silence between two keys as a bar of its own.
 */
export function pieceScoreOf(score: Score, preference: AccidentalPreference = 'flats'): PieceScore {
  const { metre, mode } = score;
  const bars: ScoreBar[] = [];
  const keys: PieceScore['keys'][number][] = [];
  const notes = score.parts.map((): StaffNote[] => []);
  const add = (quarters: number, sectionEnd: boolean) =>
    bars.push({
      number: bars.length + 1,
      counted: true,
      quarters,
      ...(sectionEnd ? { sectionEnd } : {}),
    });
  score.keys.forEach(({ tonic, lines }, i) => {
    const isLast = i === score.keys.length - 1;
    const from = bars.length;
    keys.push({ bar: from, fifths: spellKey(tonic, mode, preference).signature, mode });
    lines.forEach(({ events }, place) => {
      const written = writtenBars(events, metre);
      written.forEach((bar, k) => {
        if (place === 0) add(bar.quarters, k === written.length - 1 && !isLast);
        notes[place]!.push(...notesOf(bar, events, from + k));
      });
    });
    if (!isLast && score.between > 0) add(score.between * quartersOfBeat(metre), false);
  });
  const [first] = score.keys;
  return {
    title: score.title,
    composer: '',
    language: '',
    bars,
    staves: score.parts.map(({ name, clef }, i) => ({
      id: `P${i + 1}.1`,
      name,
      abbreviation: '',
      clef,
      ofStaves: 1,
      notes: notes[i]!,
      voices: bars.map(() => ['1']),
    })),
    tempos: [{ bar: 0, at: 0, tempo: score.tempo * quartersOfBeat(metre) }],
    keys,
    metres: metre ? [{ bar: 0, metre }] : [],
    warnings: [],
    said: {
      ...(first ? { [saidName.tonic]: fileNote(first.tonic, mode, preference) } : {}),
      ...(first && mode === 'chromatic' ? { [saidName.mode]: mode } : {}),
    },
  };
}
