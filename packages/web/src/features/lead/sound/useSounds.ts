import type { RunLead } from '@wide-fern/client';
import type { SentEvent } from '@wide-fern/contract';
import {
  atLoudness,
  givenKey,
  isLasting,
  type Giving,
  type Programme,
  type RunState,
} from '@wide-fern/core';
import { givenNow, planNow, runAt, type EvaluatedPlan, type LedPlan } from '@wide-fern/plan';
import { useCallback, useEffect, useMemo, useRef, useState } from 'react';
import { shareOf, type StandSettings } from '../stand/standSettings';

/** What is heard on the stand. */
export interface Sounds {
  /** Lets something of the present key be heard; what lasts is stopped by asking for it again. */
  readonly give: (how: Giving) => void;
  /** Another key is sung now: what was wished with every key is heard, and what is held goes along. */
  readonly keyChanged: () => void;
  /** What went before is over: another exercise, a pause, the end. */
  readonly stop: () => void;
  /** A touch was taken. */
  readonly answer: () => void;
  /** What sounds until it is stopped. */
  readonly lasting: Giving | undefined;
  /** Why nothing was heard. */
  readonly failed: string;
}

/** A click that says a touch was taken. */
const click = { ...{ at: 0, seconds: 0.03, voice: 'count', midi: 84 }, loudness: 0.25 };

/** What becomes of what is sung in the present key, where somebody answers who may slip. */
export type Answered = (
  heard: Programme,
  plan: EvaluatedPlan,
  at: RunState,
  events: readonly SentEvent[],
) => Programme;

/**
 * Sounds of the run as it is at that moment, on the audio clock; one at a time.
 * @param answered a choir that sings every key by itself
 */
export function useSounds(
  lead: RunLead,
  led: LedPlan,
  settings: StandSettings,
  answered?: Answered,
): Sounds {
  const playing = useRef<{ readonly stop: () => void }>(undefined);
  /** Which one was asked for last: what is still being made ready for another gives way. */
  const asked = useRef(0);
  const [lasting, setLasting] = useState<Giving>();
  const [failed, setFailed] = useState('');
  const share = shareOf[settings.loudness];

  const silence = useCallback(() => {
    asked.current += 1;
    playing.current?.stop();
    playing.current = undefined;
  }, []);
  useEffect(() => silence, [silence]);

  const sound = useCallback(
    (how: Giving) => {
      const { events } = lead.store.getState().run;
      const at = runAt(led, events);
      const plan = planNow(led, events, at);
      const open = at.segments[at.open]?.id;
      const one = plan.segments.find(({ segment }) => segment.id === open);
      if (!one) return;
      const { sections } = plan.document.tonight;
      const given = givenKey(givenNow(one, sections, at), how);
      const heard = answered && how === 'pattern' ? answered(given, plan, at, events) : given;
      silence();
      if (heard.sounded.length === 0) return;
      const mine = asked.current;
      const play = async () => {
        const player = await import('../../../music/hearing/player');
        if (mine !== asked.current) return;
        const begun = await player.play(atLoudness(heard, share), null);
        if (mine === asked.current) playing.current = begun;
        else begun.stop();
        setFailed('');
      };
      play().catch((error: unknown) => setFailed(error instanceof Error ? error.message : ''));
    },
    [lead, led, share, silence, answered],
  );
  const give = useCallback(
    (how: Giving) => {
      const stops = isLasting(how) && lasting === how;
      if (stops) silence();
      else sound(how);
      setLasting(isLasting(how) && !stops ? how : undefined);
    },
    [lasting, silence, sound],
  );
  const stop = useCallback(() => {
    silence();
    setLasting(undefined);
  }, [silence]);
  const { withKey, answer: answering } = settings;
  const keyChanged = useCallback(() => {
    if (answered) sound('pattern');
    else if (lasting === 'drone') sound('drone');
    else if (lasting === undefined && withKey !== 'nothing') sound(withKey);
  }, [lasting, withKey, sound, answered]);
  const answer = useCallback(() => {
    if (answering === 'vibration') navigator.vibrate?.(12);
    if (answering !== 'click') return;
    void import('../../../music/hearing/player').then((player) =>
      player.play({ seconds: 0.05, sounded: [click], keys: [] }, null).catch(() => undefined),
    );
  }, [answering]);
  return useMemo(
    () => ({ give, keyChanged, stop, answer, lasting, failed }),
    [give, keyChanged, stop, answer, lasting, failed],
  );
}
