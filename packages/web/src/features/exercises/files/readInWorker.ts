import type { FromReadingWorker, ToReadingWorker } from './reading.worker';

/** The largest file that is looked into, as the reader says it too. */
export const largestFile = 5_000_000;
/** A file that takes longer is not read. */
const longest = 2000;

/** Reads a file in a worker; what is too large or takes too long is refused in words. */
export async function readInWorker(file: File): Promise<FromReadingWorker> {
  if (file.size > largestFile) {
    const message = `This file has ${Math.ceil(file.size / 1_000_000)} MB; files up to 5 MB are read. An exercise needs a few kB.`;
    return { kind: 'refused', message };
  }
  const bytes = new Uint8Array(await file.arrayBuffer());
  const worker = new Worker(new URL('./reading.worker.ts', import.meta.url), { type: 'module' });
  return new Promise((done) => {
    const end = (answer: FromReadingWorker) => {
      clearTimeout(timer);
      worker.terminate();
      done(answer);
    };
    const refuse = (message: string) => end({ kind: 'refused', message });
    let timer = window.setTimeout(
      // The worker itself has to be fetched first; what it reads then has two seconds.
      () => refuse('Reading this file takes too long, so it was stopped. Nothing was changed.'),
      longest + 8000,
    );
    worker.addEventListener('message', ({ data }: MessageEvent<FromReadingWorker | 'ready'>) => {
      if (data !== 'ready') {
        end(data);
        return;
      }
      clearTimeout(timer);
      timer = window.setTimeout(
        () => refuse('Reading this file takes too long, so it was stopped. Nothing was changed.'),
        longest,
      );
      const message: ToReadingWorker = { name: file.name, bytes };
      worker.postMessage(message, [bytes.buffer]);
    });
    worker.addEventListener('error', () =>
      refuse('The reader could not be fetched. Look at the connection and try again.'),
    );
  });
}
