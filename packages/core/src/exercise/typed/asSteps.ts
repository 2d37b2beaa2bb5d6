import { modes, type Mode } from '../../pitch/mode';
import type { Semitones } from '../../units';
import { isDynamicWord } from '../vocabulary';
import { writeDegree } from './write';

/** A typed text with its notes as steps of the scale, and where each of its characters came from. */
export interface Steps {
  readonly text: string;
  readonly placeOf: (at: number) => number;
}

/** One note as it was typed. */
interface Typed {
  readonly from: number;
  readonly to: number;
  /** Semitones over C, or over do: within an octave, unless its octave was said. */
  readonly pitch: Semitones;
  /** How many octaves away from where it would stand by itself; undefined when nothing was said. */
  readonly octave: number | undefined;
}

const syllables: Readonly<Record<string, Semitones>> = {
  ...{ do: 0, di: 1, ra: 1, re: 2, ré: 2, ri: 3, me: 3, mi: 4, fa: 5, fi: 6, se: 6 },
  ...{ so: 7, sol: 7, le: 8, la: 9, li: 10, te: 10, ti: 11, si: 11 },
};
const letters: Readonly<Record<string, Semitones>> = {
  ...{ d: 0, r: 2, m: 4, f: 5, s: 7, l: 9, t: 11 },
};
const names: Readonly<Record<string, Semitones>> = {
  ...{ c: 0, d: 2, e: 4, f: 5, g: 7, a: 9, b: 11, h: 11 },
};
const has = (table: Readonly<Record<string, Semitones>>, word: string): boolean =>
  Object.hasOwn(table, word);

/** Everything but what is sung, which is kept as long as it was. */
const withoutWords = (text: string): string =>
  text.replace(/\([^)]*\)?/g, (sung) => ' '.repeat(sung.length));

