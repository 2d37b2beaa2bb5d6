import { Box, Flex } from '@chakra-ui/react';
import { useQuery } from '@tanstack/react-query';
import type { EveningSummary } from '@wide-fern/contract';
import type { NoteWriting } from '@wide-fern/core';
import {
  movesOfKeys,
  clockIn,
  dayInWords,
  endInWords,
  wordingFor,
  readiness,
  whenInWords,
} from '@wide-fern/words';
import { useMemo, useRef } from 'react';
import { useNavigate } from 'react-router';
import { messageOf, eveningQuery, eveningsQuery, planQuery } from '@wide-fern/client';
import { Frame } from '../../here/Frame';
import { ReadyToBuild } from '../../here/building/ReadyToBuild';
import { LedWords } from '../../here/LedWords';
import { useHere } from '../../here/session';
import { useLikely } from '../../here/useLikely';
import { MainButton, QuietButton } from '../../ui/MainButton';
import { Signs, SignsWord, useSigns } from '../../ui/Signs';
import { Empty, Failed, Loading } from '../../ui/states';
import { Label, Name, WordLink } from '../../ui/words';
import { useWidth } from '../../ui/useSize';
import {
  emptyDocument,
  itemTime,
  evaluate,
  type EvaluatedPlan,
  sectionsChange,
} from '@wide-fern/plan';
import { signsOf } from '../../music/signs';
import { DateRow } from './DateRow';
import { FirstSteps } from './FirstSteps';
import { nextEvening } from '../../here/dates';
import { TonightBands } from './TonightBands';
import { Carried } from './Carried';
import { MusicAsks } from './MusicAsks';
import { StillOpen } from './StillOpen';
import { WhoIsHere } from './WhoIsHere';

/** What the parts do in each segment where they do not simply sing, in words. */
function movesBySegment(plan: EvaluatedPlan, writing: NoteWriting) {
  const { sections } = plan.document.tonight;
  return plan.segments.flatMap(({ segment, computed }) => {
    if (computed.keys.kind !== 'ladder' || !computed.keys.sung) return [];
    const wording = wordingFor(sections, segment, writing);
    const words = movesOfKeys(computed.keys, wording).join('; ');
    return words ? [{ id: segment.id, name: segment.exercise.name, words }] : [];
  });
}

/** The first view: am I ready, and if not, what is missing? */
export default function TonightPage() {
  const { choir, mayEdit } = useHere();
  const evenings = useQuery(eveningsQuery(choir.id));
  const frame = useRef<HTMLDivElement>(null);
  const width = useWidth(frame);
  if (evenings.isPending) {
    return (
      <Frame place="Tonight">
        <Loading what="your evenings" />
      </Frame>
    );
  }
  if (evenings.isError && !evenings.data) {
    return (
      <Frame place="Tonight">
        <Failed message={messageOf(evenings.error)} onRetry={() => void evenings.refetch()} />
      </Frame>
    );
  }
  const next = nextEvening(evenings.data, Date.now());
  return (
    <Frame place="Tonight">
      <Box ref={frame} flex="1" display="flex" flexDirection="column">
        {next ? (
          <NextEvening summary={next} width={width} />
        ) : (
          <>
            <Empty
              title={
                evenings.data.length === 0 ? 'There is no evening yet' : 'No evening is coming up'
              }
            >
              {mayEdit ? (
                <>
                  Say when you rehearse, and how long the warm-up may take.{' '}
                  <WordLink to="/evenings/new">Add an evening</WordLink>
                </>
              ) : (
                'A director or deputy adds the next one.'
              )}
            </Empty>
            <Box px="24px">
              <FirstSteps isPlanned={false} planTo={undefined} />
            </Box>
          </>
        )}
        {evenings.data.length > 0 && (
          <DateRow
            evenings={evenings.data}
            current={next?.id ?? evenings.data[evenings.data.length - 1]?.id}
            timeZone={choir.timeZone}
            room={Math.floor((width - 260) / 74)}
            mayEdit={mayEdit}
          />
        )}
      </Box>
    </Frame>
  );
}

