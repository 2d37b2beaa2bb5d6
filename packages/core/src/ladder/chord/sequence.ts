import { pitchClass } from './pitchClass';
import type { MidiNote, Semitones } from '../../units';
import type { ChordSequence, ChordSetting, NoVoicing } from './problem';
import {
  byLowness,
  chordOnRoot,
  motion,
  notesAt,
  type ChordOnRoot,
  type Voicings,
} from './voicings';

/** The chord on each root of a setting, looked at once for each of the twelve: a root an octave away has the same notes. */
export type ChordBook = (root: MidiNote) => ChordOnRoot & { readonly least: number | undefined };

export function chordBook(setting: ChordSetting): ChordBook {
  const known = new Map<number, ReturnType<ChordBook>>();
  return (root) => {
    const found = known.get(pitchClass(root));
    if (found) return found;
    const chord = chordOnRoot(setting, root);
    const entry = { ...chord, least: chord.without ? undefined : chord.cheapest()?.own };
    known.set(pitchClass(root), entry);
    return entry;
  };
}

/** What a sequence costs at least: each root's cheapest voicing, nobody moving. Infinity when one has none. */
export const leastPossible = (book: ChordBook, roots: readonly MidiNote[]): number =>
  roots.reduce((sum, root) => sum + (book(root).least ?? Infinity), 0);

/**
 * The least cost to go on from every voicing of one root, given the least cost from every voicing
 * of the next. Motion is a sum over the parts, so it is minimised a part at a time: exact.
 */
function throughMotion(
  from: Voicings['notes'],
  to: Voicings['notes'],
  toGo: Float64Array,
  rootMoves: Semitones,
): Float64Array {
  let table = toGo;
  const lengths = to.map(({ length }) => length);
  for (let part = 0; part < from.length; part += 1) {
    const inner = lengths.slice(part + 1).reduce((product, length) => product * length, 1);
    const outer = lengths.slice(0, part).reduce((product, length) => product * length, 1);
    const here = from[part]!;
    const there = to[part]!;
    const next = new Float64Array(outer * here.length * inner).fill(Infinity);
    for (let o = 0; o < outer; o += 1) {
      for (let i = 0; i < here.length; i += 1) {
        for (let j = 0; j < there.length; j += 1) {
          const moved = motion(here[i]!, there[j]!, rootMoves);
          const source = (o * there.length + j) * inner;
          const target = (o * here.length + i) * inner;
          for (let k = 0; k < inner; k += 1) {
            const cost = table[source + k]! + moved;
            if (cost < next[target + k]!) next[target + k] = cost;
          }
        }
      }
    }
    lengths[part] = here.length;
    table = next;
  }
  return table;
}

/** For each root: its voicings' cost to the end. */
function costsToGo(byRoot: readonly Voicings[], roots: readonly MidiNote[]): Float64Array[] {
  const toGo: Float64Array[] = [];
  for (let i = byRoot.length - 1; i >= 0; i -= 1) {
    const { own, notes } = byRoot[i]!;
    const next = byRoot[i + 1];
    if (!next) {
      toGo[i] = own;
      continue;
    }
    const rootMoves = Math.abs(roots[i + 1]! - roots[i]!);
    const onward = throughMotion(notes, next.notes, toGo[i + 1]!, rootMoves);
    toGo[i] = onward.map((cost, index) => cost + own[index]!);
  }
  return toGo;
}

/** Walks the cheapest way forward; of equal ones the lower voicing at each root. */
function cheapestWay(
  byRoot: readonly Voicings[],
  roots: readonly MidiNote[],
  toGo: readonly Float64Array[],
): { cost: number; voicings: MidiNote[][] } {
  const voicings: MidiNote[][] = [];
  let first = 0;
  byRoot.forEach((table, i) => {
    const before = voicings[i - 1];
    const rootMoves = i === 0 ? 0 : Math.abs(roots[i]! - roots[i - 1]!);
    let best: { cost: number; notes: MidiNote[] } | undefined;
    toGo[i]!.forEach((onward, index) => {
      if (onward === Infinity || (best && onward > best.cost)) return;
      const notes = notesAt(table, index);
      const moved = (before ?? []).reduce(
        (sum, note, part) => sum + motion(note, notes[part]!, rootMoves),
        0,
      );
      const cost = onward + moved;
      if (!best || cost < best.cost || (cost === best.cost && byLowness(notes, best.notes) < 0)) {
        best = { cost, notes };
      }
    });
    if (i === 0) first = best?.cost ?? Infinity;
    if (best) voicings.push(best.notes);
  });
  return { cost: first, voicings };
}

/**
 * The cheapest way to sing a chord on the given roots, one after the other: exact. A sequence that
 * costs at most `slack` more than every root's cheapest voicing together has no voicing that costs
 * more than `slack` above its own root's cheapest. So voicings are let in by a slack that grows,
 * until the best sequence among them lies within it: then no other one can be as good.
 */
export function bestSequence(
  book: ChordBook,
  roots: readonly MidiNote[],
): ChordSequence | NoVoicing {
  const stuck = roots.find((root) => book(root).least === undefined);
  if (stuck !== undefined) return { kind: 'no-voicing', root: stuck, part: book(stuck).without };
  const least = leastPossible(book, roots);
  for (let slack = 0; ;) {
    const byRoot = roots.map((root) => book(root).upTo(book(root).least! + slack));
    const found = cheapestWay(byRoot, roots, costsToGo(byRoot, roots));
    if (found.cost <= least + slack) return { kind: 'chords', ...found };
    slack = Math.min(found.cost - least, 2 * slack + 2);
  }
}

/** The cheapest way to sing a chord on the given roots (docs/model.md, section 5). */
export const voiceChords = (
  setting: ChordSetting,
  roots: readonly MidiNote[],
): ChordSequence | NoVoicing => bestSequence(chordBook(setting), roots);
