import { useQuery } from '@tanstack/react-query';
import type { ChangePresence, Presence } from '@wide-fern/contract';
import {
  call,
  isNothing,
  eveningQuery,
  presenceOutbox,
  presenceQuery,
  queryClient,
  withPending,
  type PendingPresence,
  type PresenceOutbox,
} from '@wide-fern/client';
import { useCallback, useEffect, useMemo, useRef, useState } from 'react';

/** Who is here, with what was ticked but is not stored yet. */
export interface PresenceState {
  readonly presence: Presence | undefined;
  readonly change: (change: ChangePresence) => void;
  /** Whether something that was ticked is not stored yet. */
  readonly isPending: boolean;
  /** In words, while something is kept on this device only, or was refused. */
  readonly trouble: string | undefined;
  readonly error: unknown;
}

/** The outbox of an evening's presence, tied to the server and to the pages' state. */
function openOutbox(choir: string, evening: string, account: string): PresenceOutbox {
  const query = presenceQuery(choir, evening);
  return presenceOutbox(account, evening, {
    save: async (body) => {
      const saved = await call('changePresence', { params: { choir, evening }, body });
      queryClient.setQueryData(query.queryKey, saved);
      return saved;
    },
    // The evening's sections, and with them its plan's, rest on who is here.
    stored: () =>
      void queryClient.invalidateQueries({
        queryKey: eveningQuery(choir, evening).queryKey,
        exact: true,
      }),
    refused: () => void queryClient.invalidateQueries({ queryKey: query.queryKey }),
    later: (ms, action) => {
      const timer = window.setTimeout(action, ms);
      return () => window.clearTimeout(timer);
    },
  });
}

const nothing: PendingPresence = { pending: {}, trouble: undefined };

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
  const [state, setState] = useState(nothing);
  const outbox = useRef<PresenceOutbox>(undefined);
  useEffect(() => {
    if (evening === undefined) return undefined;
    const opened = openOutbox(choir, evening, account);
    outbox.current = opened;
    setState(opened.store.getState());
    const unsubscribe = opened.store.subscribe(setState);
    window.addEventListener('online', opened.sendNow);
    return () => {
      window.removeEventListener('online', opened.sendNow);
      unsubscribe();
      opened.stop();
    };
  }, [choir, evening, account]);

  const change = useCallback((more: ChangePresence) => outbox.current?.change(more), []);
  const { pending, trouble } = state;
  const presence = useMemo(
    () => (stored.data ? withPending(stored.data, pending) : undefined),
    [stored.data, pending],
  );
  return {
    presence,
    change,
    isPending: !isNothing(pending),
    trouble:
      trouble && !trouble.refused
        ? `${trouble.message} Who is here is kept on this device until then.`
        : trouble?.message,
    error: stored.error,
  };
}
