import { openWorker, type Opened } from '@wide-fern/client';
import type { Built } from '@wide-fern/core';
import type { Planner, Weighed } from '@wide-fern/plan';
import { proxy } from 'comlink';
import type { SolveApi } from './solve.worker';
import type { WeighApi } from './weigh.worker';

/** A planner of a page, whose search can be ended. */
export interface Builder extends Planner {
  /** Ends the search it is at; it can be asked again. */
  readonly stop: () => void;
  /** Lets go of everything it holds. */
  readonly end: () => void;
}

const weigher = (): Opened<WeighApi> =>
  openWorker(() => new Worker(new URL('./weigh.worker.ts', import.meta.url), { type: 'module' }));
const solver = (): Opened<SolveApi> =>
  openWorker(() => new Worker(new URL('./solve.worker.ts', import.meta.url), { type: 'module' }));

/**
 * A planner in two workers: one that weighs and remembers what it worked out, and one that searches and is
 * ended where it is no longer wanted. Both are opened when they are first asked.
 */
export function workerBuilder(): Builder {
  let weighing: Opened<WeighApi> | undefined;
  let solving: Opened<SolveApi> | undefined;
  const stop = () => {
    solving?.end();
    solving = undefined;
  };
  return {
    weigh: async (request) => {
      const mine = (weighing ??= weigher());
      try {
        return await mine.ask(async (api): Promise<Weighed> => api.weigh(request));
      } catch (error) {
        // One that could not be fetched is opened anew the next time.
        if (weighing === mine) weighing = undefined;
        throw error;
      }
    },
    solve: async (problem, onNews = () => undefined) => {
      const mine = (solving ??= solver());
      try {
        return await mine.ask(async (api): Promise<Built> => api.solve(problem, proxy(onNews)));
      } catch (error) {
        if (solving === mine) solving = undefined;
        throw error;
      }
    },
    stop,
    end: () => {
      stop();
      weighing?.end();
      weighing = undefined;
    },
  };
}
