import { useQuery } from '@tanstack/react-query';
import { eveningQuery, newId, type PlanPlace } from '@wide-fern/client';
import type { Evening, SentAct } from '@wide-fern/contract';
import { restOf, type RunState } from '@wide-fern/core';
import {
  nothingAsked,
  renewedBy,
  requestOf,
  restOfOpen,
  spareOf,
  standingOf,
  type EvaluatedPlan,
  type Offer,
  type Standing,
} from '@wide-fern/plan';
import { clockIn, lateInWords } from '@wide-fern/words';
import { useEffect, useMemo, useRef, useState } from 'react';
import { workerOffers, type Offers } from '../../here/offers/offers';
import { useHere } from '../../here/session';
import { useKnown } from '../../here/useKnown';
import { OfferLine } from './stand/OfferLine';

/** A change of the likely end by less is no reason to seek anew, in seconds. */
const step = 15;
/** While one touch follows the other nothing is sought, in milliseconds. */
const quiet = 1000;
/** Being early by less is left as it is. */
const early = 60;

interface LateOfferProps {
  readonly place: PlanPlace;
  readonly plan: EvaluatedPlan;
  readonly state: RunState;
  /** From its start until the time set aside is over. */
  readonly seconds: number;
  readonly startedAt: string;
  readonly onTake: (act: SentAct) => void;
}

/** While it is late, or early by a minute: what loses least or adds most, in one line, taken by one touch. */
export default function LateOffer(props: LateOfferProps) {
  const { choir } = useHere();
  const evening = useQuery(eveningQuery(choir.id, props.place.evening));
  // Without what is known of the evening nothing can be weighed, and nothing is offered.
  return evening.data ? <Sought {...props} evening={evening.data} /> : null;
}

interface Found {
  readonly offer: Offer;
  readonly standing: Standing;
  /** Which plan it was sought for. */
  readonly plan: EvaluatedPlan;
}

function Sought({
  place,
  plan,
  state,
  seconds,
  startedAt,
  onTake,
  evening,
}: LateOfferProps & { readonly evening: Evening }) {
  const { choir } = useHere();
  const { document } = plan;
  const clock = useMemo(() => clockIn(choir.timeZone, choir.clock), [choir.timeZone, choir.clock]);
  const known = useKnown(evening, place.item, document, seconds);
  const [found, setFound] = useState<Found>();
  const [left, setLeft] = useState<number>();
  const offers = useRef<Offers>(undefined);
  useEffect(() => () => offers.current?.end(), []);
  const spare = spareOf(state, seconds);
  const isWanted = spare < -step || spare > early;
  const steps = Math.round(spare / step);
  const { open } = state;
  useEffect(() => {
    if (known.kind !== 'ready' || !isWanted) {
      setFound(undefined);
      return undefined;
    }
    let isOver = false;
    const standing = standingOf(state, seconds);
    const { marks } = known.known.exercises;
    const favourites = [...known.exercises.values()].filter(({ id }) => marks[id]?.favourite);
    const seek = () => {
      offers.current ??= workerOffers();
      offers.current.offer(requestOf(known.known, nothingAsked), standing, favourites).then(
        (offer) => {
          if (!isOver) setFound(offer && { offer, standing, plan });
        },
        () => undefined,
      );
    };
    const timer = setTimeout(seek, quiet);
    return () => {
      isOver = true;
      clearTimeout(timer);
    };
    // Sought anew when the end moved by a step, another segment was opened or the plan is another one.
    // eslint-disable-next-line react-hooks/exhaustive-deps
  }, [known.kind, document, steps, open, isWanted]);

  const isLeft = left !== undefined && Math.abs(left - spare) < 4 * step;
  // What was sought before another exercise was opened may be about that one.
  const isOld = found?.standing.sung.length !== standingOf(state, seconds).sung.length;
  if (!found || isOld || found.plan.document !== document || isLeft) return null;
  const { offer, standing } = found;
  const now = Date.parse(startedAt) + 1000 * state.elapsed;
  const words = lateInWords(offer, document, clock, {
    taken: now + 1000 * (restOfOpen(state) + offer.seconds),
    asItStands: now + 1000 * restOf(state),
  });
  return (
    <OfferLine
      aside={words.asItStands}
      onLeave={() => setLeft(spare)}
      onTake={() => {
        const act = renewedBy(document, offer, standing, newId);
        if (act) onTake(act);
      }}
    >
      {words.offer}
    </OfferLine>
  );
}
