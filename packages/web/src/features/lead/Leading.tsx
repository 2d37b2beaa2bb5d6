import { Box, Flex } from '@chakra-ui/react';
import { isEnded, type KeptRun, type PlanPlace } from '@wide-fern/client';
import { actOf, givenKey, openings, writtenIn, type Touch } from '@wide-fern/core';
import { runAt, type EvaluatedPlan } from '@wide-fern/plan';
import { sentInWords, touchWords } from '@wide-fern/words';
import { lazy, Suspense, useCallback, useRef, useState } from 'react';
import { useStore } from 'zustand';
import { useHere } from '../../here/session';
import { useShortcuts } from '../../ui/useShortcuts';
import { Area } from './Area';
import { Noticed } from './Noticed';
import { OnStand } from './OnStand';
import { Pain } from './Pain';
import { Review } from './Review';
import { SmallTouches } from './SmallTouches';
import { standShortcuts } from './touches';
import { useShown } from './useShown';
import { useAwake, useElapsed, useLead } from './useLead';

/** Not needed for the first key; where it cannot be fetched nothing is offered. */
const LateOffer = lazy(() =>
  import('./LateOffer').then(
    (it) => it,
    () => ({ default: () => null }),
  ),
);

/** What is heard of a key that is given, one after the other. */
function useGiving() {
  const playing = useRef<{ readonly stop: () => void }>(undefined);
  const [failed, setFailed] = useState('');
  const give = async (
    plan: EvaluatedPlan,
    open: number,
    key: number,
    shift: number,
    how: 'chord' | 'notes',
  ) => {
    const one = plan.segments[open];
    const opening = one && openings(writtenIn(one.segment), one.computed.repetitions)[key];
    if (!opening) return;
    try {
      const { play } = await import('../../music/hearing/player');
      playing.current?.stop();
      playing.current = await play(givenKey(opening, how, shift), null);
      setFailed('');
    } catch (error) {
      setFailed(error instanceof Error ? error.message : '');
    }
  };
  return { give, failed };
}

/** A run that is led: the stand, and what can be touched. */
export function Leading({
  place,
  begun,
  onLeave,
}: {
  readonly place: PlanPlace;
  readonly begun: KeptRun;
  readonly onLeave: () => void;
}) {
  const { account, choir } = useHere();
  const lead = useLead(account.id, place, begun);
  const { run, sent, isKept } = useStore(lead.store);
  const now = useElapsed(lead);
  useAwake();
  const shown = useShown(run, now, choir.writing);
  const { led, settled, plan, state } = shown;
  const [isNoticing, setNoticing] = useState(false);
  const [hurts, setHurts] = useState(false);
  const { give, failed } = useGiving();

  const touch = (which: Touch) => {
    const at = runAt(led, lead.store.getState().run.events);
    // Behind the last key of the last exercise there is the end.
    const act = actOf(at, which) ?? (which === 'next' ? actOf(at, 'stop') : undefined);
    if (!act) return;
    lead.note(act);
    navigator.vibrate?.(12);
  };
  const shortcuts = standShortcuts({
    touch,
    undo: lead.undo,
    give: (how) => void give(plan, settled.open, settled.key ?? 0, settled.shift, how),
    notice: () => setNoticing((is) => !is),
  });
  useShortcuts(shortcuts, true);

  /** Seconds since what is going on began. */
  const since = useCallback(() => {
    const { events } = lead.store.getState().run;
    const at = runAt(led, events, lead.elapsed());
    return at.key === null ? -1 : at.spent;
  }, [led, lead]);

  if (isEnded(run)) {
    return (
      <Review
        plan={plan}
        state={state}
        {...{ sent, isKept }}
        writing={choir.writing}
        onUndo={lead.undo}
        onNote={lead.note}
        onLeave={onLeave}
      />
    );
  }
  const { main, canAgain, canMove } = touchWords(settled, plan);
  return (
    <Flex direction="column" h="100dvh" bg="paper" color="ink" overflow="hidden">
      <OnStand {...shown} since={since} />
      {hurts && (
        <Pain
          onGoOn={() => {
            setHurts(false);
            touch('pause');
          }}
        />
      )}
      {isNoticing && !hurts && (
        <Noticed
          sections={plan.document.tonight.sections}
          onNote={(act) => {
            lead.note(act);
            setNoticing(false);
          }}
          onPain={() => {
            setNoticing(false);
            setHurts(true);
            lead.note({ kind: 'marked', part: null, word: 'it hurt somebody' });
            if (!settled.isPaused) touch('pause');
          }}
          onClose={() => setNoticing(false)}
        />
      )}
      {!isNoticing && !hurts && (
        <Suspense fallback={null}>
          <LateOffer
            {...{ place, plan, state }}
            seconds={run.head.seconds}
            startedAt={run.head.startedAt}
            onTake={lead.note}
          />
        </Suspense>
      )}
      <SmallTouches
        state={settled}
        {...{ canAgain, canMove }}
        onTouch={touch}
        onUndo={lead.undo}
        onGive={(how) => void give(plan, settled.open, settled.key ?? 0, settled.shift, how)}
        onNotice={() => setNoticing(!isNoticing)}
        said={failed || sentInWords(sent.kind, isKept)}
      />
      <Box
        display="grid"
        gap={{ base: '8px', md: '16px' }}
        gridTemplateColumns={{ base: 'repeat(3, 1fr)', md: '250fr 434fr 234fr 234fr' }}
        px={{ base: '20px', md: '40px' }}
        pt="4px"
        pb={{ base: '12px', md: '24px' }}
      >
        <Box gridColumn={{ base: '1 / -1', md: '2' }} gridRow="1">
          <Area isMain shortcut="space" onClick={() => touch('next')}>
            {main}
          </Area>
        </Box>
        <Box gridRow={{ base: '2', md: '1' }} gridColumn={{ md: '1' }}>
          <Area shortcut="a" disabled={!canAgain} onClick={() => touch('again')}>
            Again
          </Area>
        </Box>
        <Area shortcut="comma" disabled={!canMove} onClick={() => touch('lower')}>
          Lower
        </Area>
        <Area
          shortcut="o"
          disabled={settled.open + 1 >= settled.segments.length}
          onClick={() => touch('on')}
        >
          On
        </Area>
      </Box>
    </Flex>
  );
}
