/** Reads a file away from the page's own thread, so that a hostile one can be stopped. */
import { readFile, UnreadableFile, type ReadFile } from '@wide-fern/interchange';
import { expose } from 'comlink';

/** A file as it was read, or why it cannot be, in words. */
export type FileReading =
  | { readonly kind: 'read'; readonly read: ReadFile }
  | { readonly kind: 'refused'; readonly message: string };

const api = {
  /** Answers once the worker has been fetched: only now does the time run that a file may take. */
  ready: () => true,
  read: (name: string, bytes: Uint8Array): FileReading => {
    try {
      return { kind: 'read', read: readFile(name, bytes) };
    } catch (error) {
      const message =
        error instanceof UnreadableFile
          ? error.message
          : 'This file cannot be read; it may be damaged. Save it again and try once more.';
      return { kind: 'refused', message };
    }
  },
};
export type ReadingApi = typeof api;
expose(api);
