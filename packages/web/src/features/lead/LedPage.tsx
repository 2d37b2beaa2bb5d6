import { Box, Flex } from '@chakra-ui/react';
import { useQuery } from '@tanstack/react-query';
import {
  isEnded,
  messageOf,
  runEventsQuery,
  runQuery,
  runsQuery,
  takenOver,
  type PlanPlace,
} from '@wide-fern/client';
import type { Run } from '@wide-fern/contract';
import { lastDone } from '@wide-fern/core';
import { clockIn, dayInWords, happened, happenedInAll } from '@wide-fern/words';
import { useEffect, useMemo, useRef, useState } from 'react';
import { useNavigate, useParams } from 'react-router';
import { useStore } from 'zustand';
import { Frame } from '../../here/Frame';
import { goesOn } from '../../here/LedWords';
import { useHere } from '../../here/session';
import { darkMeanwhile } from '../../here/theme';
import { usePageTitle } from '../../here/usePageTitle';
import { Empty, Failed, Loading } from '../../ui/states';
import { Name, WordButton, WordLink } from '../../ui/words';
import { FollowedStand } from './FollowedStand';
import { HappenedList } from './HappenedList';
import Review from './Review';
import { useLead } from './useLead';
import { useShown } from './useShown';

/** A warm-up while it is led elsewhere, and afterwards what happened. */
export default function LedPage() {
  const { evening = '', item = 'warm-up' } = useParams();
  const { choir } = useHere();
  const place = useMemo(() => ({ choir: choir.id, evening, item }), [choir.id, evening, item]);
  return <Runs key={`${evening}/${item}`} place={place} />;
}

function Runs({ place }: { readonly place: PlanPlace }) {
  const { choir } = useHere();
  const runs = useQuery(runsQuery(place));
  const [chosen, setChosen] = useState<string>();
  const latest = runs.data?.find(({ id }) => id === chosen) ?? runs.data?.[0];
  const back = `/evenings/${place.evening}/plan/${place.item}`;
  if (runs.error && !runs.data) {
    return (
      <Frame place="Tonight">
        <Failed message={messageOf(runs.error)} onRetry={() => void runs.refetch()} />
      </Frame>
    );
  }
  if (!runs.data) {
    return (
      <Frame place="Tonight">
        <Loading what="what happened" />
      </Frame>
    );
  }
  if (!latest) {
    return (
      <Frame place="Tonight">
        <Empty title="This warm-up was not led yet">
          <WordLink to={back}>Look at the plan</WordLink>
        </Empty>
      </Frame>
    );
  }
  if (goesOn(latest, runs.dataUpdatedAt))
    return <FollowedRun place={place} run={latest.id} back={back} />;
  const clock = clockIn(choir.timeZone, choir.clock);
  return (
    <Frame place="Tonight">
      <EndedRun key={latest.id} place={place} run={latest.id} back={back} />
      {runs.data.length > 1 && (
        <Flex px={{ base: '20px', md: '40px' }} pb="24px" gap="20px" wrap="wrap" fontSize="18px">
          {runs.data.map(({ id, startedAt, ledBy }) => (
            <WordButton
              key={id}
              minH="44px"
              aria-pressed={id === latest.id}
              onClick={() => setChosen(id)}
            >
              {dayInWords(startedAt, choir.timeZone)} {clock.minute(Date.parse(startedAt))}
              {ledBy && `, ${ledBy}`}
            </WordButton>
          ))}
        </Flex>
      )}
    </Frame>
  );
}

interface OneRun {
  readonly place: PlanPlace;
  readonly run: string;
  readonly back: string;
}

/** A run with what happened in it, kept up to date. */
function useRun(place: PlanPlace, run: string) {
  const begun = useQuery(runQuery(place, run));
  const news = useQuery(runEventsQuery(place, run));
  const data = useMemo(
    (): Run | undefined => begun.data && (news.data ? { ...begun.data, ...news.data } : begun.data),
    [begun.data, news.data],
  );
  const again = () => {
    void begun.refetch();
    void news.refetch();
  };
  return { data, error: begun.error ?? news.error, again };
}

