/** Reads a file away from the page's own thread, so that a hostile one can be stopped. */
import { readFile, UnreadableFile, type ReadFile } from '@wide-fern/interchange';

export interface ToReadingWorker {
  readonly name: string;
  readonly bytes: Uint8Array;
}
export type FromReadingWorker =
  | { readonly kind: 'read'; readonly read: ReadFile }
  | { readonly kind: 'refused'; readonly message: string };

addEventListener('message', ({ data }: MessageEvent<ToReadingWorker>) => {
  let answer: FromReadingWorker;
  try {
    answer = { kind: 'read', read: readFile(data.name, data.bytes) };
  } catch (error) {
    const message =
      error instanceof UnreadableFile
        ? error.message
        : 'This file cannot be read; it may be damaged. Save it again and try once more.';
    answer = { kind: 'refused', message };
  }
  postMessage(answer);
});

// Only now does the time run that a file may take.
postMessage('ready');
