import { beatsOfEvents, type Metre, type Music, type PatternEvent } from '../exercise/music';
import { modes, type Mode } from '../pitch';
import type { Beats, BeatsPerMinute, MidiNote, Semitones } from '../units';
import { metreOf, usualTempo, type PartMusic, type PieceNote } from './music';
import { inForce, sameTime, type PieceScore } from './score/score';
import {
  eventsOf,
  exact,
  lineOfBars,
  writtenOrder,
  type ExcerptWords,
  type LineQuarters,
} from './writtenBars';

/** How bars become an exercise: one part's line for all, every part its own line, or chord by chord. */
export const excerptForms = ['line', 'parts', 'chords'] as const;
export type ExcerptForm = (typeof excerptForms)[number];

export interface ExcerptWanted {
  /** Places of the first and last bar in the score, in written order. */
  readonly from: number;
  readonly to: number;
  readonly form: ExcerptForm;
  /** The parts taken, the highest first, with the octave each sings the treble tonic in. */
  readonly parts: readonly { readonly music: PartMusic; readonly octave: Semitones }[];
  readonly words: ExcerptWords;
  /** Every rest and every length as printed, where it is not sung again and again. */
  readonly asWritten?: boolean;
}

/** Bars of a piece as an exercise over the tonic of their key. */
export interface Excerpt {
  readonly music: Extract<Music, { kind: 'pattern' | 'lines' }>;
  /** Where its tonic lies in the piece, in the treble octave. */
  readonly tonic: MidiNote;
  /** In beats of the metre, as the piece has it. */
  readonly tempo: BeatsPerMinute;
  /** To breathe before it begins again, so that it keeps its place in the bar. */
  readonly breathBeats: Beats;
}

/** The beats of one chord when bars are sung chord by chord. */
const chordBeats: Beats = 2;
/** The treble tonic lies from A3 to A♭4. */
const lowestTonic: MidiNote = 57;

/** The tonic of a key by its signature, in the octave where sopranos have it. */
export function trebleTonic(fifths: number, mode: Mode): MidiNote {
  const pitchClass = ((((fifths - modes[mode].fifths) * 7) % 12) + 12) % 12;
  return lowestTonic + ((((pitchClass - lowestTonic) % 12) + 12) % 12);
}

const silenceAt = (events: readonly PatternEvent[], place: number): Beats => {
  const event = events.at(place);
  return event && 'rest' in event ? event.beats : 0;
};

/** Takes beats off the silence at one end of a line. */
function trimmed(events: readonly PatternEvent[], beats: Beats, end: 'first' | 'last') {
  if (beats <= 0) return events;
  const place = end === 'first' ? 0 : events.length - 1;
  return events.flatMap((event, i) => {
    if (i !== place) return [event];
    const left = exact(event.beats - beats);
    return left > 0 ? [{ ...event, beats: left }] : [];
  });
}

/**
 * Joins the end to the beginning: silences at both ends become the breath between, and where there
 * is none, the last notes give up a beat for it, or a bar is left free.
 */
function joined(
  lines: readonly (readonly PatternEvent[])[],
  metre: Metre,
): { lines: readonly (readonly PatternEvent[])[]; breathBeats: Beats } {
  const before = Math.min(...lines.map((events) => silenceAt(events, 0)));
  const after = Math.min(...lines.map((events) => silenceAt(events, -1)));
  const cut = lines.map((events) => trimmed(trimmed(events, after, 'last'), before, 'first'));
  const silence = exact(before + after);
  if (silence >= 1) return { lines: cut, breathBeats: silence };
  const canGive = cut.every((events) => (events.at(-1)?.beats ?? 0) >= 2);
  if (!canGive) return { lines: cut, breathBeats: exact(silence + metre.beats) };
  return {
    lines: cut.map((events) => trimmed(events, 1, 'last')),
    breathBeats: exact(silence + 1),
  };
}

/** What sounds together, moment by moment, each as long as the next: a chord for each change. */
function chordByChord(lines: readonly LineQuarters[]): LineQuarters[] {
  const moments = [...new Set(lines.flatMap(({ notes }) => notes.map(({ from }) => from)))].sort(
    (a, b) => a - b,
  );
  const soundingAt = ({ notes }: LineQuarters, at: number) =>
    notes.find(({ from, to }) => from <= at + sameTime && to > at + sameTime);
  const chords: (PieceNote | undefined)[][] = [];
  for (const moment of moments) {
    const chord = lines.map((line) => soundingAt(line, moment));
    const last = chords[chords.length - 1];
    if (!last || chord.some((note, i) => note?.midi !== last[i]?.midi)) chords.push(chord);
  }
  return lines.map(({ octave }, line) => ({
    octave,
    notes: chords.flatMap((chord, i) => {
      const note = chord[line];
      const from = i * chordBeats;
      return note ? [{ ...note, from, to: from + chordBeats }] : [];
    }),
  }));
}

/**
 * Makes an exercise of bars: a line for all, a line for each part, or the bars' chords one by one,
 * over the tonic of their key (docs/model.md, section 9). Undefined when nothing is sung there.
 */
export function excerpt(score: PieceScore, wanted: ExcerptWanted): Excerpt | undefined {
  const { from, to, form, words } = wanted;
  const order = writtenOrder(score, from, to);
  const chosen = form === 'line' ? wanted.parts.slice(0, 1) : wanted.parts;
  const taken = chosen.map(({ music, octave }) => {
    return { octave, notes: lineOfBars(music, order) };
  });
  if (taken.every(({ notes }) => notes.length === 0)) return undefined;
  const { fifths, mode } = inForce(score.keys, from) ?? { fifths: 0, mode: 'major' as const };
  const tonic = trebleTonic(fifths, mode);
  const metre = metreOf(score, from);
  const changes = score.metres.some(({ bar }) => bar > from && bar <= to);
  const lines = form === 'chords' ? chordByChord(taken) : taken;
  const beatsInQuarter = form === 'chords' ? 1 : metre.unit / 4;
  const length =
    form === 'chords'
      ? Math.max(...lines.flatMap(({ notes }) => notes.map((note) => note.to)))
      : order.seconds;
  const written = lines.map((line) => eventsOf(line, { tonic, length, beatsInQuarter, words }));
  const quarters = inForce(score.tempos, from)?.tempo ?? usualTempo;
  const { lines: cut, breathBeats } =
    form === 'chords'
      ? { lines: written, breathBeats: chordBeats }
      : wanted.asWritten
        ? { lines: written, breathBeats: metre.beats }
        : joined(written, metre);
  const timed = form === 'chords' || changes ? {} : { metre };
  const [only] = cut;
  const sings = (events: readonly PatternEvent[]) =>
    events.some((event) => 'offset' in event) && beatsOfEvents(events) > 0;
  const sung = cut.filter(sings);
  return {
    music:
      sung.length === 1 || form === 'line'
        ? { kind: 'pattern', mode, ...timed, notes: sung[0] ?? only! }
        : { kind: 'lines', mode, ...timed, lines: sung },
    tonic,
    tempo: quarters * (form === 'chords' ? 1 : metre.unit / 4),
    breathBeats,
  };
}
