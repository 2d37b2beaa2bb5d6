import { byShape, keptOnDevice } from '@wide-fern/client';
import { useCallback, useMemo, useState } from 'react';

/**
 * A draft that is kept on the device while it is typed, so that a closed tab loses nothing; forgotten
 * when it is stored or left.
 */
export function useKeptDraft<T extends object>(
  key: string,
  begun: T,
): readonly [draft: T, set: (next: T) => void, forget: () => void] {
  const [shape] = useState(begun);
  const kept = useMemo(() => keptOnDevice<T>('draft', byShape(shape)), [shape]);
  const [draft, setDraft] = useState(() => kept.read(key) ?? begun);
  const set = useCallback(
    (next: T) => {
      setDraft(next);
      kept.keep([key], next);
    },
    [kept, key],
  );
  const forget = useCallback(() => kept.keep([key], undefined), [kept, key]);
  return [draft, set, forget];
}
