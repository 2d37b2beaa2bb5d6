import { useQuery } from '@tanstack/react-query';
import type { Evening } from '@wide-fern/contract';
import {
  eveningQuery,
  keepPlanSaved,
  openPlan,
  takeNews,
  type PlanPlace,
  type PlanStore,
  planQuery,
} from '@wide-fern/client';
import { emptyDocument } from '@wide-fern/plan';
import { useEffect, useRef, useState } from 'react';

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

/** Opens a plan for editing, saves it by itself, and notices when someone else saved it. */
export function usePlanEditor(place: PlanPlace, account: string, mayEdit: boolean): PlanEditor {
  const evening = useQuery(eveningQuery(place.choir, place.evening));
  const plan = useQuery({ ...planQuery(place), staleTime: 0, refetchOnWindowFocus: true });
  const [store, setStore] = useState<PlanStore>();
  const saver = useRef<ReturnType<typeof keepPlanSaved>>(undefined);
  const { choir, evening: eveningId, item } = place;

  // The first fresh answer makes the store; later ones are looked at below.
  const ready = evening.data !== undefined && plan.data !== undefined && !plan.isFetching;
  useEffect(() => {
    if (store || !ready) return undefined;
    let wanted = true;
    const empty = emptyDocument(evening.data.tonight);
    void openPlan(place, plan.data ?? null, empty, account).then((opened) => {
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
    const saving = keepPlanSaved(store, { choir, evening: eveningId, item }, account);
    saver.current = saving;
    return saving.end;
  }, [store, mayEdit, choir, eveningId, item, account]);

  const newest = plan.data;
  useEffect(() => {
    if (store && newest) takeNews(store, newest);
  }, [store, newest]);

  if (store && evening.data) {
    return {
      kind: 'ready',
      evening: evening.data,
      store,
      saveNow: () => saver.current?.saveNow(),
    };
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
