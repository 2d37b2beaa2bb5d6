import { Worker, type WorkerOptions } from 'node:worker_threads';
import type { ReadingOfScore } from '@wide-fern/core';
import { problem } from '../../http/problem';
import type { ScoreToRead } from './thread';

/** How long a score may take, how much memory, how many at once, and how many may wait. */
const analysisLimits = {
  milliseconds: 20_000,
  megabytes: 512,
  atOnce: 2,
  waiting: 16,
} as const;

/** Node 20 knows no TypeScript in a thread; bundled, the thread stands beside the server. */
function openThread(options: WorkerOptions): Worker {
  if (!import.meta.url.endsWith('.ts')) {
    return new Worker(new URL('./analysis.thread.mjs', import.meta.url), options);
  }
  const source = JSON.stringify(new URL('./thread.ts', import.meta.url).href);
  const load = `import('tsx/esm/api').then((tsx) => { tsx.register(); return import(${source}); })`;
  return new Worker(load, { ...options, eval: true });
}

function inThread(score: ScoreToRead): Promise<ReadingOfScore> {
  const thread = openThread({
    workerData: score,
    resourceLimits: { maxOldGenerationSizeMb: analysisLimits.megabytes },
  });
  return new Promise<ReadingOfScore>((done, failed) => {
    const unreadable = () => failed(problem('unreadable_score'));
    const late = setTimeout(unreadable, analysisLimits.milliseconds);
    thread.once('message', (reading: ReadingOfScore) => done(reading));
    // Whatever ends a thread before it has answered: the file is not what it was, or is too much.
    thread.once('error', unreadable);
    thread.once('exit', () => {
      clearTimeout(late);
      unreadable();
    });
  }).finally(() => void thread.terminate());
}

let running = 0;
const waiting: (() => void)[] = [];

async function turn(): Promise<void> {
  if (running < analysisLimits.atOnce) {
    running += 1;
    return;
  }
  if (waiting.length >= analysisLimits.waiting) throw problem('too_busy');
  await new Promise<void>((go) => waiting.push(go));
}

/**
 * What a kept score asks of the parts of a choir, read in a thread of its own so that nobody else
 * waits, within limits of time and memory.
 * @throws Problem unreadable_score when it cannot be read, too_busy when too many wait already.
 */
export async function analyseScore(score: ScoreToRead): Promise<ReadingOfScore> {
  await turn();
  try {
    return await inThread(score);
  } finally {
    const next = waiting.shift();
    if (next) next();
    else running -= 1;
  }
}
