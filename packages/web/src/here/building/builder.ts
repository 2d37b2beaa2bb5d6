import { openWorker, type Opened } from '@wide-fern/client';
import type { Built } from '@wide-fern/core';
import type { BuildRequest, Planner, Weighed } from '@wide-fern/plan';
import { proxy, type Remote } from 'comlink';
import type { SolveApi } from './solve.worker';
import type { WeighApi } from './weigh.worker';

/** A planner of a page, whose search can be ended. */
export interface Builder extends Planner {
  /** Fetches what it needs, while what it is asked is still on its way. */
  readonly ready: () => void;
  /** Works out the ways that a request will need, before it is made. */
  readonly prepare: (request: BuildRequest) => Promise<void>;
  /** Ends the search it is at; it can be asked again. */
  readonly stop: () => void;
  /** Lets go of everything it holds. */
  readonly end: () => void;
}

const weigher = (): Opened<WeighApi> =>
  openWorker(() => new Worker(new URL('./weigh.worker.ts', import.meta.url), { type: 'module' }));
const solver = (): Opened<SolveApi> =>
  openWorker(() => new Worker(new URL('./solve.worker.ts', import.meta.url), { type: 'module' }));

/** Whoever weighs, for every planner of the page: it stays, so that no evening is worked out twice. */
let weighing: Opened<WeighApi> | undefined;

/** Asks whoever weighs; one that could not be fetched is opened anew the next time. */
async function askWeigher<T>(question: (api: Remote<WeighApi>) => Promise<T>): Promise<T> {
  const mine = (weighing ??= weigher());
  try {
    return await mine.ask(question);
  } catch (error) {
    if (weighing === mine) weighing = undefined;
    throw error;
  }
}

/**
 * A planner in two workers: one that weighs and remembers what it worked out, and one that searches and is
 * ended where it is no longer wanted. Both are opened when they are first wanted.
 */
export function workerBuilder(): Builder {
  let solving: Opened<SolveApi> | undefined;
  let searches = 0;
  const end = () => {
    solving?.end();
    solving = undefined;
    searches = 0;
  };
  return {
    ready: () => {
      weighing ??= weigher();
      solving ??= solver();
    },
    weigh: (request) => askWeigher(async (api): Promise<Weighed> => api.weigh(request)),
    prepare: (request) => askWeigher(async (api): Promise<void> => api.prepare(request)),
    solve: async (problem, onNews = () => undefined) => {
      const mine = (solving ??= solver());
      searches += 1;
      try {
        return await mine.ask(async (api): Promise<Built> => api.solve(problem, proxy(onNews)));
      } catch (error) {
        if (solving === mine) end();
        throw error;
      } finally {
        if (solving === mine) searches -= 1;
      }
    },
    // One that seeks nothing can stay.
    stop: () => {
      if (searches > 0) end();
    },
    end,
  };
}
