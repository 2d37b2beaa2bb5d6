import { Box } from '@chakra-ui/react';
import { messageOf, rehearseRun, type PlanPlace, type RunLead } from '@wide-fern/client';
import type { Evening } from '@wide-fern/contract';
import type { Answering } from '@wide-fern/core';
import { evaluate, itemTime } from '@wide-fern/plan';
import { lengthInFigures } from '@wide-fern/words';
import { useEffect, useMemo, useRef, useState } from 'react';
import { useParams } from 'react-router';
import { useStore } from 'zustand';
import { useHere } from '../../here/session';
import { darkMeanwhile } from '../../here/theme';
import { usePageTitle } from '../../here/usePageTitle';
import { usePlanEditor } from '../../here/usePlanEditor';
import { early, lazily, missing } from '../../ui/lazily';
import { Empty, Failed, Loading } from '../../ui/states';
import { WordChoice } from '../../ui/WordChoice';
import { Name, WordLink } from '../../ui/words';
import { Area } from './Area';

/** It comes right behind the page. */
const stand = early(() => import('./Rehearsal'));
const Rehearsal = lazily(stand, {
  room: <Loading what="the stand" />,
  absent: missing('The stand', true),
});

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
  if (begun) {
    return <Rehearsal {...{ place, ...begun }} onAnew={() => setBegun(undefined)} />;
  }
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
