import type { PlanPlace, RunLead } from '@wide-fern/client';
import type { Managing, NoteWriting, RunState, Touch } from '@wide-fern/core';
import type { EvaluatedPlan } from '@wide-fern/plan';
import type { Controls } from './controls/useControls';
import { HurtsTouch } from './HurtsTouch';
import { OnTop } from './stand/OnTop';
import { Pain } from './Pain';
import type { Sounds } from './sound/useSounds';
import type { StandSettings } from './stand/standSettings';
import type { Panel, StandShortcut } from './stand/touches';
import { lazily } from '../../ui/lazily';

/** Not needed for the first key; what cannot be fetched is not offered. */
const LateOffer = lazily(() => import('./LateOffer'));
const WhoOnStand = lazily(() => import('./who/WhoOnStand'));
const OnlyPain = ({ onPain }: { readonly onPain: () => void }) => (
  <OnTop label="What happens">
    <HurtsTouch onPain={onPain} />
  </OnTop>
);
const noticed = () => import('./Noticed');
/** Where the rest cannot be fetched, that it hurts somebody can be said all the same. */
const Noticed = lazily(noticed, { room: OnlyPain, absent: OnlyPain });
/** Fetches what is sure to be wanted later, so that it is there without a connection. */
export const fetchNoticed = (): void => void noticed().catch(() => undefined);
/** Another device can only be told of where there is a connection. */
const OtherDevice = lazily(() => import('./OtherDevice'));
const RuleFields = lazily(() => import('./RuleFields'));
const SoundPanel = lazily(() => import('./sound/SoundPanel'));
const ScorePanel = lazily(() => import('./sound/ScorePanel'));
const ScreensPanel = lazily(() => import('./screens/ScreensPanel'));
const ControlsPanel = lazily(() => import('./controls/ControlsPanel'));

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
  managed,
  sounds,
  controls,
  shortcuts,
  settings,
  writing,
  isPitched,
  isRehearsed,
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
  readonly managed: (how: Managing) => void;
  readonly sounds: Sounds;
  readonly controls: Controls;
  readonly shortcuts: readonly StandShortcut[];
  readonly settings: StandSettings;
  readonly writing: NoteWriting;
  readonly isPitched: boolean;
  /** Then nothing of it reaches the choir's data. */
  readonly isRehearsed: boolean;
  readonly onSettings: (more: Partial<StandSettings>) => void;
}) {
  const onClose = () => onOpened(undefined);
  const onPain = () => {
    onOpened('pain');
    lead.note({ kind: 'marked', part: null, word: 'it hurt somebody' });
    if (!settled.isPaused) touch('pause');
  };
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
          onManaged={(how) => {
            managed(how);
            onClose();
          }}
          rule={<RuleFields settings={settings} onChange={onSettings} />}
          {...{ onPain, onClose }}
        />
      )}
      {!isRehearsed && <OtherDevice {...{ place, lead }} />}
      {!isRehearsed && (
        <WhoOnStand
          {...{ place, settled, onClose }}
          document={plan.document}
          isOpen={opened === 'who'}
          onTake={lead.note}
        />
      )}
      {opened === 'sound' && (
        <SoundPanel {...{ sounds, settings, isPitched, onClose }} onChange={onSettings} />
      )}
      {opened === 'screens' && !isRehearsed && <ScreensPanel {...{ place, onClose }} />}
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
    </>
  );
}
