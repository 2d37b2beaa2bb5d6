import { Box } from '@chakra-ui/react';
import type { KeptRun, PlanPlace } from '@wide-fern/client';
import { useEffect } from 'react';
import { useHere } from '../../here/session';
import { lazily } from '../../ui/lazily';
import { Loading } from '../../ui/states';
import { Area } from './Area';
import { LedStand } from './LedStand';
import { fetchNoticed } from './OpenedPanel';
import { useLead } from './useLead';

const review = () => import('./Review');
/** Not needed until the end, and there by then: it is fetched when the stand stands. */
const Review = lazily(review, { room: <Loading what="what happened" />, absent: Over });
const behind = 2000;

/** The review could not be fetched: what happened is kept all the same. */
function Over({ onLeave }: { readonly onLeave: () => void }) {
  return (
    <Box p="40px" maxW="520px">
      <Box fontSize="24px" mb="16px">
        It is over, and what happened is kept. The review needs a connection: it is found later at
        “what happened” of this evening.
      </Box>
      <Area isMain onClick={onLeave}>
        Done
      </Area>
    </Box>
  );
}

/** A run that is led: the stand, and afterwards what happened. */
export function Leading({
  place,
  begun,
  onLeave,
}: {
  readonly place: PlanPlace;
  readonly begun: KeptRun;
  readonly onLeave: () => void;
}) {
  const { account } = useHere();
  const lead = useLead(account.id, place, begun);
  useEffect(() => {
    const timer = setTimeout(() => {
      fetchNoticed();
      void review().catch(() => undefined);
    }, behind);
    return () => clearTimeout(timer);
  }, []);
  return (
    <LedStand
      {...{ place, lead }}
      over={({ plan, settled }) => (
        <Review {...{ place, lead, plan, onLeave }} state={settled} onUndo={lead.undo} />
      )}
    />
  );
}
