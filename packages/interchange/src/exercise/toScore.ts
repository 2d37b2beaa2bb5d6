import {
  quartersOf,
  quartersOfBeat,
  spellKey,
  swellsOf,
  writtenBars,
  type AccidentalPreference,
  type Clef,
  type LineEvent,
  type PieceScore,
  type Score,
  type ScoreBar,
  type ScoreKey,
  type Staff,
  type StaffNote,
  type WrittenBar,
} from '@wide-fern/core';
import { instrumentName } from '../common/instrument';
import { fileNote, saidName } from './said';

/** A note's syllables, pass by pass. */
function syllablesOf({ syllable, further }: LineEvent): Pick<StaffNote, 'syllables'> {
  if (syllable === undefined && !further) return {};
  return { syllables: [syllable ?? '', ...(further ?? [])] };
}

/** What an instrument plays under a key, as notes of its staff. */
function notesUnder(
  under: NonNullable<ScoreKey['under']>,
  metre: Score['metre'],
  from: number,
): StaffNote[] {
  const events = under.map(({ midis, beats }): LineEvent => ({ midi: midis[0]!, beats }));
  return writtenBars(events, metre).flatMap((bar, k) => {
    const heads = bar.events;
    return notesOf(bar, events, from + k).flatMap((note) => {
      const head = heads.find(({ at }) => at === note.at)!;
      const { midis } = under[head.event]!;
      return [...midis].reverse().map((midi) => ({ ...note, midi }));
    });
  });
}

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
      ...(head.first ? syllablesOf(event) : {}),
      ...(event.articulation ? { articulation: event.articulation } : {}),
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
  const played: StaffNote[] = [];
  const isWhole = (bar: number) => !metre?.pickUp || bar > 0;
  const add = (quarters: number, sectionEnd: boolean, counted = true) =>
    bars.push({
      number: bars.filter((bar) => bar.counted).length + (counted ? 1 : 0),
      counted,
      quarters,
      ...(sectionEnd ? { sectionEnd } : {}),
    });
  score.keys.forEach(({ tonic, lines, under }, i) => {
    const isLast = i === score.keys.length - 1;
    const from = bars.length;
    keys.push({ bar: from, fifths: spellKey(tonic, mode, preference).signature, mode });
    lines.forEach(({ events }, place) => {
      const written = writtenBars(events, metre);
      written.forEach((bar, k) => {
        if (place === 0) add(bar.quarters, k === written.length - 1 && !isLast, isWhole(k));
        notes[place]!.push(...notesOf(bar, events, from + k));
      });
    });
    if (under) played.push(...notesUnder(under, metre, from));
    if (!isLast && score.between > 0) add(score.between * quartersOfBeat(metre), false);
  });
  const [first] = score.keys;
  const staff = (place: number, name: string, clef: Clef, its: readonly StaffNote[]): Staff => ({
    id: `P${place + 1}.1`,
    ...{ name, abbreviation: '', clef, ofStaves: 1, notes: its },
    voices: bars.map(() => ['1']),
  });
  return {
    title: score.title,
    composer: '',
    language: '',
    bars,
    staves: [
      ...score.parts.map(({ name, clef }, i) => staff(i, name, clef, notes[i]!)),
      ...(played.length > 0 ? [staff(score.parts.length, instrumentName, 'bass', played)] : []),
    ],
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
