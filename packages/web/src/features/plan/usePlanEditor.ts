import { useQuery } from '@tanstack/react-query';
import type { Evening, Plan, PlanDocument } from '@wide-fern/contract';
import { useEffect, useRef, useState } from 'react';
import {
  ask,
  eveningQuery,
  planPath,
  planQuery,
  queryClient,
  type PlanPlace,
  startAutosave,
  dropDraft,
  dropOwnDraft,
  findDraft,
  keepDraft,
  createPlanStore,
  type PlanStore,
  otherOpenWindows,
  thisWindow,
} from '@wide-fern/client';
import { sameDocument } from '@wide-fern/plan';

/** An evening's plan as a page holds it: on its way, failed, or ready to be worked on. */
export type PlanEditor =
  | { readonly kind: 'loading' }
  | { readonly kind: 'failed'; readonly error: unknown; readonly retry: () => void }
  | {
      readonly kind: 'ready';
      readonly evening: Evening;
      readonly store: PlanStore;
      /** Saves at once instead of in a moment. */
      readonly saveNow: () => void;
    };

const fetchPlan = async (place: PlanPlace): Promise<Plan | null> =>
  (await ask<{ plan: Plan | null }>(planPath(place))).plan;

const emptyPlan = (evening: Evening): PlanDocument => ({
  schema: 1,
  tonight: evening.tonight,
  segments: [],
});

/**
 * Makes the store of a plan. Changes of this person that never reached the server are taken up
 * again; when the plan went on without them meanwhile, that is a clash like any other.
 */
async function openPlan(
  place: PlanPlace,
  plan: Plan | null,
  evening: Evening,
  account: string,
): Promise<PlanStore> {
  const store = createPlanStore(plan, emptyPlan(evening));
  const draft = findDraft(place, account, await otherOpenWindows());
  if (!draft) return store;
  // From now on it is this window's own.
  dropDraft(draft.key);
  const { document } = draft;
  if (plan && sameDocument(document, plan.document)) return store;
  store.getState().edit(() => document);
  if (draft.version !== (plan?.version ?? 0) && plan) {
    store.getState().setSaving({ kind: 'clash', theirs: plan });
  } else store.getState().setSaving({ kind: 'changed' });
  keepDraft(place, thisWindow, {
    version: draft.version,
    document,
    changedAt: draft.changedAt,
    account,
  });
  return store;
}

/** Opens a plan for editing, saves it by itself, and notices when someone else saved it. */
export function usePlanEditor(place: PlanPlace, account: string, mayEdit: boolean): PlanEditor {
  const evening = useQuery(eveningQuery(place.choir, place.evening));
  const plan = useQuery({ ...planQuery(place), staleTime: 0, refetchOnWindowFocus: true });
  const [store, setStore] = useState<PlanStore>();
  const saver = useRef<ReturnType<typeof startAutosave>>(undefined);
  const { choir, evening: eveningId, item } = place;

  // The first fresh answer makes the store; later ones are looked at below.
  const ready = evening.data !== undefined && plan.data !== undefined && !plan.isFetching;
  useEffect(() => {
    if (store || !ready) return undefined;
    let wanted = true;
    void openPlan(place, plan.data ?? null, evening.data, account).then((opened) => {
      if (wanted) setStore(opened);
    });
    return () => {
      wanted = false;
    };
    // The place is the same as long as its three ids are.
    // eslint-disable-next-line react-hooks/exhaustive-deps
  }, [store, ready, choir, eveningId, item, account]);

  useEffect(() => {
    if (!store || !mayEdit) return undefined;
    const own: PlanPlace = { choir, evening: eveningId, item };
    const autosave = startAutosave(store, {
      save: async (body) => {
        const saved = await ask<Plan>(planPath(own), { method: 'PUT', body });
        queryClient.setQueryData(planQuery(own).queryKey, saved);
        return saved;
      },
      current: () => fetchPlan(own),
      keep: (unsaved) => {
        const { version, document } = store.getState();
        const changedAt = new Date().toISOString();
        if (unsaved) keepDraft(own, thisWindow, { version, document, changedAt, account });
        else dropOwnDraft(own, thisWindow);
      },
      later: (ms, action) => {
        const timer = window.setTimeout(action, ms);
        return () => window.clearTimeout(timer);
      },
    });
    saver.current = autosave;
    const tryNow = () => void autosave.saveNow();
    window.addEventListener('online', tryNow);
    window.addEventListener('focus', tryNow);
    window.addEventListener('pagehide', tryNow);
    return () => {
      window.removeEventListener('online', tryNow);
      window.removeEventListener('focus', tryNow);
      window.removeEventListener('pagehide', tryNow);
      // Whoever leaves the page at once still has the last change stored.
      void autosave.saveNow();
      autosave.stop();
    };
  }, [store, mayEdit, choir, eveningId, item, account]);

  // Someone else saved, and nothing is unsaved here: show it. What is unsaved meets it when saving.
  const newest = plan.data;
  useEffect(() => {
    if (!store || !newest) return;
    const { version, document, acknowledged, adopt } = store.getState();
    if (newest.version > version && document === acknowledged) adopt(newest);
  }, [store, newest]);

  if (store && evening.data) {
    const saveNow = () => void saver.current?.saveNow();
    return { kind: 'ready', evening: evening.data, store, saveNow };
  }
  const error = evening.error ?? plan.error;
  if (error) {
    const retry = () => {
      void evening.refetch();
      void plan.refetch();
    };
    return { kind: 'failed', error, retry };
  }
  return { kind: 'loading' };
}
