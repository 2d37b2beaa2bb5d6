import { useEffect, useState } from 'react';
import type { Asks, Word } from '../../../here/score/messages';
import type { ScoreWorker } from '../../../here/score/scoreWorker';

/** What a worker answered last to a question that may change; the answer before stands until the next is here. */
export function useAsked<W extends Word>(
  worker: ScoreWorker,
  word: W,
  /** Kept by whoever asks, so that it changes only when the question does; undefined asks nothing. */
  asked: Asks[W]['asked'] | undefined,
): { readonly answer: Asks[W]['answer'] | undefined; readonly error: string | undefined } {
  const [found, setFound] = useState<{
    answer?: Asks[W]['answer'];
    error?: string | undefined;
  }>({});
  useEffect(() => {
    if (asked === undefined) return undefined;
    let isWanted = true;
    worker.ask(word, asked).then(
      (answer) => {
        if (isWanted) setFound({ answer });
      },
      (error: unknown) => {
        if (!isWanted) return;
        const message = error instanceof Error ? error.message : String(error);
        setFound((was) => ({ ...was, error: message }));
      },
    );
    return () => {
      isWanted = false;
    };
  }, [worker, word, asked]);
  return { answer: asked === undefined ? undefined : found.answer, error: found.error };
}
