import type { Asks, FromScoreWorker, ToScoreWorker, Word } from './messages';

/** Why a score could not be read, for a person. */
export class ScoreRefused extends Error {}

interface Waiting {
  readonly done: (answer: unknown) => void;
  readonly failed: (error: Error) => void;
  readonly onProgress: ((share: number) => void) | undefined;
  readonly timer: number | undefined;
}

/** A file that takes longer to be read is stopped. */
const longest = 20_000;

/** A worker that holds one score; ended when nobody looks at it any more. */
export class ScoreWorker {
  private readonly worker = new Worker(new URL('./score.worker.ts', import.meta.url), {
    type: 'module',
  });
  private readonly waiting = new Map<number, Waiting>();
  private next = 1;

  constructor() {
    this.worker.addEventListener('message', ({ data }: MessageEvent<FromScoreWorker>) => {
      const one = this.waiting.get(data.id);
      if (!one) return;
      if (data.kind === 'progress') {
        one.onProgress?.(data.share);
        return;
      }
      this.waiting.delete(data.id);
      window.clearTimeout(one.timer);
      if (data.kind === 'answer') one.done(data.answer);
      else one.failed(new ScoreRefused(data.message));
    });
    this.worker.addEventListener('error', () =>
      this.end('The reader could not be fetched. Look at the connection and try again.'),
    );
  }

  ask<W extends Word>(
    word: W,
    asked: Asks[W]['asked'],
    onProgress?: (share: number) => void,
  ): Promise<Asks[W]['answer']> {
    const id = this.next;
    this.next += 1;
    const message: ToScoreWorker<W> = { id, word, asked };
    return new Promise((done, failed) => {
      const timer =
        word === 'open'
          ? window.setTimeout(
              () => this.end('Reading this file takes too long, so it was stopped.'),
              longest,
            )
          : undefined;
      this.waiting.set(id, {
        done: done as (answer: unknown) => void,
        failed,
        onProgress,
        timer,
      });
      this.worker.postMessage(message);
    });
  }

  /** Reads a file; its bytes are handed over. */
  open(bytes: Uint8Array, onProgress?: (share: number) => void): Promise<Asks['open']['answer']> {
    return this.ask('open', { bytes }, onProgress);
  }

  /** Ends the worker; what was asked is refused with these words. */
  end(message = 'The score was closed.'): void {
    this.worker.terminate();
    for (const { failed, timer } of this.waiting.values()) {
      window.clearTimeout(timer);
      failed(new ScoreRefused(message));
    }
    this.waiting.clear();
  }
}
