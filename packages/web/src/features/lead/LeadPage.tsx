import { Box, Flex } from '@chakra-ui/react';
import {
  beginRun,
  isEnded,
  leadRun,
  lastKeptRun,
  messageOf,
  sendLeftRuns,
  sendTo,
  type KeptRun,
  type PlanPlace,
  type PlanStore,
} from '@wide-fern/client';
import type { Evening, PlanDocument, PlanEdit } from '@wide-fern/contract';
import { evaluate, itemTime } from '@wide-fern/plan';
import { clockIn, dayInWords, leadingInWords, lengthInFigures } from '@wide-fern/words';
import { useEffect, useMemo, useRef, useState } from 'react';
import { useNavigate, useParams } from 'react-router';
import { useStore } from 'zustand';
import { useHere } from '../../here/session';
import { usePlanEditor } from '../../here/usePlanEditor';
import { darkMeanwhile } from '../../here/theme';
import { Empty, Failed, Loading } from '../../ui/states';
import { lazily } from '../../ui/lazily';
import { Name, WordButton, WordLink } from '../../ui/words';
import { usePageTitle } from '../../here/usePageTitle';
import { Area } from './Area';
import { Leading } from './Leading';

/** Whoever does not wait for it can begin, also where it cannot be fetched. */
const WhoBefore = lazily(() => import('./who/WhoBefore'), { room: <Box h="68px" /> });
const Elsewhere = lazily(() => import('./Elsewhere'));

/** Leading a warm-up: on the stand, dark, large, from the device. */
export default function LeadPage() {
  const { evening = '', item = 'warm-up' } = useParams();
  const { choir } = useHere();
  const page = useRef<HTMLElement>(null);
  useEffect(darkMeanwhile, []);
  usePageTitle(page, choir.name);
  return (
    <Box as="main" ref={page} minH="100dvh" bg="paper" color="ink">
      <OneItem key={`${evening}/${item}`} evening={evening} item={item} />
    </Box>
  );
}

function OneItem({ evening, item }: { readonly evening: string; readonly item: string }) {
  const { choir, account, mayEdit } = useHere();
  const navigate = useNavigate();
  const place = useMemo(() => ({ choir: choir.id, evening, item }), [choir.id, evening, item]);
  // What lies on the device needs nothing from anywhere: it goes on where it was.
  const [kept, setKept] = useState(() => unended(lastKeptRun(account.id, place)));
  const [isLed, setLed] = useState(false);
  const begin = (run: KeptRun) => {
    setKept(run);
    setLed(true);
  };
  const back = `/evenings/${evening}/plan/${item}`;
  if (!mayEdit) {
    return (
      <Empty title="Warm-ups are led by a director or deputy">
        <WordLink to={back}>Look at the plan</WordLink>
      </Empty>
    );
  }
  if (kept && isLed) {
    return (
      <Leading
        key={kept.id}
        place={place}
        begun={kept}
        onLeave={() => {
          // What the server has need not lie here any longer.
          void sendLeftRuns(account.id);
          void navigate('/');
        }}
      />
    );
  }
  if (kept) {
    return (
      <CarryOn
        run={kept}
        onCarryOn={() => setLed(true)}
        onAnew={() => {
          endKept(account.id, place, kept);
          setKept(undefined);
        }}
      />
    );
  }
  return <Before place={place} back={back} onBegin={begin} />;
}

const unended = (run: KeptRun | undefined) => (run && !isEnded(run) ? run : undefined);

/** What was left in the middle is over, and that is sent. */
function endKept(account: string, place: PlanPlace, run: KeptRun): void {
  const lead = leadRun(account, place, run, {
    send: sendTo(place),
    now: () => Date.now(),
    later: () => () => undefined,
  });
  lead.note({ kind: 'ended' });
}

/** A run that was left in the middle goes on with one touch. */
function CarryOn({
  run,
  onCarryOn,
  onAnew,
}: {
  readonly run: KeptRun;
  readonly onCarryOn: () => void;
  readonly onAnew: () => void;
}) {
  const { choir } = useHere();
  return (
    <Box p={{ base: '24px', md: '40px' }} maxW="720px">
      <Name as="h1" fontSize="34px" mb="16px">
        This warm-up was not ended
      </Name>
      <Box fontSize="18px" mb="24px">
        It began at {clockIn(choir.timeZone, choir.clock).minute(Date.parse(run.head.startedAt))}{' '}
        and lies on this device, as far as it was led.
      </Box>
      <Area isMain onClick={onCarryOn}>
        Carry on
      </Area>
      <WordButton mt="16px" minH="44px" onClick={onAnew}>
        Begin anew
      </WordButton>
    </Box>
  );
}

