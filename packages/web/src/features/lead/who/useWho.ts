import { useQuery } from '@tanstack/react-query';
import { eveningQuery, singersQuery, type PlanPlace } from '@wide-fern/client';
import type { ChangePresence, PlanDocument } from '@wide-fern/contract';
import type { Tonight } from '@wide-fern/core';
import { sectionsChange, type SectionsChange } from '@wide-fern/plan';
import { useCallback, useEffect, useMemo, useState } from 'react';
import { useHere } from '../../../here/session';
import { usePresence, type PresenceState } from '../../../here/who/usePresence';
import { whoGroups, type WhoGroups } from './groups';

/** Who is here, and what that changes. */
export interface Who {
  readonly groups: WhoGroups | undefined;
  readonly presence: PresenceState;
  /** Says who is here; once it is stored the plan follows by itself. */
  readonly change: (change: ChangePresence) => void;
  /** What is not as the plan has it. */
  readonly differs: SectionsChange | undefined;
  /** Which exercises were put anew last, because somebody said so on this screen. */
  readonly done: Pick<SectionsChange, 'segments'> | undefined;
  /** The sections as they are now, as far as that is known. */
  readonly tonight: Tonight;
  readonly error: unknown;
}

/**
 * Who is here on an evening, said on this screen or elsewhere. What was said here is taken at once; what
 * was said elsewhere is only told.
 */
export function useWho(
  place: PlanPlace,
  document: PlanDocument,
  onTake: (change: SectionsChange) => void,
): Who {
  const { account } = useHere();
  const { choir, evening } = place;
  const tonight = useQuery(eveningQuery(choir, evening));
  const singers = useQuery(singersQuery(choir));
  const presence = usePresence(choir, evening, account.id);
  const [askedAt, setAskedAt] = useState<number>();
  const [done, setDone] = useState<Who['done']>();

  const now = tonight.data?.tonight;
  const differs = useMemo(() => now && sectionsChange(document, now), [document, now]);
  const { change: say, isPending } = presence;
  const change = useCallback(
    (more: ChangePresence) => {
      setAskedAt(Date.now());
      say(more);
    },
    [say],
  );
  const isNew = askedAt !== undefined && tonight.dataUpdatedAt > askedAt;
  const isSettled = isNew && !isPending && !tonight.isFetching;
  useEffect(() => {
    if (!isSettled) return;
    setAskedAt(undefined);
    setDone(differs ?? { segments: [] });
    if (differs) onTake(differs);
  }, [isSettled, differs, onTake]);

  const [stored, list] = [presence.presence, singers.data];
  const { sections } = document.tonight;
  const groups = useMemo(
    () => (stored && list ? whoGroups(list, stored, sections) : undefined),
    [stored, list, sections],
  );
  return {
    ...{ groups, presence, change, done },
    tonight: now ?? document.tonight,
    differs: askedAt === undefined ? differs : undefined,
    error: singers.error ?? presence.error,
  };
}
