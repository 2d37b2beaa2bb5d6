import { Box } from '@chakra-ui/react';
import type { PlanStore } from '@wide-fern/client';
import type { Tonight } from '@wide-fern/core';
import type { SectionsChange } from '@wide-fern/plan';
import type { Clock } from '@wide-fern/words';
import { lazy, Suspense } from 'react';
import { useStore } from 'zustand';
import { useHere } from '../../here/session';
import { Loading } from '../../ui/states';

// What is rarely seen is fetched when it is.
const ClashPanel = lazy(() => import('./ClashPanel').then((it) => ({ default: it.ClashPanel })));
const SectionsChanged = lazy(() =>
  import('./SectionsChanged').then((it) => ({ default: it.SectionsChanged })),
);

/** What has to be said above a plan: another version of it, a refusal, sections that have changed. */
export function PlanNotices({
  store,
  allotted,
  clock,
  change,
  onTake,
}: {
  readonly store: PlanStore;
  readonly allotted: number;
  readonly clock: Clock;
  readonly change: SectionsChange | undefined;
  /** The plan shall rest on the sections as they are now. */
  readonly onTake: (tonight: Tonight) => void;
}) {
  const { choir, account, mayEdit } = useHere();
  const { document, saving } = useStore(store);
  return (
    <>
      {saving.kind === 'clash' && (
        <Suspense fallback={<Loading what="both versions" />}>
          <ClashPanel
            mine={document}
            theirs={saving.theirs}
            allotted={allotted}
            clock={clock}
            ownName={account.name}
            onSettle={store.getState().settle}
          />
        </Suspense>
      )}
      {saving.kind === 'refused' && (
        <Box role="alert" px="24px" pb="8px" color="brick">
          Not saved: {saving.message} Your changes are kept on this device.
        </Box>
      )}
      {change && (
        <Suspense fallback={null}>
          <SectionsChanged
            change={change}
            mayEdit={mayEdit}
            writing={choir.writing}
            onTake={() => onTake(change.tonight)}
          />
        </Suspense>
      )}
    </>
  );
}
