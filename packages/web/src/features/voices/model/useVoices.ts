import { useQuery } from '@tanstack/react-query';
import type { Evening, Singer, Voices } from '@wide-fern/contract';
import { useMemo } from 'react';
import { eveningsQuery, voicesQuery, eveningQuery, singersQuery } from '@wide-fern/client';
import { useHere } from '../../../here/session';
import { localDates, nextEvening } from '../../../here/dates';
import type { VoicesSetting } from './section';
import { usePresence, type PresenceState } from '../../../here/who/usePresence';

/** Everything the view of voices rests on. */
export type VoicesData =
  | { readonly kind: 'loading' }
  | { readonly kind: 'failed'; readonly error: unknown; readonly retry: () => void }
  | {
      readonly kind: 'ready';
      readonly voices: Voices;
      readonly singers: readonly Singer[];
      /** The evening that comes next, if there is one. */
      readonly evening: Evening | undefined;
      readonly presence: PresenceState;
      readonly setting: VoicesSetting;
    };

/** The same, once it is there. */
export type ReadyVoices = Extract<VoicesData, { kind: 'ready' }>;

/** Gathers sections, roster and the coming evening; persons only for those who lead. */
export function useVoices(): VoicesData {
  const { choir, account, mayEdit } = useHere();
  const dateIn = useMemo(() => localDates(choir.timeZone), [choir.timeZone]);
  const voices = useQuery(voicesQuery(choir.id));
  const singers = useQuery({ ...singersQuery(choir.id), enabled: mayEdit });
  const evenings = useQuery(eveningsQuery(choir.id));
  // The evening that was next when the list came.
  const next = useMemo(
    () => (evenings.data ? nextEvening(evenings.data, evenings.dataUpdatedAt) : undefined),
    [evenings.data, evenings.dataUpdatedAt],
  );
  const evening = useQuery({
    ...eveningQuery(choir.id, next?.id ?? ''),
    enabled: next !== undefined,
  });
  const presence = usePresence(choir.id, mayEdit ? next?.id : undefined, account.id);
  const date = next ? dateIn(next.startsAt) : undefined;
  const setting = useMemo(
    () => (voices.data ? { voices: voices.data, presence: presence.presence, date } : undefined),
    [voices.data, presence.presence, date],
  );
  const error = voices.error ?? (mayEdit ? singers.error : null) ?? evenings.error ?? evening.error;
  if (error) {
    const retry = () => {
      for (const query of [voices, singers, evenings, evening])
        if (query.error) void query.refetch();
    };
    return { kind: 'failed', error, retry };
  }
  const waits =
    !setting ||
    !voices.data ||
    !evenings.data ||
    (mayEdit && !singers.data) ||
    (next !== undefined && !evening.data) ||
    (mayEdit && next !== undefined && !presence.presence);
  if (waits) return { kind: 'loading' };
  return {
    kind: 'ready',
    voices: voices.data,
    singers: singers.data ?? [],
    evening: next ? evening.data : undefined,
    presence,
    setting,
  };
}
