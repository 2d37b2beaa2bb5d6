import { own } from '../own';
import type { MidiNote, PitchRange } from '../units';
import { fitOnTonic, stageWindow } from '../fit/fit';
import { ladderCosts } from './costs';
import { leastCost, partChoices, partPath, pathCost, type PartChoices } from './partPath';
import { patternOf, type Infeasible, type Ladder, type LadderProblem } from './problem';
import type { Voice } from '../voices/parts';
import { keyOffsets } from './shape';

/** The points of a start that do not depend on any part: away from the preferred one, short of the goals. */
function startCost(problem: LadderProblem, tonics: readonly MidiNote[]): number {
  const { preferredStart, goalTonic, goalBottomTonic } = problem;
  const missed = (by: number, each: number) => each * Math.max(0, by);
  return (
    (preferredStart === undefined
      ? 0
      : ladderCosts.startMoved * Math.abs(tonics[0]! - preferredStart)) +
    (goalTonic === undefined
      ? 0
      : missed(goalTonic - Math.max(...tonics), ladderCosts.goalMissed)) +
    (goalBottomTonic === undefined
      ? 0
      : missed(Math.min(...tonics) - goalBottomTonic, ladderCosts.bottomGoalMissed))
  );
}

/** Every note a tonic can be. */
const anyTonic: PitchRange = [0, 127];

/**
 * The starts at which every part could sing in at least one of the keys: the search stays inside.
 * A part that is told by hand what to do in so many keys that it may rest in all others binds nothing.
 */
function startsWorthTrying(problem: LadderProblem, choices: readonly PartChoices[]): PitchRange {
  const offsets = keyOffsets(problem);
  const { fixed, keys } = problem;
  const binding = choices.filter(({ section }) => {
    const told = Object.keys(own(fixed, section.id) ?? {}).length;
    return keys - told > Math.floor(keys / 2);
  });
  if (binding.length === 0) return anyTonic;
  const low = binding.map(({ section, displacements, pattern: { lowest } }) => {
    const octave = section.octave + Math.max(...displacements);
    return section.reach[0] - octave - lowest - Math.max(...offsets);
  });
  const high = binding.map(({ section, displacements, pattern: { highest } }) => {
    const octave = section.octave + Math.min(...displacements);
    return section.reach[1] - octave - highest - Math.min(...offsets);
  });
  return [Math.max(...low), Math.min(...high)];
}

/** What each part can do: within its own window, or the stage's; and what it was told to. */
const choicesOf = (problem: LadderProblem): PartChoices[] =>
  problem.sections.map((section) =>
    partChoices({
      section,
      pattern: patternOf(problem, section.id),
      window: windowOf(problem, section),
      fixed: own(problem.fixed, section.id),
    }),
  );

/** Where a part should keep to. */
const windowOf = (problem: LadderProblem, section: Voice): PitchRange =>
  own(problem.windows, section.id) ?? stageWindow(section.comfort, problem.fraction);

const tonicsFrom = (problem: LadderProblem, start: MidiNote): MidiNote[] =>
  keyOffsets(problem).map((offset) => start + offset);

function climb(
  problem: LadderProblem,
  choices: readonly PartChoices[],
  start: MidiNote,
): Ladder | undefined {
  const tonics = tonicsFrom(problem, start);
  const paths = choices.flatMap((part) => partPath(part, tonics) ?? []);
  if (paths.length < choices.length) return undefined;
  const cost = startCost(problem, tonics) + paths.reduce((sum, path) => sum + path.cost, 0);
  return { kind: 'ladder', start, cost, tonics, paths };
}

/**
 * The ladder from one given start, or undefined when some part cannot sing it.
 * What a start chosen by hand costs is the difference between its points and the best one's.
 */
export function ladderFrom(problem: LadderProblem, start: MidiNote): Ladder | undefined {
  return climb(problem, choicesOf(problem), start);
}

/**
 * The ladder from a start although parts have no way within their reach: those sing beyond it,
 * everyone else as well as can be. What a director wants sung is not taken away, it is marked.
 */
export function ladderAnyway(problem: LadderProblem, start: MidiNote): Ladder {
  const tonics = tonicsFrom(problem, start);
  const beyond: string[] = [];
  const paths = choicesOf(problem).map((part) => {
    const within = partPath(part, tonics);
    if (within) return within;
    const { section } = part;
    beyond.push(section.id);
    const open = {
      section: { ...section, reach: [-Infinity, Infinity] as const },
      pattern: { ...part.pattern, strict: false },
      window: windowOf(problem, section),
      fixed: own(problem.fixed, section.id),
    };
    return partPath(partChoices(open), tonics)!;
  });
  const cost = startCost(problem, tonics) + paths.reduce((sum, path) => sum + path.cost, 0);
  return { kind: 'ladder', start, cost, tonics, paths, ...(beyond.length > 0 ? { beyond } : {}) };
}

