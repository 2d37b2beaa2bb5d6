/** Seeks and proves the best plan of a problem, away from the page; it hears nothing until it is done, so it is ended. */
import { build, type BuildNews, type Built, type PlannerProblem } from '@wide-fern/core';
import { highsSolver } from '@wide-fern/solver';
import { expose } from 'comlink';
import wasm from 'highs/runtime?url';

// The machine code is fetched at once, while the ways are still worked out.
const solver = highsSolver({ wasm, loadsAtOnce: true });
/** A really different plan is worth a look, not a long wait. */
const furtherLimit = 4;

const api = {
  solve: (problem: PlannerProblem, onNews: (news: BuildNews) => void): Promise<Built> =>
    build(problem, { solver, onNews, furtherLimit }),
};
export type SolveApi = typeof api;
expose(api);