/** Seconds until the time set aside is over; all of it where the evening is not now. */
function secondsLeft(evening: Evening, item: string, now: number): number {
  const { start, allotted } = itemTime(evening, item);
  const left = (start - now) / 1000 + allotted;
  const isNow = left > 60 && left < allotted + 30 * 60;
  return isNow ? Math.round(left) : allotted;
}

/** Before the first: what will be led, and who is here for it. */
function Before({
  place,
  back,
  onBegin,
}: {
  readonly place: PlanPlace;
  readonly back: string;
  readonly onBegin: (run: KeptRun) => void;
}) {
  const { account } = useHere();
  const editor = usePlanEditor(place, account.id, true);
  if (editor.kind === 'loading') return <Loading what="the warm-up" />;
  if (editor.kind === 'failed') {
    return <Failed message={messageOf(editor.error)} onRetry={editor.retry} />;
  }
  return <Planned {...{ place, back, onBegin }} evening={editor.evening} store={editor.store} />;
}

/** The plan as it is on this device, what is not saved yet with it. */
function Planned({
  place,
  back,
  evening,
  store,
  onBegin,
}: {
  readonly place: PlanPlace;
  readonly back: string;
  readonly evening: Evening;
  readonly store: PlanStore;
  readonly onBegin: (run: KeptRun) => void;
}) {
  const document = useStore(store, (plan) => plan.document);
  const edit = useStore(store, (plan) => plan.edit);
  if (document.segments.length === 0) {
    return (
      <Empty title="There is nothing to lead yet">
        <WordLink to={back}>Plan the warm-up first</WordLink>
      </Empty>
    );
  }
  const begin = () => {
    const now = Date.now();
    onBegin(
      beginRun({
        startedAt: new Date(now).toISOString(),
        seconds: secondsLeft(evening, place.item, now),
        document,
      }),
    );
  };
  return (
    <Ready
      {...{ place, evening, document, back }}
      edit={edit}
      onBegin={begin}
      onTakeOver={onBegin}
    />
  );
}

function Ready({
  place,
  evening,
  document,
  back,
  edit,
  onBegin,
  onTakeOver,
}: {
  readonly place: PlanPlace;
  readonly evening: Evening;
  readonly document: PlanDocument;
  readonly back: string;
  readonly edit: (edit: PlanEdit) => unknown;
  readonly onBegin: () => void;
  readonly onTakeOver: (run: KeptRun) => void;
}) {
  const { choir } = useHere();
  const plan = useMemo(() => evaluate(document, 0), [document]);
  return (
    <Box p={{ base: '20px', md: '40px' }} maxW="900px">
      <Name as="h1" fontSize={{ base: '28px', md: '34px' }} mb="4px">
        {dayInWords(evening.startsAt, choir.timeZone)}: {lengthInFigures(plan.total)} to lead
      </Name>
      <Box fontSize="18px" color="inkSoft" mb="16px">
        {leadingInWords(plan)}
      </Box>
      <Box as="ol" fontSize="18px" mb="24px" css={{ columns: { md: 2 } }}>
        {plan.segments.map(({ segment, computed }) => (
          <Flex as="li" key={segment.id} justify="space-between" maxW="380px" gap="16px">
            <Name as="span">{segment.exercise.name}</Name>
            <Box as="span" color="inkSoft">
              {lengthInFigures(computed.seconds)}
            </Box>
          </Flex>
        ))}
      </Box>
      <Elsewhere place={place} onTakeOver={onTakeOver} />
      <WhoBefore {...{ place, document, edit }} />
      <Box maxW="480px">
        <Area isMain autoFocus onClick={onBegin}>
          Begin
        </Area>
      </Box>
      <Flex gap="24px" mt="16px">
        <WordLink to={back} minH="44px">
          back to the plan
        </WordLink>
        <WordLink to={`/evenings/${place.evening}/rehearse/${place.item}`} minH="44px">
          rehearse it with a simulated choir
        </WordLink>
      </Flex>
    </Box>
  );
}
