import type { Mode } from '../../pitch';
import { isNote, type GlidePoint } from '../music';
import { readLength, writeLength } from './lengths';
import { readLine } from './read';
import { writeDegree } from './write';

/** What a typed slide says, or where it cannot be read. */
export type TypedSlide =
  | { readonly kind: 'slide'; readonly points: readonly GlidePoint[] }
  | { readonly kind: 'problem'; readonly at: number; readonly message: string };

/**
 * Reads a slide: where it begins, then each step with the beats to get there; no beats are a leap.
 *
 *     1 5:3 1:3            up a fifth in three beats and back in three
 *     1 1:1 8:0 8:1 1:4    hold, leap an octave, hold, slide back
 */
export function readSlide(text: string, mode: Mode): TypedSlide {
  const problem = (at: number, message: string): TypedSlide => ({ kind: 'problem', at, message });
  const points: GlidePoint[] = [];
  for (const { 0: word, index: at } of text.matchAll(/\S+/g)) {
    const [step = '', length] = word.split(':');
    const read = readLine(step, mode);
    if (read.kind === 'problem') return problem(at + read.at, read.message);
    const [note] = read.events;
    if (!note || !isNote(note) || note.syllable !== undefined || note.slur) {
      return problem(
        at,
        'A slide has only steps and beats, like 1 5:3; its syllable stands beside it.',
      );
    }
    if (points.length === 0) {
      if (length !== undefined)
        return problem(at, 'The first step is where it begins; it has no beats.');
      points.push({ offset: note.offset, beats: 0 });
      continue;
    }
    const beats = length === undefined ? undefined : readLength(length);
    if (!beats || beats.characters !== length!.length || !Number.isFinite(beats.beats)) {
      return problem(at, 'Say in how many beats it gets there, like 5:3; 5:0 is a leap.');
    }
    if (beats.beats > 256) return problem(at, 'A length is at most 256 beats.');
    points.push({ offset: note.offset, beats: beats.beats });
  }
  if (points.length < 2) return problem(0, 'A slide needs a beginning and an end, like 1 5:3.');
  if (points.every(({ beats }) => beats === 0))
    return problem(0, 'A slide takes at least a beat somewhere.');
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
