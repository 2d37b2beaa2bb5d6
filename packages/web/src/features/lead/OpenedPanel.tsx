import type { PlanPlace, RunLead } from '@wide-fern/client';
import type { NoteWriting, RunState, Touch } from '@wide-fern/core';
import type { EvaluatedPlan } from '@wide-fern/plan';
import { lazy, Suspense, type ComponentProps, type ComponentType } from 'react';
import type { Controls } from './controls/useControls';
import type { LateOfferProps } from './LateOffer';
import { Noticed } from './Noticed';
import { OtherDevice } from './OtherDevice';
import { Pain } from './Pain';
import type { Sounds } from './sound/useSounds';
import type { StandSettings } from './stand/standSettings';
import type { Panel, StandShortcut } from './stand/touches';
import type { WhoOnStandProps } from './who/WhoOnStand';

const Nothing: ComponentType = () => null;
/** Not needed for the first key; what cannot be fetched is not offered. */
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
const SoundPanel = lazy(() =>
  import('./sound/SoundPanel').then(
    (it): { default: ComponentType<ComponentProps<typeof it.default>> } => it,
    () => ({ default: Nothing }),
  ),
);
const ScorePanel = lazy(() =>
  import('./sound/ScorePanel').then(
    (it): { default: ComponentType<ComponentProps<typeof it.default>> } => it,
    () => ({ default: Nothing }),
  ),
);
const ControlsPanel = lazy(() =>
  import('./controls/ControlsPanel').then(
    (it): { default: ComponentType<ComponentProps<typeof it.default>> } => it,
    () => ({ default: Nothing }),
  ),
);

/** What is opened above the touches. */
export type Opened = Panel | 'pain' | undefined;

/** What stands above the touches: what was opened, and what is offered. */
export function OpenedPanel({
  opened,
  onOpened,
  place,
  plan,
  settled,
  state,
  lead,
  touch,
  sounds,
  controls,
  shortcuts,
  settings,
  writing,
  isPitched,
  onSettings,
}: {
  readonly opened: Opened;
  readonly onOpened: (opened: Opened) => void;
  readonly place: PlanPlace;
  readonly plan: EvaluatedPlan;
  readonly settled: RunState;
  readonly state: RunState;
  readonly lead: RunLead;
  readonly touch: (touch: Touch) => void;
  readonly sounds: Sounds;
  readonly controls: Controls;
  readonly shortcuts: readonly StandShortcut[];
  readonly settings: StandSettings;
  readonly writing: NoteWriting;
  readonly isPitched: boolean;
  readonly onSettings: (more: Partial<StandSettings>) => void;
}) {
  const onClose = () => onOpened(undefined);
  const { head } = lead.store.getState().run;
  return (
    <>
      {opened === 'pain' && (
        <Pain
          onGoOn={() => {
            onClose();
            // Whoever led on meanwhile is not stopped by it.
            if (settled.isPaused) touch('pause');
          }}
        />
      )}
      {opened === 'noticed' && (
        <Noticed
          sections={plan.document.tonight.sections}
          onNote={(act) => {
            lead.note(act);
            onClose();
          }}
          onPain={() => {
            onOpened('pain');
            lead.note({ kind: 'marked', part: null, word: 'it hurt somebody' });
            if (!settled.isPaused) touch('pause');
          }}
          onClose={onClose}
        />
      )}
      <OtherDevice {...{ place, lead }} />
      <Suspense fallback={null}>
        <WhoOnStand
          {...{ place, settled, onClose }}
          document={plan.document}
          isOpen={opened === 'who'}
          onTake={lead.note}
        />
        {opened === 'sound' && (
          <SoundPanel {...{ sounds, settings, isPitched, onClose }} onChange={onSettings} />
        )}
        {opened === 'score' && <ScorePanel {...{ plan, settled, writing, onClose }} />}
        {opened === 'controls' && (
          <ControlsPanel {...{ shortcuts, settings, controls, onClose }} onChange={onSettings} />
        )}
        {opened === undefined && (
          <LateOffer
            {...{ place, plan, state }}
            seconds={head.seconds}
            startedAt={head.startedAt}
            onTake={lead.note}
          />
        )}
      </Suspense>
    </>
  );
}
