import type { Remote } from 'comlink';
import { openWorker, WorkerLost } from './open';

/** A worker that says when it has been fetched. */
interface Readable {
  readonly ready: () => boolean;
}

/** Fetching a worker may take so long, in ms. */
const longestFetch = 10_000;

/**
 * Asks a worker of its own one thing, and stops it when that takes too long: for what strangers wrote.
 * @param make opens the worker
 * @param milliseconds how long it may take once the worker is there
 * @param tooLong what is said then
 * @throws WorkerLost when it was stopped, or could not be fetched
 */
export async function askWithin<T extends Readable, R>(
  make: () => Worker,
  { milliseconds, tooLong }: { readonly milliseconds: number; readonly tooLong: string },
  how: (api: Remote<T>) => Promise<R>,
): Promise<R> {
  const reader = openWorker<T>(make);
  const stop = () => reader.end(new WorkerLost(tooLong));
  let late = setTimeout(stop, longestFetch);
  try {
    await reader.ask((api) => (api as unknown as { ready: () => Promise<boolean> }).ready());
    clearTimeout(late);
    late = setTimeout(stop, milliseconds);
    return await reader.ask(how);
  } finally {
    clearTimeout(late);
    reader.end();
  }
}
