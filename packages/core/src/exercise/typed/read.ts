import type { Mode } from '../../pitch';
import type { Beats } from '../../units';
import { isNote, type PatternEvent, type PatternNote } from '../music';
import { dynamics, type Dynamic } from '../vocabulary';
import { offsetOfDegree } from './degrees';
import { readLength } from './lengths';
import { highestStep, longestBeats, type TypedProblem, type TypedProblemCode } from './problem';

/** What a typed line says, or where it cannot be read and what to do there. */
export type TypedLine =
  | {
      readonly kind: 'line';
      readonly events: readonly PatternEvent[];
      /** For each event, where its text begins and ends. */
      readonly places: readonly (readonly [from: number, to: number])[];
    }
  | ({ readonly kind: 'problem' } & TypedProblem);

const farthest = 48;

class Unreadable extends Error {
  constructor(
    readonly at: number,
    readonly code: TypedProblemCode,
    /** What stands there, where it helps to name it. */
    readonly word?: string,
  ) {
    super(code);
  }
}

const isDynamic = (word: string): word is Dynamic => (dynamics as readonly string[]).includes(word);

/**
 * Reads a line as directors count it: scale steps with their lengths.
 *
 *     1 2 3 4 5:2          steps of the scale, the last one two beats long
 *     :1/2 1 2 3           from here on half a beat each
 *     <7  8  4+  3-        below the tonic; its octave; raised; lowered by a semitone
 *     5(noo)  3~ 2         a syllable; bound to the next note
 *     r  r:2   ,   |       a rest; breathe; a bar line, for the eye only
 *     p  mf  ff            this loud from the next note on
 */
export function readLine(text: string, mode: Mode): TypedLine {
  try {
    return { kind: 'line', ...readEvents(text, mode) };
  } catch (problem) {
    if (problem instanceof Unreadable) {
      const { at, code, word } = problem;
      return { kind: 'problem', at, code, ...(word === undefined ? {} : { word }) };
    }
    throw problem;
  }
}

function readEvents(text: string, mode: Mode) {
  const events: PatternEvent[] = [];
  const places: [number, number][] = [];
  let at = 0;
  let usual: Beats = 1;
  let dynamic: { value: Dynamic; at: number } | undefined;

  const length = (): Beats => {
    const found = readLength(text.slice(at));
    if (!found) {
      throw new Unreadable(at, 'no-length');
    }
    if (!(found.beats > 0)) throw new Unreadable(at, 'length-nothing');
    if (found.beats > longestBeats) throw new Unreadable(at, 'length-too-long');
    at += found.characters;
    return found.beats;
  };
  const ownLength = (): Beats => {
    if (text[at] !== ':') return usual;
    at += 1;
    return length();
  };
  const syllable = (): string | undefined => {
    if (text[at] !== '(') return undefined;
    const end = text.indexOf(')', at);
    if (end < 0) throw new Unreadable(at, 'syllable-open');
    const words = text.slice(at + 1, end).trim();
    if (words === '') throw new Unreadable(at, 'syllable-empty');
    if (words.length > 40) throw new Unreadable(at, 'syllable-too-long');
    at = end + 1;
    return words;
  };
  const note = (): PatternNote => {
    const start = at;
    let below = 0;
    while (text[at] === '<') {
      below += 1;
      at += 1;
    }
    const digits = /^\d+/.exec(text.slice(at))?.[0];
    if (!digits) throw new Unreadable(at, 'no-step');
    const step = Number(digits);
    if (step < 1 || step > highestStep) {
      throw new Unreadable(at, 'step-out-of-range');
    }
    at += digits.length;
    const signs = /^[+-]*/.exec(text.slice(at))![0];
    if (signs.length > 2) throw new Unreadable(at, 'altered-too-far');
    at += signs.length;
    const altered = [...signs].reduce((sum, sign) => sum + (sign === '+' ? 1 : -1), 0);
    const offset = offsetOfDegree({ step: step - 7 * below, altered }, mode);
    if (Math.abs(offset) > farthest) {
      throw new Unreadable(start, 'too-far-away');
    }
    const beats = ownLength();
    const words = syllable();
    const slur = text[at] === '~';
    if (slur) at += 1;
    const said = dynamic;
    dynamic = undefined;
    return {
      offset,
      beats,
      ...(words === undefined ? {} : { syllable: words }),
      ...(slur ? { slur } : {}),
      ...(said === undefined ? {} : { dynamic: said.value }),
    };
  };

  while (at < text.length) {
    const sign = text[at]!;
    if (/[\s|]/.test(sign)) {
      at += 1;
      continue;
    }
    const start = at;
    const word = /^[a-z]+/.exec(text.slice(at))?.[0];
    if (sign === ':') {
      at += 1;
      usual = length();
    } else if (sign === ',') {
      const last = events.at(-1);
      if (!last || !isNote(last)) throw new Unreadable(at, 'breath-without-note');
      if (last.slur) throw new Unreadable(at, 'breath-in-bound-note');
      events[events.length - 1] = { ...last, breathAfter: true };
      at += 1;
      continue;
    } else if (word !== undefined && isDynamic(word)) {
      if (dynamic) throw new Unreadable(at, 'two-dynamics');
      dynamic = { value: word, at };
      at += word.length;
    } else if (word === 'r') {
      at += 1;
      events.push({ rest: true, beats: ownLength() });
      places.push([start, at]);
    } else if (/[<\d]/.test(sign)) {
      events.push(note());
      places.push([start, at]);
    } else {
      throw new Unreadable(at, 'unreadable', word ?? sign);
    }
    if (at < text.length && !/[\s|,]/.test(text[at]!)) {
      throw new Unreadable(at, 'no-blank');
    }
  }
  if (dynamic) throw new Unreadable(dynamic.at, 'dynamic-without-note');
  if (!events.some(isNote)) throw new Unreadable(0, 'no-note');
  return { events, places };
}