/** Adds up the parts' costs, and stops once the limit is reached. */
function sumWhileBelow(
  limit: number,
  from: number,
  choices: readonly PartChoices[],
  cost: (part: PartChoices) => number,
): number {
  let sum = from;
  for (const part of choices) {
    if (sum >= limit) break;
    sum += cost(part);
  }
  return sum;
}

/**
 * The best ladder: the given start, or the one of least cost, of equal ones the lower, with each part's cheapest way
 * through the keys (docs/model.md, section 5). Exact over all starts.
 */
export function bestLadder(problem: LadderProblem): Ladder | Infeasible {
  const choices = choicesOf(problem);
  const offsets = keyOffsets(problem);
  const { start: given } = problem;
  const [first, last] =
    given === undefined ? startsWorthTrying(problem, choices) : ([given, given] as const);
  let best: { start: MidiNote; cost: number } | undefined;
  for (let start = first; start <= last; start += 1) {
    const tonics = offsets.map((offset) => start + offset);
    const fixed = startCost(problem, tonics);
    const most = best?.cost ?? Infinity;
    // A start that is no better even with rests to spare needs no closer look.
    if (sumWhileBelow(most, fixed, choices, (part) => leastCost(part, tonics)) >= most) continue;
    const cost = sumWhileBelow(most, fixed, choices, (part) => pathCost(part, tonics));
    if (cost < most) best = { start, cost };
  }
  const ladder = best && climb(problem, choices, best.start);
  return (
    ladder ?? whatPreventsIt(problem, choices, given === undefined ? anyTonic : [given, given])
  );
}

/**
 * Which part and which end prevent any ladder: at the start where the fewest parts are stopped
 * (then the least they miss, then the lower start), the part that misses most.
 */
function whatPreventsIt(
  problem: LadderProblem,
  choices: readonly PartChoices[],
  [first, last]: PitchRange,
): Infeasible {
  const offsets = keyOffsets(problem);
  const limits = (part: PartChoices): PitchRange =>
    part.pattern.strict ? part.section.comfort : part.section.reach;
  // Begun at the part's lowest note, what is too wide for it runs out at the top.
  const isTooWide = (part: PartChoices): boolean => {
    const [low, high] = limits(part);
    const { lowest, highest, mayRest } = part.pattern;
    const travel = mayRest === false ? Math.max(...offsets) - Math.min(...offsets) : 0;
    return highest - lowest + travel > high - low;
  };
  const misses = (part: PartChoices, tonic: MidiNote) =>
    part.displacements
      .map((displacement) => {
        const octave = part.section.octave + displacement;
        const { low, high } = fitOnTonic(part.section, part.pattern, tonic, octave);
        const [lowest, highest] = limits(part);
        return { below: Math.max(0, lowest - low), above: Math.max(0, high - highest) };
      })
      .reduce((a, b) => (b.below + b.above < a.below + a.above ? b : a));
  let found: (Infeasible & { stopped: number; missed: number }) | undefined;
  for (let start = first; start <= last; start += 1) {
    const tonics = offsets.map((offset) => start + offset);
    const stopped = choices
      .filter((part) => pathCost(part, tonics) === Infinity)
      .map((part) => {
        const each = tonics.map((tonic) => misses(part, tonic));
        const below = Math.max(...each.map((miss) => miss.below));
        const above = Math.max(...each.map((miss) => miss.above));
        return { part, below, above, missed: below + above };
      });
    const worst = stopped.reduce((a, b) => (b.missed > a.missed ? b : a), stopped[0]!);
    const missed = stopped.reduce((sum, one) => sum + one.missed, 0);
    const better =
      !found ||
      stopped.length < found.stopped ||
      (stopped.length === found.stopped && missed < found.missed);
    if (better) {
      found = {
        kind: 'infeasible',
        part: worst.part.section.id,
        end: isTooWide(worst.part) || worst.above >= worst.below ? 'top' : 'bottom',
        stopped: stopped.length,
        missed,
      };
    }
  }
  const { part, end } = found!;
  return { kind: 'infeasible', part, end };
}
