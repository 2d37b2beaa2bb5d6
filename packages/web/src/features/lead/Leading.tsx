import { Box, Flex } from '@chakra-ui/react';
import { isEnded, type KeptRun, type PlanPlace } from '@wide-fern/client';
import { sentInWords, touchWords } from '@wide-fern/words';
import { lazy, Suspense, useCallback, useEffect, useState } from 'react';
import { useStore } from 'zustand';
import { useHere } from '../../here/session';
import { Loading } from '../../ui/states';
import { Area } from './Area';
import { LargeTouches } from './LargeTouches';
import { OnStand } from './OnStand';
import { fetchNoticed, OpenedPanel, type Opened } from './OpenedPanel';
import { SmallTouches } from './SmallTouches';
import { useAwake, useElapsed, useLead } from './useLead';
import { useShown } from './useShown';
import type { Command, Panel } from './stand/touches';
import { useControls } from './controls/useControls';
import { useStandSettings } from './stand/standSettings';
import { useSounds } from './sound/useSounds';
import { useTouches } from './useTouches';

const review = () => import('./Review');
/** Not needed until the end, and there by then: it is fetched when the stand stands. */
const Review = lazy(() => review().catch(() => ({ default: Over })));
const behind = 2000;

/** The review could not be fetched: what happened is kept all the same. */
function Over({ onLeave }: { readonly onLeave: () => void }) {
  return (
    <Box p="40px" maxW="520px">
      <Box fontSize="24px" mb="16px">
        It is over, and what happened is kept. The review needs a connection: it is found later at
        “what happened” of this evening.
      </Box>
      <Area isMain onClick={onLeave}>
        Done
      </Area>
    </Box>
  );
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
  useEffect(() => {
    const timer = setTimeout(() => {
      fetchNoticed();
      void review().catch(() => undefined);
    }, behind);
    return () => clearTimeout(timer);
  }, []);
  const shown = useShown(run, now, choir.writing);
  const { led, settled, plan, state } = shown;
  const [opened, setOpened] = useState<Opened>();
  const open = useCallback(
    (which: Panel) => setOpened((was) => (was === which ? undefined : which)),
    [],
  );
  const [settings, changeSettings] = useStandSettings(account.id);
  const sounds = useSounds(lead, led, settings);
  const { touch, undo, managed, since, shortcuts } = useTouches(lead, led, sounds, settings, open);
  const bind = useCallback(
    (control: string, command: Command) =>
      changeSettings({ bound: { ...settings.bound, [control]: command } }),
    [settings.bound, changeSettings],
  );
  const controls = useControls(settings, shortcuts, bind);

  if (isEnded(run)) {
    return (
      <Suspense fallback={<Loading what="what happened" />}>
        <Review {...{ place, lead, plan, onLeave }} state={settled} />
      </Suspense>
    );
  }
  const { main, canAgain, canMove } = touchWords(settled, plan);
  return (
    <Flex direction="column" h="100dvh" bg="paper" color="ink" overflow="hidden">
      <OnStand {...shown} since={since} />
      <OpenedPanel
        {...{ opened, place, plan, settled, state, lead, touch, managed }}
        {...{ sounds, controls, shortcuts }}
        settings={settings}
        writing={choir.writing}
        isPitched={canMove}
        onOpened={setOpened}
        onSettings={changeSettings}
      />
      <SmallTouches
        isOpen={settled.open >= 0}
        isTalking={settled.isTalking}
        isPaused={settled.isPaused}
        isHeld={settled.isHeld}
        {...{ canAgain, canMove }}
        onTouch={touch}
        onManaged={managed}
        onUndo={undo}
        onGive={sounds.give}
        onOpen={open}
        said={sounds.failed || sentInWords(sent.kind, isKept)}
      />
      <LargeTouches
        {...{ main, canAgain, canMove }}
        canGoOn={settled.open + 1 < settled.segments.length}
        onTouch={touch}
      />
    </Flex>
  );
}
