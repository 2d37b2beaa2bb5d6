import { Box, Flex } from '@chakra-ui/react';
import { messageOf, rehearseRun, type PlanPlace, type RunLead } from '@wide-fern/client';
import type { Evening } from '@wide-fern/contract';
import { withSlips, type Answering, type RunState } from '@wide-fern/core';
import {
  evaluate,
  itemTime,
  ledPlan,
  rehearsed,
  saidThings,
  saidWord,
  slipsNow,
  timesBegun,
} from '@wide-fern/plan';
import { lengthInFigures, rehearsedInWords, saidThingWords } from '@wide-fern/words';
import { useEffect, useMemo, useRef, useState } from 'react';
import { useNavigate, useParams } from 'react-router';
import { useStore } from 'zustand';
import { useHere } from '../../here/session';
import { darkMeanwhile } from '../../here/theme';
import { usePageTitle } from '../../here/usePageTitle';
import { usePlanEditor } from '../../here/usePlanEditor';
import { Empty, Failed, Loading } from '../../ui/states';
import { WordChoice } from '../../ui/WordChoice';
import { Name, WordButton, WordLink } from '../../ui/words';
import { Area } from './Area';
import { LedStand, type Rehearsing } from './LedStand';
import type { Shown } from './useShown';

const rates = [
  [0, 'sings everything right'],
  [0.06, 'slips now and then'],
  [0.15, 'slips often'],
] as const;

/** Leading rehearsed with a simulated choir; it counts nowhere. */
export default function RehearsePage() {
  const { evening = '', item = 'warm-up' } = useParams();
  const { choir, account, mayEdit } = useHere();
  const page = useRef<HTMLElement>(null);
  useEffect(darkMeanwhile, []);
  usePageTitle(page, choir.name);
  const place = useMemo(() => ({ choir: choir.id, evening, item }), [choir.id, evening, item]);
  const editor = usePlanEditor(place, account.id, mayEdit);
  return (
    <Box as="main" ref={page} minH="100dvh" bg="paper" color="ink">
      {editor.kind === 'loading' ? (
        <Loading what="the warm-up" />
      ) : editor.kind === 'failed' ? (
        <Failed message={messageOf(editor.error)} onRetry={editor.retry} />
      ) : (
        <OfPlan place={place} evening={editor.evening} store={editor.store} />
      )}
    </Box>
  );
}

function OfPlan({
  place,
  evening,
  store,
}: {
  readonly place: PlanPlace;
  readonly evening: Evening;
  readonly store: Extract<ReturnType<typeof usePlanEditor>, { readonly kind: 'ready' }>['store'];
}) {
  const document = useStore(store, (plan) => plan.document);
  const [rate, setRate] = useState<number>(rates[1][0]);
  const [begun, setBegun] = useState<{ lead: RunLead; answering: Answering }>();
  const plan = useMemo(() => evaluate(document, 0), [document]);
  const back = `/evenings/${place.evening}/plan/${place.item}`;
  if (begun) return <Rehearsal {...{ place, ...begun }} onAnew={() => setBegun(undefined)} />;
  if (document.segments.length === 0) {
    return (
      <Empty title="There is nothing to rehearse yet">
        <WordLink to={back}>Plan the warm-up first</WordLink>
      </Empty>
    );
  }
  const begin = () => {
    const now = Date.now();
    const seconds = itemTime(evening, place.item).allotted;
    const lead = rehearseRun({ startedAt: new Date(now).toISOString(), seconds, document }, () =>
      Date.now(),
    );
    setBegun({ lead, answering: { seed: now, rate } });
  };
  return (
    <Box p={{ base: '20px', md: '40px' }} maxW="760px">
      <Name as="h1" fontSize={{ base: '28px', md: '34px' }} mb="8px">
        Rehearse leading it
      </Name>
      <Box fontSize="18px" mb="16px">
        {lengthInFigures(plan.total)} of warm-up, as you would lead it: a simulated choir sings
        every key you begin. When you hear a slip, do something about it. Nothing of this counts,
        and nobody sees it.
      </Box>
      <Box color="inkSoft" fontSize="17px">
        The choir
      </Box>
      <WordChoice isLarge label="The choir" options={rates} value={rate} onChange={setRate} />
      <Box maxW="480px" mt="24px">
        <Area isMain autoFocus onClick={begin}>
          Begin
        </Area>
      </Box>
      <Box mt="16px">
        <WordLink to={back} minH="44px">
          back to the plan
        </WordLink>
      </Box>
    </Box>
  );
}

