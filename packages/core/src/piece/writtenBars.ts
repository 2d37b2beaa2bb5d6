import type { PatternEvent } from '../exercise/music';
import type { Beats, MidiNote, Semitones } from '../units';
import {
  upperLine,
  sungNotesOf,
  type PerformanceOrder,
  type PartMusic,
  type PieceNote,
} from './music';
import { sameTime, type PieceScore } from './score/score';

/** What is sung instead of the piece's own words. */
export type ExcerptWords =
  | { readonly kind: 'own' }
  /** A neutral syllable on every note, or once over all of it. */
  | { readonly kind: 'syllable'; readonly text: string; readonly bound?: boolean | undefined }
  /** Words of one's own, syllable by syllable. */
  | { readonly kind: 'text'; readonly syllables: readonly string[] };

export const exact = (beats: Beats): Beats => Math.round(beats * 96) / 96;

/** Bars of a score one after the other as written, without repeats. */
export function writtenOrder(score: PieceScore, from: number, to: number): PerformanceOrder {
  let at = 0;
  const bars = score.bars.slice(from, to + 1).map(({ quarters }, i) => {
    const here = { bar: from + i, from: at, starts: at };
    at += quarters;
    return here;
  });
  return { bars, seconds: at, within: (_, place) => place };
}

/** A part's line as events in quarters, with the silences between. */
export interface LineQuarters {
  readonly octave: Semitones;
  readonly notes: readonly PieceNote[];
}

/** Which syllable each note takes, and whether it is bound to the next. */
function withWords(
  notes: readonly PieceNote[],
  words: ExcerptWords,
): { syllable: string | undefined; slur: boolean }[] {
  const follows = (i: number) => {
    const next = notes[i + 1];
    return next !== undefined && next.from - notes[i]!.to < sameTime;
  };
  let next = 0;
  return notes.map((note, i) => {
    if (words.kind === 'syllable') {
      const begins = !words.bound || i === 0 || !follows(i - 1);
      return {
        syllable: begins ? words.text : undefined,
        slur: words.bound === true && follows(i),
      };
    }
    if (words.kind === 'text') {
      const syllable = words.syllables[next];
      next += 1;
      return { syllable, slur: next >= words.syllables.length && follows(i) };
    }
    const syllable = note.syllables?.[0] || undefined;
    const after = notes[i + 1];
    const isSung = notes.some(({ syllables }) => syllables?.[0]);
    return { syllable, slur: isSung && follows(i) && after !== undefined && !after.syllables?.[0] };
  });
}

/** A line as it stands from the first to the last bar, over the tonic. */
export function eventsOf(
  { notes, octave }: LineQuarters,
  {
    tonic,
    length,
    beatsInQuarter,
    words,
  }: {
    readonly tonic: MidiNote;
    readonly length: number;
    readonly beatsInQuarter: number;
    readonly words: ExcerptWords;
  },
): PatternEvent[] {
  const events: PatternEvent[] = [];
  let at = 0;
  const rest = (quarters: number) => {
    const beats = exact(quarters * beatsInQuarter);
    if (beats > 0) events.push({ rest: true, beats });
  };
  const said = withWords(notes, words);
  notes.forEach((note, i) => {
    rest(note.from - at);
    const { syllable, slur } = said[i]!;
    events.push({
      offset: note.midi - octave - tonic,
      beats: exact((note.to - note.from) * beatsInQuarter),
      ...(syllable === undefined ? {} : { syllable }),
      ...(slur ? { slur } : {}),
    });
    at = note.to;
  });
  rest(length - at);
  return events;
}

/** What a part sings of some written bars, in its upper line, up to the last bar's end. */
export function lineOfBars(music: PartMusic, order: PerformanceOrder): readonly PieceNote[] {
  const [first] = order.bars;
  const last = order.bars[order.bars.length - 1];
  if (!first || !last) return [];
  const here = music.lines.map((notes) =>
    notes.filter(({ bar }) => bar >= first.bar && bar <= last.bar),
  );
  const notes = upperLine(sungNotesOf({ part: music.part, lines: here }, order));
  return notes.map((note) => ({ ...note, to: Math.min(note.to, order.seconds) }));
}
