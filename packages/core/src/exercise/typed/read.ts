import type { Mode } from '../../pitch';
import type { Beats, Semitones } from '../../units';
import { isNote, type PatternEvent, type PatternNote } from '../music';
import { isDynamicWord, isSwellWord, type Dynamic, type Swell } from '../vocabulary';
import { asSteps } from './asSteps';
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

/**
 * Reads a line as directors count it: scale steps with their lengths.
 *
 *     1 2 3 4 5:2          steps of the scale, the last one two beats long
 *     :1/2 1 2 3           from here on half a beat each
 *     <7  8  4+  3-        below the tonic; its octave; raised; lowered by a semitone
 *     5(noo)  3~ 2         a syllable; bound to the next note
 *     r  r:2   ,   |       a rest; breathe; a bar line, for the eye only
 *     p  mf  ff            this loud from the next note on
 *     growing  fading      from the next note on, until the next of these words
 *
 * The steps may be do re mi, sol-fa letters or names of notes as well (asSteps.ts).
 */
export function readLine(text: string, mode: Mode): TypedLine {
  const steps = asSteps(text, mode);
  const placeOf = (at: number) => steps?.placeOf(at) ?? at;
  try {
    const { events, places } = new EventReader(steps?.text ?? text, mode).read();
    return {
      kind: 'line',
      events,
      places: places.map(([from, to]) => [placeOf(from), placeOf(to)] as const),
    };
  } catch (problem) {
    if (problem instanceof Unreadable) {
      const { code, word } = problem;
      const at = placeOf(problem.at);
      return { kind: 'problem', at, code, ...(word === undefined ? {} : { word }) };
    }
    throw problem;
  }
}

/** Reads a line from its first character to its last. */
class EventReader {
  private readonly events: PatternEvent[] = [];
  private readonly places: [number, number][] = [];
  private at = 0;
  private usual: Beats = 1;
  private dynamic: { readonly value: Dynamic; readonly at: number } | undefined;
  private swell: { readonly value: Swell; readonly at: number } | undefined;

  constructor(
    private readonly text: string,
    private readonly mode: Mode,
  ) {}

  read() {
    while (this.at < this.text.length) {
      if (/[\s|]/.test(this.text[this.at]!)) this.at += 1;
      else this.readOne();
    }
    const said = this.dynamic ?? this.swell;
    if (said) throw new Unreadable(said.at, 'dynamic-without-note');
    if (!this.events.some(isNote)) throw new Unreadable(0, 'no-note');
    return { events: this.events, places: this.places };
  }

  private readOne(): void {
    const start = this.at;
    const sign = this.text[start]!;
    if (sign === ',') {
      this.breathe();
      return;
    }
    const word = /^[a-z]+/.exec(this.text.slice(start))?.[0];
    if (sign === ':') {
      this.at += 1;
      this.usual = this.length();
    } else if (word !== undefined && isDynamicWord(word)) {
      if (this.dynamic) throw new Unreadable(start, 'two-dynamics');
      this.dynamic = { value: word, at: start };
      this.at += word.length;
    } else if (word !== undefined && isSwellWord(word)) {
      if (this.swell) throw new Unreadable(start, 'two-dynamics');
      this.swell = { value: word, at: start };
      this.at += word.length;
    } else if (word === 'r') {
      this.at += 1;
      this.events.push({ rest: true, beats: this.ownLength() });
      this.places.push([start, this.at]);
    } else if (/[<\d]/.test(sign)) {
      this.events.push(this.note());
      this.places.push([start, this.at]);
    } else {
      throw new Unreadable(start, 'unreadable', word ?? sign);
    }
    if (this.at < this.text.length && !/[\s|,]/.test(this.text[this.at]!)) {
      throw new Unreadable(this.at, 'no-blank');
    }
  }

  private breathe(): void {
    const last = this.events.at(-1);
    if (!last || !isNote(last)) throw new Unreadable(this.at, 'breath-without-note');
    if (last.slur) throw new Unreadable(this.at, 'breath-in-bound-note');
    this.events[this.events.length - 1] = { ...last, breathAfter: true };
    this.at += 1;
  }

  private length(): Beats {
    const found = readLength(this.text.slice(this.at));
    if (!found) throw new Unreadable(this.at, 'no-length');
    if (!(found.beats > 0)) throw new Unreadable(this.at, 'length-nothing');
    if (found.beats > longestBeats) throw new Unreadable(this.at, 'length-too-long');
    this.at += found.characters;
    return found.beats;
  }

  private ownLength(): Beats {
    if (this.text[this.at] !== ':') return this.usual;
    this.at += 1;
    return this.length();
  }

  private syllable(): string | undefined {
    if (this.text[this.at] !== '(') return undefined;
    const end = this.text.indexOf(')', this.at);
    if (end < 0) throw new Unreadable(this.at, 'syllable-open');
    const words = this.text.slice(this.at + 1, end).trim();
    if (words === '') throw new Unreadable(this.at, 'syllable-empty');
    if (words.length > 40) throw new Unreadable(this.at, 'syllable-too-long');
    this.at = end + 1;
    return words;
  }

  /** The step with its signs, in semitones from the tonic. */
  private offset(): Semitones {
    const start = this.at;
    const below = /^<*/.exec(this.text.slice(start))![0].length;
    this.at += below;
    const digits = /^\d+/.exec(this.text.slice(this.at))?.[0];
    if (!digits) throw new Unreadable(this.at, 'no-step');
    const step = Number(digits);
    if (step < 1 || step > highestStep) throw new Unreadable(this.at, 'step-out-of-range');
    this.at += digits.length;
    const signs = /^[+-]*/.exec(this.text.slice(this.at))![0];
    if (signs.length > 2) throw new Unreadable(this.at, 'altered-too-far');
    this.at += signs.length;
    const altered = [...signs].reduce((sum, sign) => sum + (sign === '+' ? 1 : -1), 0);
    const offset = offsetOfDegree({ step: step - 7 * below, altered }, this.mode);
    if (Math.abs(offset) > farthest) throw new Unreadable(start, 'too-far-away');
    return offset;
  }

  private note(): PatternNote {
    const offset = this.offset();
    const beats = this.ownLength();
    const words = this.syllable();
    const slur = this.text[this.at] === '~';
    if (slur) this.at += 1;
    const said = this.dynamic;
    const swell = this.swell;
    this.dynamic = undefined;
    this.swell = undefined;
    return {
      offset,
      beats,
      ...(words === undefined ? {} : { syllable: words }),
      ...(slur ? { slur } : {}),
      ...(said === undefined ? {} : { dynamic: said.value }),
      ...(swell === undefined ? {} : { swell: swell.value }),
    };
  }
}
