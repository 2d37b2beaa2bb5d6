import type { MidiNote, Semitones } from '../units';
import { fitOnTonic, type Fit } from '../fit/fit';
import type { Voice } from '../voices/parts';
import { ladderCosts } from './costs';
import {
  heldOctaves,
  heldPattern,
  type FixedMoves,
  type LadderPattern,
  type Move,
  type PartPath,
  type ToldMove,
} from './problem';
import type { PitchRange } from '../units';

/** Without a word of the exercise, a part may sing as usual, an octave down, or an octave up. */
const usualMoves: readonly Semitones[] = [0, -12, 12];

/** What one part can do, in the order of preference: as usual, down, up, rest. */
export interface PartChoices {
  readonly section: Voice;
  readonly pattern: LadderPattern;
  readonly displacements: readonly Semitones[];
  /** The weight in a key, by its tonic and place, of every displacement in order, then of resting; Infinity where it is not allowed. */
  readonly weights: (tonic: MidiNote, place: number) => readonly number[];
  /** Whether the part rests in this key because it was told to: such a rest is not counted. */
  readonly restsAnyway: (place: number) => boolean;
  /** What another octave than in the key before costs there: nothing into and out of a note that is held. */
  readonly changing: (place: number) => number;
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
/** A rest told by hand costs the same, and is not one of those that are counted. */
const toldRestWeight = weigh(ladderCosts.rest, 0, 0);

/** The points of one repetition in one part, wherever it lies (docs/model.md, section 5). */
function singingCost(
  { section, pattern, window: [windowLow, windowHigh] }: PartSetting,
  fit: Fit,
  displacement: Semitones,
): number {
  return (
    ladderCosts.outsideWindow *
      (Math.max(0, windowLow - fit.low) + Math.max(0, fit.high - windowHigh)) +
    ladderCosts.belowComfort * Math.max(0, section.comfort[0] - fit.low) +
    ladderCosts.aboveComfort * Math.max(0, fit.high - section.comfort[1]) +
    (displacement === 0 || pattern.anyOctave ? 0 : ladderCosts.awayFromUsual)
  );
}

/** What a part's choices depend on. */
export interface PartSetting {
  readonly section: Voice;
  readonly pattern: LadderPattern;
  /** Where the part should keep to. */
  readonly window: PitchRange;
  /** What it was told to do in some keys. */
  readonly fixed?: FixedMoves | undefined;
}

/** Prepares what a part can do with a pattern; the weights of a tonic are computed once. */
export function partChoices(setting: PartSetting): PartChoices {
  const { section, pattern, fixed } = setting;
  const usual = pattern.octaveMoves ?? usualMoves;
  const told = Object.values(fixed ?? {}).flatMap((move) =>
    move === 'rest' ? [] : move === 'hold' ? heldOctaves : [move - section.octave],
  );
  const displacements = [...new Set([...usual, ...told])].sort(byPreference);
  const rest = (pattern.mayRest ?? true) ? restWeight : Infinity;
  const weight = (
    tonic: MidiNote,
    displacement: Semitones,
    anyway: boolean,
    sung: LadderPattern = pattern,
  ): number => {
    const fit = fitOnTonic(section, sung, tonic, section.octave + displacement);
    const isOut = fit.state === 'out' || (sung.strict && fit.state !== 'comfortable');
    if (isOut && !anyway) return Infinity;
    const isAway = displacement !== 0 && !sung.anyOctave;
    return weigh(singingCost({ ...setting, pattern: sung }, fit, displacement), 0, isAway ? 1 : 0);
  };
  const known = new Map<MidiNote, readonly number[]>();
  const free = (tonic: MidiNote): readonly number[] => {
    const found = known.get(tonic);
    if (found) return found;
    const weights = displacements.map((displacement) =>
      usual.includes(displacement) ? weight(tonic, displacement, false) : Infinity,
    );
    weights.push(rest);
    known.set(tonic, weights);
    return weights;
  };
  /** The key's note in each octave, within the reach where any of them is. */
  const held = (tonic: MidiNote): readonly number[] => {
    const each = (anyway: boolean) =>
      displacements.map((displacement) =>
        heldOctaves.includes(displacement)
          ? weight(tonic, displacement, anyway, heldPattern)
          : Infinity,
      );
    const within = each(false);
    return within.every((one) => one === Infinity) ? each(true) : within;
  };
  const toldTo = (tonic: MidiNote, move: Exclude<ToldMove, 'hold'>): readonly number[] => [
    ...displacements.map((displacement) =>
      move === section.octave + displacement ? weight(tonic, displacement, true) : Infinity,
    ),
    move === 'rest' ? toldRestWeight : Infinity,
  ];
  const common = { section, pattern, displacements };
  if (!fixed) {
    return { ...common, weights: free, restsAnyway: () => false, changing: () => changeWeight };
  }
  return {
    ...common,
    weights: (tonic, place) => {
      const move = fixed[place];
      if (move === undefined) return free(tonic);
      return move === 'hold' ? [...held(tonic), Infinity] : toldTo(tonic, move);
    },
    restsAnyway: (place) => fixed[place] === 'rest',
    changing: (place) =>
      fixed[place] === 'hold' || fixed[place - 1] === 'hold' ? 0 : changeWeight,
  };
}

/** For each key, the weight of every action: the displacements in order, then resting. */
const ownWeights = (choices: PartChoices, tonics: readonly MidiNote[]): (readonly number[])[] =>
  tonics.map((tonic, place) => choices.weights(tonic, place));

function least(values: readonly number[]): number {
  let smallest = Infinity;
  for (const value of values) if (value < smallest) smallest = value;
  return smallest;
}

/**
 * The cheapest action at every key from the last to the first. `toGo[i][r][a]` is the weight from
 * key i to the end when action a is taken there and r rests are still allowed after the keys before.
 */
function weightsToGo(
  choices: PartChoices,
  own: readonly (readonly number[])[],
  budget: number,
): number[][][] {
  const rest = (own[0]?.length ?? 0) - 1;
  const toGo: number[][][] = Array.from({ length: own.length }, () => []);
  for (let i = own.length - 1; i >= 0; i -= 1) {
    for (let r = 0; r <= budget; r += 1) {
      toGo[i]![r] = own[i]!.map((weight, action) => {
        const left = action === rest && !choices.restsAnyway(i) ? r - 1 : r;
        if (left < 0 || weight === Infinity) return Infinity;
        const next = toGo[i + 1]?.[left];
        if (!next) return weight;
        const same = next[action]!;
        const changed = least(next) + choices.changing(i + 1);
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
    const own = choices.weights(tonics[i]!, i);
    const changed = smallest + choices.changing(i + 1);
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
  return costOfWeight(
    least(weightsToGo(choices, ownWeights(choices, tonics), budget)[0]![budget]!),
  );
}

/**
 * A part's cheapest way through the tonics: exact, by dynamic programming over what it does and
 * the rests it may still take (at most half of the keys, those told by hand not counted). Of equal costs: fewest rests, then fewest
 * keys away from the usual octave, then as usual for longest, then down before up before rest.
 * Undefined when there is no way.
 */
export function partPath(choices: PartChoices, tonics: readonly MidiNote[]): PartPath | undefined {
  const own = ownWeights(choices, tonics);
  const budget = Math.floor(tonics.length / 2);
  const toGo = weightsToGo(choices, own, budget);
  const total = least(toGo[0]?.[budget] ?? []);
  if (total === Infinity) return undefined;
  const restAction = choices.displacements.length;
  const moves: Move[] = [];
  let left = budget;
  let before = -1;
  for (let i = 0; i < tonics.length; i += 1) {
    const weights = toGo[i]![left]!.map((weight, action) =>
      before >= 0 && action !== before ? weight + choices.changing(i) : weight,
    );
    before = weights.indexOf(least(weights));
    if (before === restAction && !choices.restsAnyway(i)) left -= 1;
    moves.push(
      before === restAction ? 'rest' : choices.section.octave + choices.displacements[before]!,
    );
  }
  return { id: choices.section.id, moves, cost: costOfWeight(total) };
}
