import { Box } from '@chakra-ui/react';
import { useQuery } from '@tanstack/react-query';
import { byShape, eveningQuery, eveningsQuery, keptOnDevice, runsQuery } from '@wide-fern/client';
import type { EveningSummary } from '@wide-fern/contract';
import { coolDownOf, type CoolDown } from '@wide-fern/plan';
import { clockIn } from '@wide-fern/words';
import { useEffect, useState } from 'react';
import { WordButton, WordLink } from '../ui/words';
import { nextEvening } from './dates';
import { useHere } from './session';

const said = keptOnDevice('cool-down', byShape({ isSaid: true }));

/** Whether it is between two moments; looks again when that changes. */
function useIsBetween(from: number, until: number): boolean {
  const [now, setNow] = useState(() => Date.now());
  const next = [from, until].find((moment) => moment > now);
  useEffect(() => {
    if (next === undefined) return undefined;
    // Further away than a timer reaches: it is looked at again on the way.
    const wait = Math.min(next - Date.now(), 60 * 60_000);
    const timer = setTimeout(() => setNow(Date.now()), Math.max(0, wait) + 20);
    return () => clearTimeout(timer);
  }, [next, now]);
  return now >= from && now < until;
}

/** At the evening's end a cool-down is called to mind, once. */
export function CoolDownNotice() {
  const { mayEdit } = useHere();
  return mayEdit ? <OfNext /> : null;
}

/** The evening that is on or comes next; it is looked at only while it is on. */
function OfNext() {
  const { choir } = useHere();
  const evenings = useQuery(eveningsQuery(choir.id));
  const next = evenings.data && nextEvening(evenings.data, evenings.dataUpdatedAt);
  return next ? <OfEvening key={next.id} evening={next} /> : null;
}

function OfEvening({ evening: { id, startsAt, endsAt } }: { readonly evening: EveningSummary }) {
  const { choir } = useHere();
  const isOn = useIsBetween(Date.parse(startsAt), Date.parse(endsAt));
  const evening = useQuery({ ...eveningQuery(choir.id, id), enabled: isOn });
  const coolDown = isOn && evening.data && coolDownOf(evening.data);
  return coolDown ? <InTime evening={id} coolDown={coolDown} /> : null;
}

function InTime({
  evening,
  coolDown: { item, from, start, until },
}: {
  readonly evening: string;
  readonly coolDown: CoolDown;
}) {
  const { account, choir } = useHere();
  const isTime = useIsBetween(from, until);
  const [isSaid, setSaid] = useState(() => said.read(account.id, evening) !== undefined);
  const runs = useQuery({
    ...runsQuery({ choir: choir.id, evening, item: item ?? '' }),
    enabled: isTime && !isSaid && item !== null,
  });
  const done = () => {
    said.keep([account.id, evening], { isSaid: true });
    setSaid(true);
  };
  // What was begun needs no reminder; without the network it is called to mind all the same.
  const isLed = (runs.data?.length ?? 0) > 0;
  if (!isTime || isSaid || isLed || runs.isLoading) return null;
  return (
    <Box role="status" px={{ base: '16px', md: '24px' }} py="6px" bg="sunk" fontSize="13px">
      {item === null ? (
        <>
          The evening is almost over, and it was sung for long. Two minutes of soft, small slides
          downward let the voices rest.
        </>
      ) : (
        <>
          The cool-down is planned for {clockIn(choir.timeZone, choir.clock).minute(start)}.{' '}
          <WordLink fontSize="13px" to={`/evenings/${evening}/lead/${item}`} onClick={done}>
            Lead it
          </WordLink>
        </>
      )}{' '}
      <WordButton fontSize="13px" onClick={done}>
        I know
      </WordButton>
    </Box>
  );
}