function NextEvening({
  summary,
  width,
}: {
  readonly summary: EveningSummary;
  readonly width: number;
}) {
  const { choir, mayEdit } = useHere();
  const navigate = useNavigate();
  const signs = useSigns('tonight');
  const evening = useQuery(eveningQuery(choir.id, summary.id));
  const item = evening.data?.agenda.find(({ kind }) => kind === 'warm-up')?.id ?? 'warm-up';
  const stored = useQuery(planQuery({ choir: choir.id, evening: summary.id, item }));
  const clock = useMemo(() => clockIn(choir.timeZone, choir.clock), [choir.timeZone, choir.clock]);
  const likely = useLikely();
  const plan = useMemo(() => {
    if (!evening.data || stored.data === undefined) return undefined;
    const document = stored.data?.document ?? emptyDocument(evening.data.tonight);
    return likely(evaluate(document, itemTime(evening.data, item).allotted));
  }, [evening.data, stored.data, item, likely]);

  const error = evening.error ?? stored.error;
  if (error && !plan) {
    const retry = () => {
      void evening.refetch();
      void stored.refetch();
    };
    return <Failed message={messageOf(error)} onRetry={retry} />;
  }
  if (!plan || !evening.data) return <Loading what="the evening" />;

  const when = whenInWords(summary.startsAt, Date.now(), choir.timeZone);
  const change = sectionsChange(plan.document, evening.data.tonight);
  const misfits = change?.segments.filter((one) => one.change.misfits.length > 0).length ?? 0;
  const { sentence, act } = readiness(when, plan, choir.writing, misfits, !mayEdit);
  const { start } = itemTime(evening.data, item);
  const moves = movesBySegment(plan, choir.writing);
  const planPlace = `/evenings/${summary.id}/plan/${item}`;
  const planTo = plan.segments.length > 0 ? planPlace : `${planPlace}?build`;
  const margin = width < 700 ? 16 : 40;
  return (
    <Box px={`${margin}px`} pt="16px" pb="24px">
      {mayEdit && plan.segments.length === 0 && (
        <ReadyToBuild evening={evening.data} item={item} document={plan.document} />
      )}
      <Flex justify="space-between" gap="24px" wrap={{ base: 'wrap', md: 'nowrap' }} mb="24px">
        <Name
          as="h1"
          fontSize={{ base: '24px', md: '34px' }}
          lineHeight={{ base: '30px', md: '42px' }}
          maxW="30em"
        >
          {sentence}
        </Name>
        <Box
          flexShrink={0}
          maxW={{ base: '100%', md: '230px' }}
          textAlign={{ base: 'left', md: 'right' }}
        >
          <MainButton minW="140px" onClick={() => void navigate(mayEdit ? planTo : planPlace)}>
            {mayEdit ? act : 'Look at the plan'}
          </MainButton>
          {mayEdit && plan.segments.length > 0 && (
            <Box mt="8px">
              <QuietButton
                minW="140px"
                onClick={() => void navigate(`/evenings/${summary.id}/lead/${item}`)}
              >
                Lead it
              </QuietButton>
            </Box>
          )}
          <Label mt="6px">
            {summary.name ? `${summary.name} · ` : ''}
            {dayInWords(summary.startsAt, choir.timeZone)} · {summary.place}
            {mayEdit && (
              <>
                {' · '}
                <WordLink fontSize="13px" to={`/evenings/${summary.id}`}>
                  change it
                </WordLink>
              </>
            )}
          </Label>
        </Box>
      </Flex>
      <FirstSteps isPlanned={plan.segments.length > 0} planTo={planTo} />
      <TonightBands
        evening={evening.data}
        item={item}
        plan={plan}
        start={start}
        clock={clock}
        width={width - 2 * margin}
        writing={choir.writing}
      />
      {plan.segments.length > 0 && (
        <Flex mt="6px" gap="24px" fontSize="13px" wrap="wrap" justify="space-between">
          <Box flex="1 1 480px" color="inkSoft">
            {moves.length === 0
              ? 'Every part sings everything, in its usual octave.'
              : moves.map(({ id, name, words }, i) => (
                  <Box as="span" key={id}>
                    {i > 0 && ' '}
                    <Name as="span" color="ink">
                      {name}:
                    </Name>{' '}
                    {words}.
                  </Box>
                ))}
          </Box>
          <Box color="inkSoft">
            {endInWords(plan, start, clock)}{' '}
            <WordLink fontSize="13px" to={`/evenings/${summary.id}/sheet/${item}`}>
              sheet for the stand
            </WordLink>{' '}
            <LedWords place={{ choir: choir.id, evening: summary.id, item }} />
            <Box as="span" ml="14px">
              <SignsWord {...signs} />
            </Box>
          </Box>
        </Flex>
      )}
      {plan.segments.length > 0 && <Signs shown={signs} load={signsOf.tonight} />}
      <Flex mt="16px" pt="16px" borderTopWidth="1px" borderColor="ink" gap="32px" wrap="wrap">
        <WhoIsHere evening={evening.data} mayEdit={mayEdit} writing={choir.writing} />
        <MusicAsks evening={evening.data} writing={choir.writing} />
        <Carried evening={evening.data} plan={plan} />
        <StillOpen
          evening={evening.data}
          item={item}
          plan={plan}
          clock={clock.minute}
          mayEdit={mayEdit}
        />
      </Flex>
    </Box>
  );
}