function FollowedRun({ place, run, back }: OneRun) {
  const found = useRun(place, run);
  const { choir } = useHere();
  const page = useRef<HTMLElement>(null);
  usePageTitle(page, choir.name);
  useEffect(darkMeanwhile, []);
  return (
    <Box as="main" ref={page} minH="100dvh" bg="paper" color="ink">
      {found.data ? (
        <Following run={found.data} back={back} />
      ) : found.error ? (
        <Failed message={messageOf(found.error)} onRetry={found.again} />
      ) : (
        <Loading what="the stand" />
      )}
    </Box>
  );
}

function EndedRun({ place, run, back }: OneRun) {
  const { mayEdit } = useHere();
  const found = useRun(place, run);
  // One that nobody ended is not over: what is said of it now would be said in the middle.
  if (found.data && mayEdit && isEnded(found.data)) {
    return <Reviewed {...{ place, back }} run={found.data} />;
  }
  if (found.data) return <Afterwards run={found.data} back={back} />;
  if (!found.error) return <Loading what="what happened" />;
  return <Failed message={messageOf(found.error)} onRetry={found.again} />;
}

/** The stand on another screen of the choir: it follows whoever leads, and touches nothing. */
function Following({ run, back }: { readonly run: Run; readonly back: string }) {
  const { choir } = useHere();
  return (
    <FollowedStand run={run} writing={choir.writing}>
      <Box>{run.ledBy} leads; this screen follows.</Box>
      <WordLink to={back} minH="44px">
        the plan
      </WordLink>
    </FollowedStand>
  );
}

/** «1 December, from 19:30, led by Joss Whitlam» */
function useLedWords({ startedAt, ledBy }: Run): string {
  const { choir } = useHere();
  const from = clockIn(choir.timeZone, choir.clock).minute(Date.parse(startedAt));
  const by = ledBy && `, led by ${ledBy}`;
  return `${dayInWords(startedAt, choir.timeZone)}, from ${from}${by}`;
}

/** What happened, when it is over, for whoever may still say how it went. */
function Reviewed({
  place,
  run,
  back,
}: {
  readonly place: PlanPlace;
  readonly run: Run;
  readonly back: string;
}) {
  const { account, choir } = useHere();
  const navigate = useNavigate();
  const lead = useLead(account.id, place, takenOver(run));
  useEffect(() => void lead.take(run.events), [lead, run.events]);
  const { run: known } = useStore(lead.store);
  const { plan, settled } = useShown(known, known.events.at(-1)?.at ?? 0, choir.writing);
  const said = useLedWords(run);
  // That it ended is not taken back by one touch, weeks later.
  const isNothingSaid = lastDone(known.events)?.act.kind === 'ended';
  return (
    <Review
      {...{ place, lead, plan, said }}
      state={settled}
      onUndo={isNothingSaid ? undefined : lead.undo}
      onLeave={() => void navigate(back)}
    />
  );
}

/** What happened, when it is over. */
function Afterwards({ run, back }: { readonly run: Run; readonly back: string }) {
  const { choir } = useHere();
  const { plan, settled } = useShown(run, run.events.at(-1)?.at ?? 0, choir.writing);
  const said = useLedWords(run);
  return (
    <Box p={{ base: '20px', md: '40px' }} maxW="900px">
      <Name as="h1" fontSize="34px">
        What happened
      </Name>
      <Box fontSize="18px" color="inkSoft">
        {said}
      </Box>
      <Box fontSize="20px" mb="16px">
        {happenedInAll(plan, settled)}
      </Box>
      <HappenedList rows={happened(plan, settled, choir.writing)} />
      <Box mt="16px">
        <WordLink to={back}>to the plan</WordLink>
      </Box>
    </Box>
  );
}
