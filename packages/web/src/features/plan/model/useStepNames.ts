import { useEffect, useState } from 'react';
import type * as stepNames from './stepNames';

/** What edits are called comes right behind the page; without it they are undone without a name. */
export function useStepNames(): typeof stepNames | undefined {
  const [names, setNames] = useState<typeof stepNames>();
  useEffect(() => {
    let wanted = true;
    void import('./stepNames').then(
      (it) => {
        if (wanted) setNames(it);
      },
      () => undefined,
    );
    return () => {
      wanted = false;
    };
  }, []);
  return names;
}
