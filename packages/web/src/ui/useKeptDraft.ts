import { useCallback, useState } from 'react';

const prefix = 'wide-fern:draft:';

function readKept<T>(key: string): T | undefined {
  try {
    const kept = window.localStorage.getItem(prefix + key);
    return kept === null ? undefined : (JSON.parse(kept) as T);
  } catch {
    return undefined;
  }
}

/**
 * A draft that is kept on the device while it is typed, so that a closed tab loses nothing; forgotten
 * when it is stored or left.
 */
export function useKeptDraft<T>(
  key: string,
  begun: T,
): readonly [draft: T, set: (next: T) => void, forget: () => void] {
  const [draft, setDraft] = useState(() => readKept<T>(key) ?? begun);
  const set = useCallback(
    (next: T) => {
      setDraft(next);
      try {
        window.localStorage.setItem(prefix + key, JSON.stringify(next));
      } catch {
        // A device that keeps nothing still has the page.
      }
    },
    [key],
  );
  const forget = useCallback(() => {
    try {
      window.localStorage.removeItem(prefix + key);
    } catch {
      // There was nothing to forget.
    }
  }, [key]);
  return [draft, set, forget];
}
