import { openWorker, WorkerLost } from '@wide-fern/client';
import { transfer } from 'comlink';
import type { FileReading, ReadingApi } from './reading.worker';

/** The largest file that is looked into, as the reader says it too. */
const largestFile = 5_000_000;
/** A file that takes longer is not read; the worker itself may take a while to be fetched. */
const longest = 2000;
const longestFetch = 10_000;
const tooLong = 'Reading this file takes too long, so it was stopped. Nothing was changed.';

/** Reads a file in a worker; what is too large or takes too long is refused in words. */
export async function readInWorker(file: File): Promise<FileReading> {
  if (file.size > largestFile) {
    const message = `This file has ${Math.ceil(file.size / 1_000_000)} MB; files up to 5 MB are read. An exercise needs a few kB.`;
    return { kind: 'refused', message };
  }
  const bytes = new Uint8Array(await file.arrayBuffer());
  const reader = openWorker<ReadingApi>(
    () => new Worker(new URL('./reading.worker.ts', import.meta.url), { type: 'module' }),
  );
  const stop = () => reader.end(new WorkerLost(tooLong));
  let late = window.setTimeout(stop, longestFetch);
  try {
    await reader.ask((api) => api.ready());
    window.clearTimeout(late);
    late = window.setTimeout(stop, longest);
    return await reader.ask(async (api): Promise<FileReading> =>
      api.read(file.name, transfer(bytes, [bytes.buffer])),
    );
  } catch (error) {
    const message = error instanceof WorkerLost ? error.message : tooLong;
    return { kind: 'refused', message };
  } finally {
    window.clearTimeout(late);
    reader.end();
  }
}
