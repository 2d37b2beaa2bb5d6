import type { PlanStore } from '@wide-fern/client';
import { editInWords } from '@wide-fern/words';
import { useEffect } from 'react';

/** Says aloud what was undone or done again, by whatever it was asked for. */
export function useUndoSaid(store: PlanStore, say: (words: string) => void): void {
  useEffect(
    () =>
      store.subscribe((now, before) => {
        const by = now.future.length - before.future.length;
        if (by === 0 || now.document === before.document || now.past === before.past) return;
        const fact = now.unsaved.at(-1);
        // A new edit lets go of what could be done again; that is said by itself.
        if (
          by < -1 ||
          !fact ||
          now.past.length + now.future.length !== before.past.length + before.future.length
        )
          return;
        say(`${by > 0 ? 'Undone' : 'Done again'}: ${editInWords(fact)}.`);
      }),
    [store, say],
  );
}
