export * from './problem';
export { scoreOf, type PlanScore } from './score';
export { greedy } from './greedy';
export { build, usualTimeLimit, type Building, type BuildNews, type Built } from './build';
export { provenBest } from './proof';
export { fallsOf, narrowed, roundingError } from './narrow';
export { programmeOf } from './programme';
export type { Mip, Relaxed, SolveOptions, SolveProgress, Solved, Solver } from './mip';
export type { Wish } from './rules';
export {
  approaches,
  coolingDown,
  inShort,
  visitsOf,
  type Approach,
  type ApproachId,
  type ApproachPhase,
} from './approaches';
export {
  ask,
  leadingUp,
  needsOf,
  reachedAtFirst,
  phasesAsked,
  type PhaseWish,
  type PlannerAsked,
  type Question,
} from './question';
export {
  longestStrong,
  leastBreak,
  notesOf,
  strongFrom,
  variantFor,
  variantsOf,
  type OwnPoints,
  type PlannableExercise,
  type PlannerSetting,
  type Variant,
} from './variants';
export { servedBy, sharesOf, type Served, type Share } from './shares';
export { pointsOf, type NeedStep } from './points';
