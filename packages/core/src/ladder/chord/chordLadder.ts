import type { MidiNote, Semitones } from '../../units';
import { ladderCosts } from '../costs';
import { keyOffsets } from '../shape';
import type { ChordLadder, ChordProblem } from './problem';
import { byLowness, notesAt, pitchClass, voicingsOf, type Voicings } from './voicings';

/** The starts tried without a preferred one: a chord an octave away is the same chord. */
const usualStarts = { first: 55, count: 12 } as const;

const motion = (from: MidiNote, to: MidiNote, rootMoves: Semitones): number =>
  Math.max(0, Math.abs(from - to) - rootMoves);

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

/** For each root of one start: its voicings and their cost to the end. */
function solve(byRoot: readonly Voicings[], roots: readonly MidiNote[]): Float64Array[] {
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
    for (let index = 0; index < own.length; index += 1)
      onward[index] = onward[index]! + own[index]!;
    toGo[i] = onward;
  }
  return toGo;
}

function choose(
  byRoot: readonly Voicings[],
  roots: readonly MidiNote[],
  toGo: readonly Float64Array[],
): MidiNote[][] {
  const chosen: MidiNote[][] = [];
  byRoot.forEach((voicings, i) => {
    const before = chosen[i - 1];
    const rootMoves = i === 0 ? 0 : Math.abs(roots[i]! - roots[i - 1]!);
    let best: { cost: number; notes: MidiNote[] } | undefined;
    toGo[i]!.forEach((onward, index) => {
      if (onward === Infinity || (best && onward > best.cost)) return;
      const notes = notesAt(voicings, index);
      const moved = (before ?? []).reduce(
        (sum, note, part) => sum + motion(note, notes[part]!, rootMoves),
        0,
      );
      const cost = onward + moved;
      if (!best || cost < best.cost || (cost === best.cost && byLowness(notes, best.notes) < 0)) {
        best = { cost, notes };
      }
    });
    if (best) chosen.push(best.notes);
  });
  return chosen;
}

/** The voicings of roots, computed once for each of the twelve; a root an octave away has the same. */
type KnownVoicings = (root: MidiNote) => Voicings;

function remembered(problem: ChordProblem): KnownVoicings {
  const known = new Map<number, Voicings>();
  return (root) => {
    const voicings = known.get(pitchClass(root)) ?? voicingsOf(problem, root);
    known.set(pitchClass(root), voicings);
    return voicings;
  };
}

interface Solved {
  readonly start: MidiNote;
  readonly cost: number;
  readonly tonics: readonly MidiNote[];
  readonly byRoot: readonly Voicings[];
  readonly toGo: readonly Float64Array[];
}

function solveFrom(
  problem: ChordProblem,
  voicings: KnownVoicings,
  start: MidiNote,
): Solved | undefined {
  const tonics = keyOffsets(problem.shape, problem.keys, problem.step).map((d) => start + d);
  const byRoot = tonics.map(voicings);
  const toGo = solve(byRoot, tonics);
  let least = Infinity;
  for (const cost of toGo[0]!) if (cost < least) least = cost;
  if (least === Infinity) return undefined;
  const moved =
    problem.preferredStart === undefined
      ? 0
      : ladderCosts.startMoved * Math.abs(start - problem.preferredStart);
  return { start, cost: least + moved, tonics, byRoot, toGo };
}

const asLadder = ({ start, cost, tonics, byRoot, toGo }: Solved): ChordLadder => ({
  kind: 'chord',
  start,
  cost,
  tonics,
  voicings: choose(byRoot, tonics, toGo),
});

/**
 * The chord ladder from one start, or undefined when some root cannot be voiced: exact, by dynamic
 * programming over all voicings (docs/model.md, section 5).
 */
export function chordLadderFrom(problem: ChordProblem, start: MidiNote): ChordLadder | undefined {
  const solved = solveFrom(problem, remembered(problem), start);
  return solved && asLadder(solved);
}

/** The best chord ladder over the twelve starts around the preferred one; of equal ones the lower. Undefined when none can be voiced. */
export function bestChordLadder(problem: ChordProblem): ChordLadder | undefined {
  const voicings = remembered(problem);
  const first =
    problem.preferredStart === undefined ? usualStarts.first : problem.preferredStart - 6;
  let best: Solved | undefined;
  for (let start = first; start < first + usualStarts.count; start += 1) {
    const solved = solveFrom(problem, voicings, start);
    if (solved && solved.cost < (best?.cost ?? Infinity)) best = solved;
  }
  return best && asLadder(best);
}
