import type { Mode } from '../../pitch';
import { isNote, type GlidePoint } from '../music';
import { asSteps } from './asSteps';
import { readLength, writeLength } from './lengths';
import { longestBeats, type TypedProblem, type TypedProblemCode } from './problem';
import { readLine } from './read';
import { writeDegree } from './write';

/** What a typed slide says, or where it cannot be read. */
export type TypedSlide =
  | { readonly kind: 'slide'; readonly points: readonly GlidePoint[] }
  | ({ readonly kind: 'problem' } & TypedProblem);

/**
 * Reads a slide: where it begins, then each step with the beats to get there; no beats are a leap.
 *
 *     1 5:3 1:3            up a fifth in three beats and back in three
 *     1 1:1 8:0 8:1 1:4    hold, leap an octave, hold, slide back
 */
export function readSlide(text: string, mode: Mode): TypedSlide {
  const steps = asSteps(text, mode);
  if (!steps) return readSteps(text, mode);
  const read = readSteps(steps.text, mode);
  return read.kind === 'slide' ? read : { ...read, at: steps.placeOf(read.at) };
}

function readSteps(text: string, mode: Mode): TypedSlide {
  const problem = (at: number, code: TypedProblemCode): TypedSlide => ({
    kind: 'problem',
    at,
    code,
  });
  const points: GlidePoint[] = [];
  for (const { 0: word, index: at } of text.matchAll(/\S+/g)) {
    const [step = '', length] = word.split(':');
    const read = readLine(step, mode);
    if (read.kind === 'problem') return { ...read, at: at + read.at };
    const [note] = read.events;
    if (!note || !isNote(note) || note.syllable !== undefined || note.slur) {
      return problem(at, 'slide-not-plain');
    }
    if (points.length === 0) {
      if (length !== undefined) return problem(at, 'slide-first-with-beats');
      points.push({ offset: note.offset, beats: 0 });
      continue;
    }
    const beats = length === undefined ? undefined : readLength(length);
    if (!beats || beats.characters !== length!.length || !Number.isFinite(beats.beats)) {
      return problem(at, 'slide-without-beats');
    }
    if (beats.beats > longestBeats) return problem(at, 'length-too-long');
    points.push({ offset: note.offset, beats: beats.beats });
  }
  if (points.length < 2) return problem(0, 'slide-too-short');
  if (points.every(({ beats }) => beats === 0)) return problem(0, 'slide-no-time');
  return { kind: 'slide', points };
}

/** Writes a slide so that reading it gives the same again. */
export const writeSlide = (points: readonly GlidePoint[], mode: Mode): string =>
  points
    .map(({ offset, beats }, i) => {
      const step = writeDegree(offset, mode);
      return i === 0 ? step : `${step}:${writeLength(beats)}`;
    })
    .join(' ');
