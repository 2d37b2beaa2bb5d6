import type { Purpose } from '../exercise/vocabulary';
import type { PitchRange, Seconds } from '../units';
import type { SungPart } from './figures';
import { barNumber, type PerformanceOrder, type PieceNote } from './music';
import type { PieceScore } from './score/score';

/** What in the music asks for a skill. */
const demandKinds = [
  'long phrase',
  'high and long',
  'wide leap',
  'fast run',
  'low ending',
  'close clash',
] as const;
export type DemandKind = (typeof demandKinds)[number];

/** The skill that each demand trains, by the purposes exercises have. */
const skillOfDemand: Readonly<Record<DemandKind, Purpose>> = {
  'long phrase': 'long outflow',
  'high and long': 'top notes',
  'wide leap': 'register change',
  'fast run': 'agility',
  'low ending': 'low notes',
  'close clash': 'tuning',
};

/** A place where the figures suggest a skill; bars are printed numbers. */
export interface Demand {
  readonly kind: DemandKind;
  readonly skill: Purpose;
  /** One part, or the two that clash. */
  readonly parts: readonly string[];
  readonly fromBar: number;
  readonly toBar: number;
  /** Seconds of the phrase, note or clash, semitones of the leap or below the band's third step, notes a second. */
  readonly figure: number;
}

/** From where on something is named: seconds, seconds, semitones, notes a second, semitones, seconds. */
const demandFrom: Readonly<Record<DemandKind, number>> = {
  'long phrase': 0,
  'high and long': 2,
  'wide leap': 8,
  'fast run': 4,
  'low ending': 0,
  'close clash': 1,
};

/** How many of a kind are named for one part: the strongest. */
const mostOfKind = 3;

export interface DemandPart {
  readonly sung: SungPart;
  readonly comfort: PitchRange;
}

/** Every demand of one part. */
function ofPart(
  { sung: { part, upper, notes }, comfort: [low, high] }: DemandPart,
  phrase: Seconds,
  number: (place: number) => number,
): Demand[] {
  const found: Demand[] = [];
  const add = (kind: DemandKind, from: PieceNote, to: PieceNote, figure: number) => {
    found.push({
      kind,
      skill: skillOfDemand[kind],
      parts: [part],
      fromBar: number(from.pieces[0]!.place),
      toBar: number(to.pieces[to.pieces.length - 1]!.place),
      figure,
    });
  };
  for (const note of notes) {
    const seconds = note.ends - note.starts;
    if (note.midi > high - 3 && seconds >= demandFrom['high and long'] - 1e-9) {
      add('high and long', note, note, seconds);
    }
  }
  for (const one of upper) {
    const first = one[0]!;
    const last = one[one.length - 1]!;
    const seconds = last.ends - first.starts;
    if (seconds > phrase + 1e-9) add('long phrase', first, last, seconds);
    if (last.midi < low + 3) add('low ending', last, last, low + 3 - last.midi);
    one.forEach((note, i) => {
      const before = one[i - 1];
      const leap = before ? Math.abs(note.midi - before.midi) : 0;
      if (leap >= demandFrom['wide leap']) add('wide leap', before!, note, leap);
      const third = one[i - 3];
      if (!third) return;
      const pace = 4 / (note.ends - third.starts);
      if (pace >= demandFrom['fast run'] - 1e-9) add('fast run', third, note, pace);
    });
  }
  return found;
}

/** Where two parts sound a semitone or two apart for long enough. */
function clashes(a: SungPart, b: SungPart, number: (place: number) => number): Demand[] {
  const found: Demand[] = [];
  let from = 0;
  for (const note of a.notes) {
    while (from < b.notes.length && b.notes[from]!.ends <= note.starts - 60) from += 1;
    for (let i = from; i < b.notes.length && b.notes[i]!.starts < note.ends; i += 1) {
      const other = b.notes[i]!;
      const apart = Math.abs(note.midi - other.midi);
      const seconds = Math.min(note.ends, other.ends) - Math.max(note.starts, other.starts);
      if (apart < 1 || apart > 2 || seconds < demandFrom['close clash'] - 1e-9) continue;
      const later = note.starts > other.starts ? note : other;
      const bar = number(later.pieces[0]!.place);
      found.push({
        kind: 'close clash',
        skill: skillOfDemand['close clash'],
        parts: [a.part, b.part],
        fromBar: bar,
        toBar: bar,
        figure: seconds,
      });
    }
  }
  return found;
}

/** The strongest of each kind, once for each bar. */
function strongest(all: readonly Demand[]): Demand[] {
  return demandKinds.flatMap((kind) => {
    const ofKind = all.filter((one) => one.kind === kind).sort((x, y) => y.figure - x.figure);
    const seen = new Set<number>();
    return ofKind
      .filter(({ fromBar }) => !seen.has(fromBar) && seen.add(fromBar))
      .slice(0, mostOfKind)
      .sort((x, y) => x.fromBar - y.fromBar);
  });
}

/**
 * The skills that a piece's figures suggest, with the bars that ask for them: for each part the
 * strongest of each kind, then where neighbouring parts clash (docs/model.md, section 9).
 * @param phrase what is comfortable on one breath
 */
export function demandsOf(
  parts: readonly DemandPart[],
  phrase: Seconds,
  score: PieceScore,
  order: PerformanceOrder,
): Demand[] {
  const number = (place: number) => barNumber(score, order, place);
  const own = parts.flatMap((part) => strongest(ofPart(part, phrase, number)));
  const close = parts.flatMap(({ sung }, i) =>
    parts[i + 1] ? clashes(sung, parts[i + 1]!.sung, number) : [],
  );
  return [...own, ...strongest(close)];
}
