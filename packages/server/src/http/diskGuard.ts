import { statfs } from 'node:fs/promises';
import type { EndpointName, Method } from '@wide-fern/contract';
import { problem } from './problem';

/** With less than this left on the data's disk nothing new is stored: the database needs room to stay whole. */
const leastBytes = 200_000_000;
/** What was found holds so long, in ms. */
const holds = 2000;

/** How many bytes are free where the data lies. */
export type FreeBytes = () => Promise<number>;

/** Asks the disk that holds a folder, at most every two seconds. */
export function freeBytesAt(folder: string): FreeBytes {
  let found: { at: number; free: Promise<number> } | undefined;
  return () => {
    const now = Date.now();
    if (!found || now - found.at > holds) {
      const free = statfs(folder).then(
        ({ bavail, bsize }) => bavail * bsize,
        // A disk that cannot be asked does not stop anybody.
        () => Infinity,
      );
      found = { at: now, free };
    }
    return found.free;
  };
}

/**
 * Refuses what would store something while the disk is full. Reading goes on, and so does deleting,
 * which makes room, and signing in, which whoever wants to read has to; as soon as there is room, storing goes on by itself.
 * @throws Problem disk_full
 */
export async function refuseWhenFull(
  { name, method }: { readonly name: EndpointName; readonly method: Method },
  free: FreeBytes,
): Promise<void> {
  if (method === 'GET' || method === 'DELETE' || name === 'signIn') return;
  if ((await free()) < leastBytes) throw problem('disk_full');
}
