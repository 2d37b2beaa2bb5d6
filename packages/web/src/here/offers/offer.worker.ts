/** Seeks what loses least or adds most to a plan in its time, away from the page. */
import { build, type PlannerProblem } from '@wide-fern/core';
import type { Exercise } from '@wide-fern/contract';
import { offerFor, type BuildRequest, type Offer, type Standing } from '@wide-fern/plan';
import { highsSolver } from '@wide-fern/solver';
import { expose } from 'comlink';
import wasm from 'highs/runtime?url';

const solver = highsSolver({ wasm });
/** An offer is small: what is not proven by then is close to the best. */
const timeLimit = 3;
const planner = { solve: (problem: PlannerProblem) => build(problem, { solver, timeLimit }) };

const api = {
  offer: (
    request: BuildRequest,
    standing: Standing,
    favourites: readonly Exercise[],
  ): Promise<Offer | undefined> => offerFor(request, standing, planner, favourites),
};
export type OfferApi = typeof api;
expose(api);
