import { parentPort, workerData } from 'node:worker_threads';
import { readingOfScore, type Mapping } from '@wide-fern/core';
import { readScore } from '@wide-fern/interchange';

/** What a thread is given: a file, who sings which line, and the parts of the choir. */
export interface ScoreToRead {
  readonly bytes: Uint8Array;
  readonly mapping: readonly Mapping[];
  readonly parts: readonly string[];
}

const { bytes, mapping, parts } = workerData as ScoreToRead;
parentPort?.postMessage(readingOfScore(readScore(bytes), mapping, parts));
