import { Flex } from '@chakra-ui/react';
import { isEnded, type KeptRun, type PlanPlace } from '@wide-fern/client';
import { sentInWords, touchWords } from '@wide-fern/words';
import { lazy, Suspense, useCallback, useState, type ComponentType } from 'react';
import { useStore } from 'zustand';
import { useHere } from '../../here/session';
import { LargeTouches } from './LargeTouches';
import type { LateOfferProps } from './LateOffer';
import { Noticed } from './Noticed';
import { OnStand } from './OnStand';
import { Pain } from './Pain';
import { Review } from './Review';
import { SmallTouches } from './SmallTouches';
import { useAwake, useElapsed, useLead } from './useLead';
import { useShown } from './useShown';
import { useTouches } from './useTouches';
import type { WhoOnStandProps } from './who/WhoOnStand';

const Nothing: ComponentType = () => null;
/** Not needed for the first key; where it cannot be fetched nothing is offered. */
const LateOffer = lazy(() =>
  import('./LateOffer').then(
    (it): { default: ComponentType<LateOfferProps> } => it,
    () => ({ default: Nothing }),
  ),
);
const WhoOnStand = lazy(() =>
  import('./who/WhoOnStand').then(
    (it): { default: ComponentType<WhoOnStandProps> } => it,
    () => ({ default: Nothing }),
  ),
);

/** What is opened above the touches. */
type Opened = 'notes' | 'pain' | 'who' | undefined;

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
  const [opened, setOpened] = useState<Opened>();
  const close = useCallback(() => setOpened(undefined), []);
  const open = useCallback(
    (which: 'notes' | 'who') => setOpened((was) => (was === which ? undefined : which)),
    [],
  );
  const { touch, undo, give, since, failed } = useTouches(lead, led, open);

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
      {opened === 'pain' && (
        <Pain
          onGoOn={() => {
            close();
            // Whoever led on meanwhile is not stopped by it.
            if (settled.isPaused) touch('pause');
          }}
        />
      )}
      {opened === 'notes' && (
        <Noticed
          sections={plan.document.tonight.sections}
          onNote={(act) => {
            lead.note(act);
            close();
          }}
          onPain={() => {
            setOpened('pain');
            lead.note({ kind: 'marked', part: null, word: 'it hurt somebody' });
            if (!settled.isPaused) touch('pause');
          }}
          onClose={close}
        />
      )}
      <Suspense fallback={null}>
        <WhoOnStand
          {...{ place, settled }}
          document={plan.document}
          isOpen={opened === 'who'}
          onClose={close}
          onTake={lead.note}
        />
        {opened === undefined && (
          <LateOffer
            {...{ place, plan, state }}
            seconds={run.head.seconds}
            startedAt={run.head.startedAt}
            onTake={lead.note}
          />
        )}
      </Suspense>
      <SmallTouches
        isOpen={settled.open >= 0}
        isTalking={settled.isTalking}
        isPaused={settled.isPaused}
        isHeld={settled.isHeld}
        {...{ canAgain, canMove }}
        onTouch={touch}
        onUndo={undo}
        onGive={give}
        onOpen={open}
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
