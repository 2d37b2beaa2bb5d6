import { useQuery } from '@tanstack/react-query';
import { runEventsQuery, type PlanPlace, type RunLead } from '@wide-fern/client';
import { stepPrefix } from '@wide-fern/contract';
import { useEffect, useState } from 'react';
import { useNavigate } from 'react-router';
import { useStore } from 'zustand';
import { OfferLine } from './stand/OfferLine';

/** Takes over what happens on another device that leads the same run, and says that one does. */
export default function OtherDevice({
  place,
  lead,
}: {
  readonly place: PlanPlace;
  readonly lead: RunLead;
}) {
  const navigate = useNavigate();
  const id = useStore(lead.store, ({ run }) => run.id);
  const begun = useStore(lead.store, ({ run }) => run.begun);
  // Never put off while one touch follows the other: what is told while an older answer is on its way
  // is asked for anew only where somebody waits for it.
  const there = useQuery({
    ...runEventsQuery(place, id),
    enabled: begun,
    notifyOnChangeProps: ['data'],
  });
  const [isOther, setOther] = useState(false);
  const events = there.data?.events;
  useEffect(() => {
    if (!events) return;
    const here = new Set(lead.store.getState().run.events.map((event) => event.id));
    // Whoever was let step along does not lead.
    const others = events.filter(
      (event) => !here.has(event.id) && !event.id.startsWith(stepPrefix),
    );
    lead.take(events);
    if (others.length > 0) setOther(true);
  }, [events, lead]);
  if (!isOther) return null;
  return (
    <OfferLine
      take="Follow it"
      onLeave={() => setOther(false)}
      onTake={() => void navigate(`/evenings/${place.evening}/led/${place.item}`)}
    >
      Another device leads this too: what happens there happens here.
    </OfferLine>
  );
}
