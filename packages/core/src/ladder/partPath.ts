import type { MidiNote, Semitones } from '../units';
import { fitOnTonic, stageWindow } from '../fit/fit';
import type { Voice } from '../voices/parts';
import { ladderCosts } from './costs';
import type { LadderPattern, Move, PartPath } from './problem';

/** Without a word of the exercise, a part may sing as usual, an octave down, or an octave up. */
const usualMoves: readonly Semitones[] = [0, -12, 12];

/** What one part can do, in the order of preference: as usual, down, up, rest. */
export interface PartChoices {
  readonly section: Voice;
  readonly pattern: LadderPattern;
  readonly displacements: readonly Semitones[];
  /** The weight on a tonic of every displacement in order, then of resting; Infinity where it is not allowed. */
  readonly weights: (tonic: MidiNote) => readonly number[];
}

const byPreference = (a: Semitones, b: Semitones): number => {
  const side = (x: Semitones) => (x === 0 ? 0 : x < 0 ? 1 : 2);
  return side(a) - side(b) || Math.abs(a) - Math.abs(b);
};

/**
 * Cost, rests and keys away from the usual octave in one number, compared in that order. Exact
 * while a ladder has fewer keys than the base.
 */
const base = 1024;
const weigh = (cost: number, rests: number, away: number): number =>
  (cost * base + rests) * base + away;
const changeWeight = weigh(ladderCosts.change, 0, 0);
const restWeight = weigh(ladderCosts.rest, 1, 0);

/** The points of one repetition in one part; Infinity where it is not allowed (docs/model.md, section 5). */
function singingCost(
  section: Voice,
  pattern: LadderPattern,
  fraction: number,
): (tonic: MidiNote, displacement: Semitones) => number {
  const [windowLow, windowHigh] = stageWindow(section.comfort, fraction);
  return (tonic, displacement) => {
    const fit = fitOnTonic(section, pattern, tonic, section.octave + displacement);
    if (fit.state === 'out' || (pattern.strict && fit.state !== 'comfortable')) return Infinity;
    return (
      ladderCosts.outsideWindow *
        (Math.max(0, windowLow - fit.low) + Math.max(0, fit.high - windowHigh)) +
      ladderCosts.belowComfort * Math.max(0, -fit.roomBelow) +
      ladderCosts.aboveComfort * Math.max(0, -fit.roomAbove) +
      (displacement === 0 || pattern.anyOctave ? 0 : ladderCosts.awayFromUsual)
    );
  };
}

/** Prepares what a part can do with a pattern; the weights of a tonic are computed once. */
export function partChoices(section: Voice, pattern: LadderPattern, fraction: number): PartChoices {
  const displacements = [...new Set(pattern.octaveMoves ?? usualMoves)].sort(byPreference);
  const rest = (pattern.mayRest ?? true) ? restWeight : Infinity;
  const cost = singingCost(section, pattern, fraction);
  const known = new Map<MidiNote, readonly number[]>();
  return {
    section,
    pattern,
    displacements,
    weights: (tonic) => {
      const found = known.get(tonic);
      if (found) return found;
      const weights = displacements.map((displacement) =>
        weigh(cost(tonic, displacement), 0, displacement === 0 || pattern.anyOctave ? 0 : 1),
      );
      weights.push(rest);
      known.set(tonic, weights);
      return weights;
    },
  };
}

/** For each key, the weight of every action: the displacements in order, then resting. */
function ownWeights(choices: PartChoices, tonics: readonly MidiNote[]): (readonly number[])[] {
  return tonics.map((tonic) => choices.weights(tonic));
}

function least(values: readonly number[]): number {
  let smallest = Infinity;
  for (const value of values) if (value < smallest) smallest = value;
  return smallest;
}

/**
 * The cheapest action at every key from the last to the first. `toGo[i][r][a]` is the weight from
 * key i to the end when action a is taken there and r rests are still allowed after the keys before.
 */
function weightsToGo(own: readonly (readonly number[])[], budget: number): number[][][] {
  const rest = (own[0]?.length ?? 0) - 1;
  const toGo: number[][][] = Array.from({ length: own.length }, () => []);
  for (let i = own.length - 1; i >= 0; i -= 1) {
    for (let r = 0; r <= budget; r += 1) {
      toGo[i]![r] = own[i]!.map((weight, action) => {
        const left = action === rest ? r - 1 : r;
        if (left < 0 || weight === Infinity) return Infinity;
        const next = toGo[i + 1]?.[left];
        if (!next) return weight;
        const same = next[action]!;
        const changed = least(next) + changeWeight;
        return weight + Math.min(same, changed);
      });
    }
  }
  return toGo;
}

/** The least weight of a part over the tonics without looking at how many rests it takes. */
function leastWeight(choices: PartChoices, tonics: readonly MidiNote[]): number {
  const actions = choices.displacements.length + 1;
  const toGo = new Float64Array(actions);
  let smallest = 0;
  for (let i = tonics.length - 1; i >= 0; i -= 1) {
    const own = choices.weights(tonics[i]!);
    const changed = smallest + changeWeight;
    let next = Infinity;
    for (let action = 0; action < actions; action += 1) {
      const same = toGo[action]!;
      const onward = i === tonics.length - 1 ? 0 : same < changed ? same : changed;
      const weight = own[action]! + onward;
      toGo[action] = weight;
      if (weight < next) next = weight;
    }
    smallest = next;
  }
  return smallest;
}

const costOfWeight = (weight: number): number => Math.floor(weight / (base * base));
const restsOfWeight = (weight: number): number => Math.floor(weight / base) % base;

/** The points of a part's cheapest way when it might rest as often as it likes: never more than the real ones. */
export const leastCost = (choices: PartChoices, tonics: readonly MidiNote[]): number =>
  costOfWeight(leastWeight(choices, tonics));

/** The points of a part's cheapest way through the tonics; Infinity when there is none. */
export function pathCost(choices: PartChoices, tonics: readonly MidiNote[]): number {
  const free = leastWeight(choices, tonics);
  const budget = Math.floor(tonics.length / 2);
  if (free === Infinity || restsOfWeight(free) <= budget) return costOfWeight(free);
  return costOfWeight(least(weightsToGo(ownWeights(choices, tonics), budget)[0]![budget]!));
}

/**
 * A part's cheapest way through the tonics: exact, by dynamic programming over what it does and
 * the rests it may still take (at most half of the keys). Of equal costs: fewest rests, then fewest
 * keys away from the usual octave, then as usual for longest, then down before up before rest.
 * Undefined when there is no way.
 */
export function partPath(choices: PartChoices, tonics: readonly MidiNote[]): PartPath | undefined {
  const own = ownWeights(choices, tonics);
  const budget = Math.floor(tonics.length / 2);
  const toGo = weightsToGo(own, budget);
  const total = least(toGo[0]?.[budget] ?? []);
  if (total === Infinity) return undefined;
  const restAction = choices.displacements.length;
  const moves: Move[] = [];
  let left = budget;
  let before = -1;
  for (let i = 0; i < tonics.length; i += 1) {
    const weights = toGo[i]![left]!.map((weight, action) =>
      before >= 0 && action !== before ? weight + changeWeight : weight,
    );
    before = weights.indexOf(least(weights));
    if (before === restAction) left -= 1;
    moves.push(
      before === restAction ? 'rest' : choices.section.octave + choices.displacements[before]!,
    );
  }
  return { id: choices.section.id, moves, cost: costOfWeight(total) };
}
