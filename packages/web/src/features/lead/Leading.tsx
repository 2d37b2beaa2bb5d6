import { Flex } from '@chakra-ui/react';
import { isEnded, type KeptRun, type PlanPlace } from '@wide-fern/client';
import { sentInWords, touchWords } from '@wide-fern/words';
import { useCallback, useState } from 'react';
import { useStore } from 'zustand';
import { useHere } from '../../here/session';
import { LargeTouches } from './LargeTouches';
import { OnStand } from './OnStand';
import { OpenedPanel, type Opened } from './OpenedPanel';
import { Review } from './Review';
import { SmallTouches } from './SmallTouches';
import { useAwake, useElapsed, useLead } from './useLead';
import { useShown } from './useShown';
import type { Command, Panel } from './stand/touches';
import { useControls } from './controls/useControls';
import { useStandSettings } from './stand/standSettings';
import { useSounds } from './sound/useSounds';
import { useTouches } from './useTouches';

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
    return <Review {...{ place, lead, plan, onLeave }} state={settled} />;
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
