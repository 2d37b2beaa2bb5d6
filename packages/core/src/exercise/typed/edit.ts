import type { Mode } from '../../pitch';
import type { Beats, Semitones } from '../../units';
import { isNote, type PatternEvent, type PatternNote } from '../music';
import type { Dynamic } from '../vocabulary';
import { offsetOfDegree, stepBy } from './degrees';

/** An edit of a line answers with a new one, or with the very same when there is nothing to change. */
export type LineEdit = (line: readonly PatternEvent[]) => readonly PatternEvent[];

const farthest: Semitones = 48;
/** The lengths that are stepped through. */
const lengths: readonly Beats[] = [1 / 4, 1 / 3, 1 / 2, 2 / 3, 1, 3 / 2, 2, 3, 4, 6, 8, 12];

const changed =
  (at: number, change: (event: PatternEvent) => PatternEvent): LineEdit =>
  (line) => {
    const event = line[at];
    if (!event) return line;
    const next = change(event);
    return next === event ? line : line.map((one, i) => (i === at ? next : one));
  };

const changedNote = (at: number, change: (note: PatternNote) => PatternNote): LineEdit =>
  changed(at, (event) => (isNote(event) ? change(event) : event));

const inReach = (offset: Semitones): boolean => Math.abs(offset) <= farthest;

/** Moves a note to a step of the scale; a rest becomes a note there. */
export const toStep = (at: number, step: number, mode: Mode): LineEdit =>
  changed(at, (event) => {
    const offset = offsetOfDegree({ step, altered: 0 }, mode);
    if (!inReach(offset)) return event;
    return isNote(event) ? { ...event, offset } : { offset, beats: event.beats };
  });

/** Moves a note by steps of the scale. */
export const bySteps = (at: number, steps: number, mode: Mode): LineEdit =>
  changedNote(at, (note) => {
    const offset = stepBy(note.offset, steps, mode);
    return inReach(offset) ? { ...note, offset } : note;
  });

/** Raises or lowers a note by semitones. */
export const bySemitones = (at: number, semitones: Semitones): LineEdit =>
  changedNote(at, (note) =>
    inReach(note.offset + semitones) ? { ...note, offset: note.offset + semitones } : note,
  );

/** The next longer (1) or shorter (−1) of the usual lengths. */
export const longer = (at: number, way: 1 | -1): LineEdit =>
  changed(at, (event) => {
    const near = (length: Beats) => Math.abs(length - event.beats) < 1e-6;
    const beats =
      way > 0
        ? lengths.find((length) => length > event.beats && !near(length))
        : lengths.findLast((length) => length < event.beats && !near(length));
    return beats === undefined ? event : { ...event, beats };
  });

/** A new note after a place: like the one there, without its syllable. */
export const noteAfter =
  (at: number, step?: number, mode: Mode = 'major'): LineEdit =>
  (line) => {
    const before = line[at];
    const like = line.slice(0, at + 1).findLast(isNote);
    const offset =
      step === undefined ? (like?.offset ?? 0) : offsetOfDegree({ step, altered: 0 }, mode);
    if (!inReach(offset)) return line;
    const note: PatternEvent = { offset, beats: before?.beats ?? 1 };
    return [...line.slice(0, at + 1), note, ...line.slice(at + 1)];
  };

/** A rest after a place, as long as what is there. */
export const restAfter =
  (at: number): LineEdit =>
  (line) => {
    const unbound = changedNote(at, ({ slur: _, ...note }) => note)(line);
    const rest: PatternEvent = { rest: true, beats: line[at]?.beats ?? 1 };
    return [...unbound.slice(0, at + 1), rest, ...unbound.slice(at + 1)];
  };

/** Takes an event out; the last note of a line stays. */
export const takeOut =
  (at: number): LineEdit =>
  (line) => {
    const rest = line.filter((_, i) => i !== at);
    return rest.some(isNote) ? rest : line;
  };

/** Binds a note to the next one, or frees it; what is bound has no breath. */
export const bind =
  (at: number): LineEdit =>
  (line) => {
    const next = line[at + 1];
    if (!next || !isNote(next)) return line;
    return changedNote(at, ({ slur, breathAfter: _, ...note }) =>
      slur ? note : { ...note, slur: true },
    )(line);
  };

/** Breathes after a note, or no longer. */
export const breathe = (at: number): LineEdit =>
  changedNote(at, ({ breathAfter, slur: _, ...note }) =>
    breathAfter ? note : { ...note, breathAfter: true },
  );

/** Gives a note its syllable; an empty one is none. */
export const withSyllable = (at: number, words: string): LineEdit =>
  changedNote(at, ({ syllable, ...note }) => {
    const next = words.replace(/[()]/g, '').slice(0, 40);
    if (next === (syllable ?? ''))
      return { ...note, ...(syllable === undefined ? {} : { syllable }) };
    return next.trim() === '' ? note : { ...note, syllable: next };
  });

/** Says how loud it is from a note on; undefined takes the mark away. */
export const withLoudness = (at: number, loudness: Dynamic | undefined): LineEdit =>
  changedNote(at, ({ dynamic: _, ...note }) =>
    loudness === undefined ? note : { ...note, dynamic: loudness },
  );
