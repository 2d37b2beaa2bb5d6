import { messageOf, type PlanStore } from '@wide-fern/client';
import type { Evening } from '@wide-fern/contract';
import { itemTime } from '@wide-fern/plan';
import { useEffect, useMemo, useState } from 'react';
import { useStore } from 'zustand';
import { Failed, Loading } from '../../../ui/states';
import { workerBuilder, type Builder } from '../../../here/building/builder';
import { useKnown } from '../../../here/useKnown';
import { Proposals } from './Proposals';

/** Which warm-up, and why this one? In the place of the plan's drawing, on the same clock. */
export function BuildView({
  evening,
  item,
  store,
  onClose,
  makeBuilder = workerBuilder,
}: {
  readonly evening: Evening;
  readonly item: string;
  readonly store: PlanStore;
  /** Back to the plan. */
  readonly onClose: () => void;
  readonly makeBuilder?: () => Builder;
}) {
  const { document } = useStore(store);
  const { allotted } = useMemo(() => itemTime(evening, item), [evening, item]);
  const [builder] = useState(makeBuilder);
  useEffect(() => {
    builder.ready();
    return builder.end;
  }, [builder]);
  const state = useKnown(evening, item, document, allotted);
  if (state.kind === 'loading') return <Loading what="your exercises" />;
  if (state.kind === 'failed') {
    return <Failed message={messageOf(state.error)} onRetry={state.retry} />;
  }
  const { known, exercises } = state;
  return (
    <Proposals
      onLeave={onClose}
      {...{ evening, item, store, builder, makeBuilder, known, exercises }}
    />
  );
}
