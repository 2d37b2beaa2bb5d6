import { openWorker } from '@wide-fern/client';
import type { FoundScore } from '@wide-fern/core';
import { proxy } from 'comlink';
import { scoreRefused, type Asks, type ScoreApi, type Word } from './messages';

/** Why a score could not be read, for a person. */
export class ScoreRefused extends Error {}

/** A file that takes longer to be read is stopped. */
const longest = 20_000;

const asRefused = (error: unknown): unknown =>
  error instanceof Error && error.name === scoreRefused ? new ScoreRefused(error.message) : error;

/** A worker that holds one score; ended when nobody looks at it any more. */
export class ScoreWorker {
  private readonly worker = openWorker<ScoreApi>(
    () => new Worker(new URL('./score.worker.ts', import.meta.url), { type: 'module' }),
  );

  /** Asks the score that is held. */
  async ask<W extends Word>(word: W, asked: Asks[W]['asked']): Promise<Asks[W]['answer']> {
    try {
      return await this.worker.ask(async (api) => {
        const answer = api[word] as unknown as (of: typeof asked) => Promise<Asks[W]['answer']>;
        return answer(asked);
      });
    } catch (error) {
      throw asRefused(error);
    }
  }

  /** Opens a kept file that was read on this device before; false when it has to be fetched. */
  openKept(file: string): Promise<boolean> {
    return this.worker.ask((api) => api.openKept(file));
  }

  /** Reads a file; one that takes too long is stopped. */
  async open(
    bytes: Uint8Array,
    onProgress: (share: number) => void = () => undefined,
    file?: string,
  ): Promise<FoundScore> {
    const late = window.setTimeout(
      () => this.end('Reading this file takes too long, so it was stopped.'),
      longest,
    );
    // Progress comes on a way of its own, and may arrive after the answer.
    let isOver = false;
    const tell = (share: number) => {
      if (!isOver) onProgress(share);
    };
    try {
      return await this.worker.ask((api) => api.open(bytes, proxy(tell), file));
    } catch (error) {
      throw asRefused(error);
    } finally {
      isOver = true;
      window.clearTimeout(late);
    }
  }

  /** Ends the worker; what was asked is refused with these words. */
  end(message = 'The score was closed.'): void {
    this.worker.end(new ScoreRefused(message));
  }
}
