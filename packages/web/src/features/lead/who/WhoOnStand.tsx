import type { PlanPlace } from '@wide-fern/client';
import type { PlanDocument, SentAct } from '@wide-fern/contract';
import type { RunState } from '@wide-fern/core';
import { renewedHere, type SectionsChange } from '@wide-fern/plan';
import { sectionsChangeInWords } from '@wide-fern/words';
import { useCallback, useState } from 'react';
import { useHere } from '../../../here/session';
import { OfferLine } from '../stand/OfferLine';
import { OnTop } from '../stand/OnTop';
import { useWho } from './useWho';
import WhoNow from './WhoNow';

interface WhoOnStandProps {
  readonly place: PlanPlace;
  /** As it is led now. */
  readonly document: PlanDocument;
  readonly settled: RunState;
  readonly isOpen: boolean;
  readonly onClose: () => void;
  readonly onTake: (act: SentAct) => void;
}

/** While it is led: who is here now. What was said here changes what remains; what was said elsewhere is offered. */
export default function WhoOnStand({
  place,
  document,
  settled,
  isOpen,
  onClose,
  onTake,
}: WhoOnStandProps) {
  const { choir } = useHere();
  const take = useCallback(
    ({ tonight }: SectionsChange) => onTake(renewedHere(document, tonight, settled)),
    [document, settled, onTake],
  );
  const who = useWho(place, document, take);
  const { differs } = who;
  const [left, setLeft] = useState<SectionsChange>();
  return (
    <>
      {differs && differs.tonight !== left?.tonight && (
        <OfferLine onLeave={() => setLeft(differs)} onTake={() => take(differs)}>
          {sectionsChangeInWords(differs, choir.writing)}
        </OfferLine>
      )}
      {isOpen && (
        <OnTop label="Who is here">
          <WhoNow who={who} onClose={onClose} />
        </OnTop>
      )}
    </>
  );
}
