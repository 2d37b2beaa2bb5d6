import { releaseProxy, wrap, type Remote } from 'comlink';

/** A worker of the pages. */
export interface Opened<T> {
  /**
   * Asks it something. Rejects with what it threw, or with the reason when it is ended meanwhile or
   * could not be fetched.
   */
  readonly ask: <R>(how: (api: Remote<T>) => Promise<R>) => Promise<R>;
  /** Stops whatever it is at; what was asked and not answered is refused with this reason. */
  readonly end: (reason?: Error) => void;
}

/** A worker could not be fetched, or ended by itself. */
export class WorkerLost extends Error {}

/**
 * The one way to call a worker: each call is a promise, and what is thrown there is thrown here.
 * @param make opens the worker, as in `() => new Worker(new URL('./x.worker.ts', import.meta.url), …)`
 * @example const reader = openWorker<ReadingApi>(make); await reader.ask((api) => api.read(bytes));
 */
export function openWorker<T>(make: () => Worker): Opened<T> {
  const worker = make();
  const api = wrap<T>(worker);
  let over: (reason: Error) => void = () => undefined;
  const ended = new Promise<never>((_, failed) => {
    over = failed;
  });
  // Nobody may be waiting when it ends.
  ended.catch(() => undefined);
  const end = (reason: Error = new WorkerLost('The worker was ended.')) => {
    over(reason);
    api[releaseProxy]();
    worker.terminate();
  };
  worker.addEventListener('error', () =>
    end(new WorkerLost('The reader could not be fetched. Look at the connection and try again.')),
  );
  return { ask: async (how) => Promise.race([how(api), ended]), end };
}