const noteName = /^([A-Ha-h])(isis|eses|is|es|s(?![a-z]))?([♯♭#b]{0,2})(\d?)(['′]*)$/;
const word = /[A-Za-zéÉ][A-Za-zéÉ♯♭#]*\d?['′]*/g;
const plain = (typed: string): string => typed.toLowerCase().replace(/['′\d]+$/, '');

type Way = 'syllables' | 'letters' | 'names';

/** What the notes are written in; undefined when they are steps already, or nothing that is known. */
function wayOf(text: string): Way | undefined {
  // A figure that is no length and belongs to no name is a step.
  if (/(^|[\s|<])\d/.test(text)) return undefined;
  const words = [...text.matchAll(word)].map(([typed]) => typed);
  const all = (test: (typed: string) => boolean) =>
    words.every((typed) => test(typed) || isDynamicWord(typed) || typed === 'r');
  // Two letters are no accident: what else stands there is said at its place.
  if (words.some((typed) => has(syllables, plain(typed)))) return 'syllables';
  if (words.some((typed) => 'dmslt'.includes(plain(typed)) && typed !== 'D')) {
    if (
      all((typed) => has(letters, plain(typed)) && plain(typed) === typed.replace(/['′]+$/, ''))
    ) {
      return words.some((typed) => 'mslt'.includes(plain(typed))) ? 'letters' : undefined;
    }
  }
  return words.some((typed) => noteName.test(typed) && !isDynamicWord(typed)) &&
    all((typed) => noteName.test(typed))
    ? 'names'
    : undefined;
}

const primes = (typed: string): number => /['′]*$/.exec(typed)![0].length;

function spoken(text: string, table: Readonly<Record<string, Semitones>>, way: Way): Typed[] {
  const hasTi = /\b(ti|te)\b/i.test(text);
  return [...text.matchAll(word)].flatMap(({ 0: typed, index: from }) => {
    const said = plain(typed);
    if (!has(table, said) || (way === 'syllables' && typed === 'r')) return [];
    // Beside ti, si is the raised fifth; alone it is the seventh.
    const pitch = said === 'si' && hasTi ? 8 : table[said]!;
    let to = from + typed.length;
    let octave = primes(typed);
    if (way === 'letters') {
      const low = /^,+/.exec(text.slice(to))?.[0].length ?? 0;
      to += low;
      octave -= low;
    }
    return [{ from, to, pitch, octave: octave === 0 ? undefined : octave }];
  });
}

function named(text: string): Typed[] {
  const words = [...text.matchAll(word)];
  const parts = words.map(({ 0: typed }) => noteName.exec(typed));
  const isGerman = parts.some((part) => part && (part[2] !== undefined || /h/i.test(part[1]!)));
  const small = parts.some((part) => part && /[abcegh]/.test(part[1]!));
  const byPrimes = parts.some((part) => part && part[5] !== '');
  return words.flatMap(({ 0: typed, index: from }, i) => {
    const part = parts[i];
    if (!part || (isDynamicWord(typed) && !small)) return [];
    const [, letter = '', ending = '', signs = '', figure = ''] = part;
    const low = /^b$/i.test(letter) && isGerman && ending === '' && signs === '' ? 1 : 0;
    const raised = /is/.test(ending) ? ending.length / 2 : 0;
    const lowered = ending === 's' ? 1 : /es/.test(ending) ? ending.length / 2 : 0;
    const altered = [...signs].reduce((sum, sign) => sum + ('♯#'.includes(sign) ? 1 : -1), 0);
    const pitch = names[letter.toLowerCase()]! - low + raised - lowered + altered;
    const octave = figure
      ? Number(figure)
      : byPrimes
        ? primes(typed) + (/[a-h]/.test(letter) ? 3 : 2)
        : undefined;
    return [{ from, to: from + typed.length, pitch, octave }];
  });
}

/** Do to ti lie in one octave; a step from the note before goes on where it was, a mark says otherwise. */
function placedByStep(notes: readonly Typed[]): Semitones[] {
  let last: Semitones | undefined;
  return notes.map(({ pitch, octave }) => {
    const near = [pitch - 12, pitch, pitch + 12, pitch + 24].find(
      (at) => last !== undefined && Math.abs(at - last) <= 2,
    );
    last = octave === undefined ? (near ?? pitch) : pitch + 12 * octave;
    return last;
  });
}

/** A note without its octave lies near the one before; up to a fifth it rather goes up. */
function placedNear(notes: readonly Typed[]): Semitones[] {
  let last = 60;
  return notes.map(({ pitch, octave }, i) => {
    const far = (at: Semitones) => (at > last ? at - last - 3 : last - at);
    const places = Array.from({ length: 10 }, (_, nth) => pitch + 12 * nth);
    const near = i === 0 ? pitch + 60 : places.reduce((a, b) => (far(b) < far(a) ? b : a));
    last = octave === undefined ? near : pitch + 12 * (octave + 1);
    return last;
  });
}

const classOf = (pitch: Semitones): Semitones => ((pitch % 12) + 12) % 12;

/** The tonic a row of notes has: its lower end where all the others fit, else the other one, else C, else any that fits. */
function tonicOf(pitches: readonly Semitones[], mode: Mode): Semitones {
  const scale = new Set<Semitones>(mode === 'chromatic' ? modes.major.scale : modes[mode].scale);
  const fits = (tonic: Semitones) => pitches.every((pitch) => scale.has(classOf(pitch - tonic)));
  const ends = [pitches[pitches.length - 1]!, pitches[0]!].sort((a, b) => a - b);
  const wanted = [...ends, ...Array.from({ length: 12 }, (_, tonic) => tonic)];
  const tonic = classOf(wanted.find(fits) ?? ends[0]!);
  const sung = pitches.filter((pitch) => classOf(pitch) === tonic);
  const lowest = Math.min(...pitches);
  return sung.length > 0 ? Math.min(...sung) : lowest - classOf(lowest - tonic);
}

/** In minor, lines that end or begin on la count from la. */
function doOf(pitches: readonly Semitones[], mode: Mode): Semitones {
  const isMinor = mode !== 'chromatic' && modes[mode].scale[2] === 3;
  const ends = [pitches[0]!, pitches[pitches.length - 1]!].map(classOf);
  const onLa = isMinor && ends.includes(9) && !pitches.some((pitch) => classOf(pitch) === 3);
  if (!onLa) return 0;
  return Math.min(...pitches.filter((pitch) => classOf(pitch) === 9));
}

/**
 * A line typed in do re mi, in sol-fa letters (d r m) or in names of notes, with its notes as steps
 * of the scale. Undefined when it is typed in steps, or in nothing known.
 */
export function asSteps(typed: string, mode: Mode): Steps | undefined {
  const text = withoutWords(typed);
  const way = wayOf(text);
  if (!way) return undefined;
  const notes =
    way === 'names' ? named(text) : spoken(text, way === 'letters' ? letters : syllables, way);
  const pitches = way === 'names' ? placedNear(notes) : placedByStep(notes);
  const tonic = way === 'names' ? tonicOf(pitches, mode) : doOf(pitches, mode);
  const places: number[] = [];
  let out = '';
  const keep = (from: number, to: number) => {
    for (let at = from; at < to; at += 1) places.push(at);
    out += typed.slice(from, to);
  };
  let kept = 0;
  notes.forEach(({ from, to }, i) => {
    keep(kept, from);
    const step = writeDegree(pitches[i]! - tonic, mode);
    for (let at = 0; at < step.length; at += 1) places.push(from);
    out += step;
    kept = to;
  });
  keep(kept, typed.length);
  return { text: out, placeOf: (at) => places[at] ?? typed.length };
}
