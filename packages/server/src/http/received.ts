import { randomUUID } from 'node:crypto';
import { createWriteStream } from 'node:fs';
import { readFile, rm } from 'node:fs/promises';
import { tmpdir } from 'node:os';
import { join } from 'node:path';
import { Transform } from 'node:stream';
import { pipeline } from 'node:stream/promises';
import type { Request } from 'express';
import pLimit, { type LimitFunction } from 'p-limit';
import { problem } from './problem';

/** A choir sends at most so many files at once; who sends more waits, unread. */
const atOnce = 2;
/** And so many wait. */
const mostWaiting = 30;
/** So many files are held in memory at once, while they are stored; each several times over on its way. */
const heldAtOnce = 1;

/** A file that was sent: it lies on the disk until the answer is given. */
export interface Received {
  readonly size: number;
  /** Works with its bytes; only a few files are in memory at once. */
  readonly use: <T>(work: (bytes: Buffer) => Promise<T>) => Promise<T>;
}

const held = pLimit(heldAtOnce);
const senders = new Map<string, LimitFunction>();

/** Beyond this whoever sends more than is taken is cut off instead of told. */
const patience = 4;

/** Who sends, how much is taken, and what it is. */
interface Taken {
  readonly sender: string;
  readonly most: number;
  readonly what: 'score' | 'choir' | 'recording';
}

async function toDisk(request: Request, path: string, { most, what }: Taken): Promise<number> {
  let size = 0;
  const counted = new Transform({
    transform(chunk: Buffer, _encoding, done) {
      size += chunk.length;
      if (size > patience * most) done(problem('too_large', what));
      // What is too much is read and let go, so that the answer can be given.
      else if (size > most) done();
      else done(null, chunk);
    },
  });
  await pipeline(request, counted, createWriteStream(path, { mode: 0o600 }));
  if (size > most) throw problem('too_large', what);
  return size;
}

/**
 * Takes a file in as it comes, on the disk, and has it worked with. One sender's files beyond two wait
 * before a byte of them is read.
 * @throws Problem too_large beyond `most` bytes, too_busy when too many wait
 */
export async function withReceived<T>(
  request: Request,
  { sender, most, what }: Taken,
  work: (file: Received) => Promise<T>,
): Promise<T> {
  const turns = senders.get(sender) ?? pLimit(atOnce);
  senders.set(sender, turns);
  const announced = Number(request.headers['content-length'] ?? 0);
  if (announced > most || turns.pendingCount >= mostWaiting) {
    request.resume();
    throw announced > most ? problem('too_large', what) : problem('too_busy');
  }
  try {
    return await turns(async () => {
      const path = join(tmpdir(), `wide-fern-${randomUUID()}`);
      try {
        const size = await toDisk(request, path, { sender, most, what });
        return await work({ size, use: (go) => held(async () => go(await readFile(path))) });
      } finally {
        await rm(path, { force: true });
      }
    });
  } finally {
    if (turns.activeCount + turns.pendingCount === 0) senders.delete(sender);
  }
}
