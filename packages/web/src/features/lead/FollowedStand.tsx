import { Flex } from '@chakra-ui/react';
import type { Run } from '@wide-fern/contract';
import type { NoteWriting, RunState } from '@wide-fern/core';
import { useCallback, useEffect, useMemo, useState, type ReactNode } from 'react';
import { useLocation, useNavigate } from 'react-router';
import { WordButton } from '../../ui/words';
import { ChoirView } from './ChoirView';
import { OnStand } from './OnStand';
import { useAwake } from './useLead';
import { useShown } from './useShown';

/** What is shown of a run on another screen. */
export type FollowedRun = Pick<Run, 'startedAt' | 'head' | 'events'>;

/** Milliseconds since a run began, by this device's clock; never less than what happened last. */
function useSince({ startedAt, events }: FollowedRun): () => number {
  const last = events.at(-1)?.at ?? 0;
  return useMemo(() => () => Math.max(last, Date.now() - Date.parse(startedAt)), [last, startedAt]);
}

/** The stand on another screen: as whoever leads sees it, or large for the choir. */
export function FollowedStand({
  run,
  writing,
  touches,
  children,
}: {
  readonly run: FollowedRun;
  readonly writing: NoteWriting;
  /** What may be touched here, above the line of words. */
  readonly touches?: (settled: RunState) => ReactNode;
  /** What stands in the line of words. */
  readonly children: ReactNode;
}) {
  const since = useSince(run);
  const [now, setNow] = useState(since);
  useAwake();
  useEffect(() => {
    const timer = setInterval(() => setNow(since()), 250);
    return () => clearInterval(timer);
  }, [since]);
  const shown = useShown(run, Math.max(now, run.events.at(-1)?.at ?? 0), writing);
  const { settled } = shown;
  const navigate = useNavigate();
  const { search, hash } = useLocation();
  const isForChoir = new URLSearchParams(search).get('for') === 'choir';
  const begun = settled.elapsed - settled.spent;
  const isTalk = settled.key === null;
  const sinceKey = useCallback(
    () => (isTalk ? -1 : since() / 1000 - begun),
    [isTalk, since, begun],
  );
  // What follows the sign is the code of whoever has no account: it stays.
  const look = () =>
    void navigate({ search: isForChoir ? '' : '?for=choir', hash }, { replace: true });
  return (
    <Flex direction="column" h="100dvh" overflow="hidden">
      {isForChoir ? (
        <ChoirView {...shown} since={sinceKey} />
      ) : (
        <OnStand {...shown} since={sinceKey} />
      )}
      {!isForChoir && touches?.(settled)}
      <Flex
        px={{ base: '20px', md: '40px' }}
        pb="16px"
        columnGap="24px"
        wrap="wrap"
        align="center"
        fontSize="20px"
        color="inkSoft"
      >
        {children}
        <WordButton fontSize="20px" minH="44px" onClick={look}>
          {isForChoir ? 'as whoever leads sees it' : 'for the choir to see'}
        </WordButton>
      </Flex>
    </Flex>
  );
}
