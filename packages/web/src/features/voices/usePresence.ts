import { useQuery } from '@tanstack/react-query';
import type { ChangePresence, Presence } from '@wide-fern/contract';
import { useCallback, useEffect, useMemo, useRef, useState } from 'react';
import {
  ApiError,
  ask,
  messageOf,
  presencePath,
  presenceQuery,
  queryClient,
} from '@wide-fern/client';
import {
  isNothing,
  joined,
  keepPending,
  readPending,
  withPending,
  without,
} from './model/pendingPresence';

/** Who is here, with what was ticked but is not stored yet. */
export interface PresenceState {
  readonly presence: Presence | undefined;
  readonly change: (change: ChangePresence) => void;
  /** In words, while something is kept on this device only, or was refused. */
  readonly trouble: string | undefined;
  readonly error: unknown;
}

/** How long to wait before trying again when the server cannot be reached. */
const tryAgain = 4000;

/** Presence of one evening: changes show at once, are kept on the device, and are sent until they are stored. */
export function usePresence(
  choir: string,
  evening: string | undefined,
  account: string,
): PresenceState {
  const stored = useQuery({
    ...presenceQuery(choir, evening ?? ''),
    enabled: evening !== undefined,
    refetchOnWindowFocus: true,
  });
  const [pending, setPending] = useState<ChangePresence>({});
  const [trouble, setTrouble] = useState<string>();
  const latest = useRef(pending);
  const sending = useRef(false);
  const timer = useRef<number>(undefined);

  const hold = useCallback(
    (next: ChangePresence) => {
      latest.current = next;
      setPending(next);
      if (evening !== undefined) keepPending(account, evening, next);
    },
    [account, evening],
  );

  const send = useCallback(async () => {
    if (evening === undefined || sending.current) return;
    window.clearTimeout(timer.current);
    sending.current = true;
    try {
      while (!isNothing(latest.current)) {
        const body = latest.current;
        const saved = await ask<Presence>(presencePath(choir, evening), { method: 'PUT', body });
        queryClient.setQueryData(presenceQuery(choir, evening).queryKey, saved);
        hold(without(latest.current, body));
        setTrouble(undefined);
      }
      // The evening's sections, and with them its plan's, rest on who is here.
      void queryClient.invalidateQueries({
        queryKey: ['choir', choir, 'evenings', evening],
        exact: true,
      });
    } catch (error) {
      if (error instanceof ApiError && !error.mayPass && error.status !== 401) {
        // Refused for good: show what the server has, and why.
        hold({});
        setTrouble(error.message);
        void queryClient.invalidateQueries({ queryKey: presenceQuery(choir, evening).queryKey });
      } else {
        setTrouble(`${messageOf(error)} Who is here is kept on this device until then.`);
        timer.current = window.setTimeout(() => void send(), tryAgain);
      }
    } finally {
      sending.current = false;
    }
  }, [choir, evening, hold]);

  useEffect(() => {
    // What a closed window left behind is sent when the evening is opened again.
    if (evening !== undefined) hold(readPending(account, evening));
    void send();
    const now = () => void send();
    window.addEventListener('online', now);
    return () => {
      window.removeEventListener('online', now);
      window.clearTimeout(timer.current);
    };
  }, [account, evening, hold, send]);

  const change = useCallback(
    (more: ChangePresence) => {
      hold(joined(latest.current, more));
      void send();
    },
    [hold, send],
  );
  const presence = useMemo(
    () => (stored.data ? withPending(stored.data, pending) : undefined),
    [stored.data, pending],
  );
  return { presence, change, trouble, error: stored.error };
}