function Rehearsal({
  place,
  lead,
  answering,
  onAnew,
}: {
  readonly place: PlanPlace;
  readonly lead: RunLead;
  readonly answering: Answering;
  readonly onAnew: () => void;
}) {
  const rehearsing = useMemo((): Rehearsing => {
    const { head } = lead.store.getState().run;
    const led = ledPlan(head);
    return {
      answered: (heard, plan, at, events) =>
        withSlips(heard, slipsNow(plan, at, timesBegun(led, events), answering)),
      banner: (
        <Box bg="spore" color="onFern" fontSize="17px" px={{ base: '20px', md: '40px' }} py="2px">
          A rehearsal with a simulated choir: it counts nowhere.
        </Box>
      ),
      touches: (settled) => <SaidTouches {...{ lead, settled }} />,
    };
  }, [lead, answering]);
  return (
    <LedStand
      {...{ place, lead, rehearsing }}
      over={(shown) => <Figures {...{ place, lead, answering, shown, onAnew }} />}
    />
  );
}

/** What whoever leads says that was said of the open exercise: nobody hears it here. */
function SaidTouches({ lead, settled }: { readonly lead: RunLead; readonly settled: RunState }) {
  const open = settled.segments[settled.open]?.id;
  const marks = settled.records.find(({ id }) => id === open)?.marks ?? [];
  return (
    <Flex
      px={{ base: '20px', md: '40px' }}
      columnGap="20px"
      align="center"
      fontSize={{ base: '17px', md: '20px' }}
    >
      <Box color="inkSoft">You said</Box>
      {saidThings.map((thing) => {
        const isSaid = marks.some(({ word }) => word === saidWord(thing));
        return (
          <WordButton
            key={thing}
            minH="44px"
            fontSize={{ base: '17px', md: '20px' }}
            aria-pressed={isSaid}
            fontWeight={isSaid ? 700 : 400}
            color={isSaid ? 'ink' : 'fern'}
            disabled={open === undefined}
            onClick={() => {
              if (!isSaid) lead.note({ kind: 'marked', part: null, word: saidWord(thing) });
            }}
          >
            {saidThingWords[thing]}
          </WordButton>
        );
      })}
    </Flex>
  );
}

/** What came of it: figures, one sentence of encouragement, one thing to try. */
function Figures({
  place,
  lead,
  answering,
  shown: { led },
  onAnew,
}: {
  readonly place: PlanPlace;
  readonly lead: RunLead;
  readonly answering: Answering;
  readonly shown: Shown;
  readonly onAnew: () => void;
}) {
  const navigate = useNavigate();
  const { events } = useStore(lead.store, ({ run }) => run);
  const { rows, went, toTry } = useMemo(
    () => rehearsedInWords(rehearsed(led, events, answering)),
    [led, events, answering],
  );
  return (
    <Box p={{ base: '20px', md: '40px' }} maxW="760px">
      <Name as="h1" fontSize="34px">
        Your rehearsal
      </Name>
      <Box fontSize="20px">{went}</Box>
      <Box fontSize="20px" mb="16px">
        {toTry}
      </Box>
      <Box
        as="dl"
        fontSize="18px"
        display="grid"
        gridTemplateColumns={{ base: '1fr', md: '280px 1fr' }}
        columnGap="24px"
        rowGap={{ base: '0', md: '4px' }}
      >
        {rows.map(([what, words]) => (
          <Box key={what} display="contents">
            <Box as="dt" color="inkSoft">
              {what}
            </Box>
            <Box as="dd" mb={{ base: '8px', md: 0 }}>
              {words}
            </Box>
          </Box>
        ))}
      </Box>
      <Flex gap="24px" align="center" mt="24px" wrap="wrap">
        <Box w="260px">
          <Area
            isMain
            onClick={() => void navigate(`/evenings/${place.evening}/plan/${place.item}`)}
          >
            To the plan
          </Area>
        </Box>
        <WordButton minH="44px" fontSize="18px" onClick={onAnew}>
          rehearse once more
        </WordButton>
      </Flex>
    </Box>
  );
}
