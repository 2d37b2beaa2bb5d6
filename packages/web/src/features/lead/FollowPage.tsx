import { Box, Flex } from '@chakra-ui/react';
import { useMutation, useQuery } from '@tanstack/react-query';
import {
  ApiError,
  call,
  followedEventsQuery,
  followedQuery,
  followScreen,
  messageOf,
  newId,
  queryClient,
} from '@wide-fern/client';
import { steps, type Followed } from '@wide-fern/contract';
import type { RunState } from '@wide-fern/core';
import { alongWords } from '@wide-fern/words';
import { useEffect, useMemo, useState } from 'react';
import { useLocation, useNavigate } from 'react-router';
import { darkMeanwhile } from '../../here/theme';
import { FormField } from '../../ui/FormField';
import { secretOf } from '../../ui/secretOf';
import { Empty, Failed, Loading } from '../../ui/states';
import { Name, WordButton } from '../../ui/words';
import { Area } from './Area';
import { FollowedStand, type FollowedRun } from './FollowedStand';

/** Why a screen does not follow: most of all because of its code. */
const said = (error: unknown): string =>
  error instanceof ApiError && error.code === 'not_found'
    ? 'This code leads nowhere: it was typed wrongly, taken back, or its evening is over. Ask whoever leads for another.'
    : messageOf(error);

/** A screen that follows a warm-up by a code; no account is needed. */
export default function FollowPage() {
  useEffect(darkMeanwhile, []);
  const code = secretOf(useLocation().hash);
  return (
    <Box as="main" minH="100dvh" bg="paper" color="ink">
      {code === '' ? <AskForCode /> : <ByCode key={code} code={code} />}
    </Box>
  );
}

function AskForCode() {
  const navigate = useNavigate();
  const [typed, setTyped] = useState('');
  const go = () => {
    if (typed.trim() !== '') void navigate(`/follow#${encodeURIComponent(typed.trim())}`);
  };
  return (
    <Box p={{ base: '20px', md: '40px' }} maxW="520px">
      <Name as="h1" fontSize="34px" mb="8px">
        Follow a warm-up
      </Name>
      <Box fontSize="18px" mb="16px">
        Whoever leads has a code of eight letters and digits for you.
      </Box>
      <form
        onSubmit={(event) => {
          event.preventDefault();
          go();
        }}
      >
        <FormField
          label="Code"
          autoFocus
          autoComplete="off"
          autoCapitalize="characters"
          maxLength={40}
          value={typed}
          onChange={(event) => setTyped(event.currentTarget.value)}
        />
        <Box mt="16px">
          <Area isMain onClick={go}>
            Follow
          </Area>
        </Box>
      </form>
    </Box>
  );
}

function ByCode({ code }: { readonly code: string }) {
  const navigate = useNavigate();
  const opened = useQuery({
    queryKey: ['run-link', code],
    queryFn: () => call('openRunLink', { body: { secret: code } }),
    retry: false,
    staleTime: Infinity,
  });
  if (opened.data) return <ByLink link={opened.data.link} />;
  if (!opened.error) return <Loading what="the stand" />;
  return (
    <Box>
      <Failed message={said(opened.error)} onRetry={() => void opened.refetch()} />
      <Box px="24px">
        <WordButton minH="44px" onClick={() => void navigate('/follow')}>
          Type another code
        </WordButton>
      </Box>
    </Box>
  );
}

/** Follows what happens; answers whether anything is heard. */
function useNews(link: string, isGoing: boolean): boolean {
  const [isHeard, setHeard] = useState(true);
  useEffect(() => followScreen(link, isGoing, setHeard), [link, isGoing]);
  return isHeard;
}

function ByLink({ link }: { readonly link: string }) {
  const followed = useQuery(followedQuery(link));
  const { data, error } = followed;
  const [isOver, setOver] = useState(false);
  const isHeard = useNews(link, data?.run?.endedAt === null && !isOver);
  const isOverForUs = error instanceof ApiError && !error.mayPass;
  if (error && (!data || isOverForUs)) {
    return <Failed message={said(error)} onRetry={() => void followed.refetch()} />;
  }
  if (!data) return <Loading what="the stand" />;
  if (!data.run) {
    return (
      <Empty title={`${data.choir} has not begun yet`}>
        <Box>This screen begins by itself when it is led.</Box>
      </Empty>
    );
  }
  return (
    <OneRun
      key={data.run.id}
      {...{ link, isHeard }}
      followed={data}
      run={data.run}
      onOver={setOver}
    />
  );
}

function OneRun({
  link,
  followed: { choir, accidentals, naming, mayStep },
  run,
  isHeard,
  onOver,
}: {
  readonly link: string;
  readonly followed: Followed;
  readonly run: NonNullable<Followed['run']>;
  readonly isHeard: boolean;
  readonly onOver: (isOver: boolean) => void;
}) {
  const news = useQuery(followedEventsQuery(link, run.id));
  const isTold = news.data !== undefined;
  const { endedAt, events } = isTold ? news.data : run;
  const { id, head, startedAt } = run;
  const shown = useMemo(
    (): FollowedRun => ({ startedAt, head, events }),
    [startedAt, head, events],
  );
  const writing = useMemo(() => ({ accidentals, naming }), [accidentals, naming]);
  const isOver = endedAt !== null;
  useEffect(() => onOver(isOver), [isOver, onOver]);
  if (isOver) {
    return (
      <Empty title="It is over">
        <Box>When it is led once more, this screen follows by itself.</Box>
      </Empty>
    );
  }
  return (
    <FollowedStand
      run={shown}
      writing={writing}
      {...(mayStep
        ? { touches: (settled) => <StepTouches {...{ link, settled }} run={id} /> }
        : {})}
    >
      <Box>{choir}</Box>
      <Box role="status" color={isHeard ? undefined : 'sporeText'}>
        {isHeard ? 'this screen follows' : 'no connection: this is how it stood'}
      </Box>
    </FollowedStand>
  );
}

/** What a screen may do that steps along. */
function StepTouches({
  link,
  run,
  settled,
}: {
  readonly link: string;
  readonly run: string;
  readonly settled: RunState;
}) {
  const step = useMutation({
    mutationFn: (touch: (typeof steps)[number]) =>
      call('stepRun', { params: { link, run }, body: { id: newId(), touch } }),
    onSettled: () =>
      queryClient.invalidateQueries({ queryKey: followedEventsQuery(link, run).queryKey }),
  });
  const [first, ...others] = steps;
  const words = alongWords(settled);
  return (
    <Box px={{ base: '20px', md: '40px' }} pb="8px">
      {step.error && (
        <Box role="alert" color="sporeText" fontSize="18px">
          {messageOf(step.error)}
        </Box>
      )}
      <Flex gap="8px 22px" wrap="wrap" align="center">
        <Box flex="1 1 300px">
          <Area isMain onClick={() => step.mutate(first)}>
            {words[first]}
          </Area>
        </Box>
        {others.map((touch) => (
          <WordButton
            key={touch}
            minH="44px"
            fontSize={{ base: '18px', md: '24px' }}
            onClick={() => step.mutate(touch)}
          >
            {words[touch]}
          </WordButton>
        ))}
      </Flex>
    </Box>
  );
}
