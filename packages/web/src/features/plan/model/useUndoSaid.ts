import type { PlanStore } from '@wide-fern/client';
import { useEffect } from 'react';
import { useStepNames } from './useStepNames';

/** Says aloud what was undone or done again, by whatever it was asked for. */
export function useUndoSaid(store: PlanStore, say: (words: string) => void): void {
  const names = useStepNames();
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
        const name = names ? `: ${names.editInWords(fact)}` : '';
        say(`${by > 0 ? 'Undone' : 'Done again'}${name}.`);
      }),
    [store, say, names],
  );
}
