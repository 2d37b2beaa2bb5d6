import { Flex } from '@chakra-ui/react';
import { isEnded, type PlanPlace, type RunLead } from '@wide-fern/client';
import type { RunState } from '@wide-fern/core';
import { movesOn } from '@wide-fern/plan';
import { sentInWords, touchWords } from '@wide-fern/words';
import { useCallback, useEffect, useState, type ReactNode } from 'react';
import { useStore } from 'zustand';
import { useHere } from '../../here/session';
import { LargeTouches } from './LargeTouches';
import { OnStand } from './OnStand';
import { OpenedPanel, type Opened } from './OpenedPanel';
import { SmallTouches } from './SmallTouches';
import { useAwake, useElapsed } from './useLead';
import { useShown, type Shown } from './useShown';
import type { Command, Panel } from './stand/touches';
import { useControls } from './controls/useControls';
import { useStandSettings } from './stand/standSettings';
import { useSounds, type Answered } from './sound/useSounds';
import { useTouches } from './useTouches';

/** What is otherwise when leading is only rehearsed. */
export interface Rehearsing {
  /** Who answers: what is sung in each key as it is heard. */
  readonly answered: Answered;
  /** What stands at the top, so that nobody takes it for the real thing. */
  readonly banner: ReactNode;
  /** What may be touched besides. */
  readonly touches: (settled: RunState) => ReactNode;
}

/** The stand of a run that goes on: what is shown, and what can be touched. */
export function LedStand({
  place,
  lead,
  over,
  rehearsing,
}: {
  readonly place: PlanPlace;
  readonly lead: RunLead;
  /** What stands there when it is over. */
  readonly over: (shown: Shown) => ReactNode;
  readonly rehearsing?: Rehearsing;
}) {
  const { account, choir } = useHere();
  const { run, sent, isKept } = useStore(lead.store);
  const now = useElapsed(lead);
  useAwake();
  const shown = useShown(run, now, choir.writing);
  const { led, settled, plan, state } = shown;
  const [opened, setOpened] = useState<Opened>();
  const open = useCallback(
    (which: Panel) => setOpened((was) => (was === which ? undefined : which)),
    [],
  );
  const [settings, changeSettings] = useStandSettings(account.id);
  const sounds = useSounds(lead, led, settings, rehearsing?.answered);
  const { touch, undo, managed, since, shortcuts } = useTouches(lead, led, sounds, settings, open);
  const goesOn = settings.moving === 'by themselves' && movesOn(plan, state);
  useEffect(() => {
    if (goesOn) touch('next');
  }, [goesOn, touch]);
  const bind = useCallback(
    (control: string, command: Command) =>
      changeSettings({ bound: { ...settings.bound, [control]: command } }),
    [settings.bound, changeSettings],
  );
  const controls = useControls(settings, shortcuts, bind);

  if (isEnded(run)) return over(shown);
  const { main, canAgain, canMove } = touchWords(settled, plan);
  return (
    <Flex direction="column" h="100dvh" bg="paper" color="ink" overflow="hidden">
      {rehearsing?.banner}
      <OnStand {...shown} since={since} isSilent={settings.counting === 'the shape alone'} />
      <OpenedPanel
        {...{ opened, place, plan, settled, state, lead, touch, managed }}
        {...{ sounds, controls, shortcuts }}
        settings={settings}
        writing={choir.writing}
        isPitched={canMove}
        isRehearsed={rehearsing !== undefined}
        onOpened={setOpened}
        onSettings={changeSettings}
      />
      {rehearsing?.touches(settled)}
      <SmallTouches
        isRehearsed={rehearsing !== undefined}
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
