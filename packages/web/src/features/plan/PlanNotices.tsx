import { Box } from '@chakra-ui/react';
import type { PlanStore } from '@wide-fern/client';
import type { PlanEdit } from '@wide-fern/contract';
import type { Tonight } from '@wide-fern/core';
import type { Clock } from '@wide-fern/words';
import { useStore } from 'zustand';
import { useHere } from '../../here/session';
import { lazily, missing } from '../../ui/lazily';
import { usePulling } from '../../ui/pulling';
import { Loading } from '../../ui/states';
import { useHeld } from '../../ui/useHeld';

// What is rarely seen is fetched when it is, or behind the page.
const ClashPanel = lazily(() => import('./ClashPanel').then((it) => ({ default: it.ClashPanel })), {
  room: <Loading what="both versions" />,
  absent: missing('What differs', true),
});
const SectionsChanged = lazily(() =>
  import('./SectionsChanged').then((it) => ({ default: it.SectionsChanged })),
);

/** What has to be said above a plan: another version of it, a refusal, sections that have changed. */
export function PlanNotices({
  store,
  allotted,
  clock,
  tonight,
  onTake,
}: {
  readonly store: PlanStore;
  readonly allotted: number;
  readonly clock: Clock;
  /** The sections as they are now. */
  readonly tonight: Tonight;
  /** The plan shall rest on the sections as they are now. */
  readonly onTake: (edit: PlanEdit) => void;
}) {
  const { choir, account, mayEdit } = useHere();
  const { document, saving } = useStore(store);
  // Which keys other sections touch is worked out once the hand is off.
  const settled = useHeld(document, usePulling().pulled !== undefined);
  return (
    <>
      {saving.kind === 'clash' && (
        <ClashPanel
          mine={document}
          theirs={saving.theirs}
          allotted={allotted}
          clock={clock}
          ownName={account.name}
          onSettle={store.getState().settle}
        />
      )}
      {saving.kind === 'refused' && (
        <Box role="alert" px="24px" pb="8px" color="brick">
          Not saved: {saving.message} Your changes are kept on this device.
        </Box>
      )}
      <SectionsChanged
        {...{ tonight, mayEdit, onTake }}
        document={settled}
        writing={choir.writing}
      />
    </>
  );
}
