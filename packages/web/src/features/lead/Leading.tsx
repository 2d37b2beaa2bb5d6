import { Flex } from '@chakra-ui/react';
import { isEnded, type KeptRun, type PlanPlace } from '@wide-fern/client';
import { sentInWords, touchWords } from '@wide-fern/words';
import { lazy, Suspense, useCallback, useState } from 'react';
import { useStore } from 'zustand';
import { useHere } from '../../here/session';
import { LargeTouches } from './LargeTouches';
import { Noticed } from './Noticed';
import { OnStand } from './OnStand';
import { Pain } from './Pain';
import { Review } from './Review';
import { SmallTouches } from './SmallTouches';
import { useAwake, useElapsed, useLead } from './useLead';
import { useShown } from './useShown';
import { useTouches } from './useTouches';

/** Not needed for the first key; where it cannot be fetched nothing is offered. */
const LateOffer = lazy(() =>
  import('./LateOffer').then(
    (it) => it,
    () => ({ default: () => null }),
  ),
);

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
  const notice = useCallback(() => setNoticing((is) => !is), []);
  const { touch, undo, give, since, failed } = useTouches(lead, led, notice);

  if (isEnded(run)) {
    return (
      <Review
        plan={plan}
        state={state}
        {...{ sent, isKept }}
        writing={choir.writing}
        onUndo={undo}
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
            // Whoever led on meanwhile is not stopped by it.
            if (settled.isPaused) touch('pause');
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
        isOpen={settled.open >= 0}
        isTalking={settled.isTalking}
        isPaused={settled.isPaused}
        isHeld={settled.isHeld}
        {...{ canAgain, canMove }}
        onTouch={touch}
        onUndo={undo}
        onGive={give}
        onNotice={notice}
        said={failed || sentInWords(sent.kind, isKept)}
      />
      <LargeTouches
        {...{ main, canAgain, canMove }}
        canGoOn={settled.open + 1 < settled.segments.length}
        onTouch={touch}
      />
    </Flex>
  );
}
