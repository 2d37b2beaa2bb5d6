import { askWithin, WorkerLost } from '@wide-fern/client';
import { transfer } from 'comlink';
import type { FileReading, ReadingApi } from './reading.worker';

/** The largest file that is looked into, as the reader says it too. */
const largestFile = 5_000_000;
/** A file that takes longer is not read. */
const longest = 2000;
const tooLong = 'Reading this file takes too long, so it was stopped. Nothing was changed.';

/** Reads a file in a worker; what is too large or takes too long is refused in words. */
export async function readInWorker(file: File): Promise<FileReading> {
  if (file.size > largestFile) {
    const message = `This file has ${Math.ceil(file.size / 1_000_000)} MB; files up to 5 MB are read. An exercise needs a few kB.`;
    return { kind: 'refused', message };
  }
  const bytes = new Uint8Array(await file.arrayBuffer());
  try {
    return await askWithin<ReadingApi, FileReading>(
      () => new Worker(new URL('./reading.worker.ts', import.meta.url), { type: 'module' }),
      { milliseconds: longest, tooLong },
      async (api) => api.read(file.name, transfer(bytes, [bytes.buffer])),
    );
  } catch (error) {
    const message = error instanceof WorkerLost ? error.message : tooLong;
    return { kind: 'refused', message };
  }
}
