import type { RunLead } from '@wide-fern/client';
import { actOf, givenKey, openings, writtenIn, type Giving, type Touch } from '@wide-fern/core';
import { planNow, runAt, type LedPlan } from '@wide-fern/plan';
import { useCallback, useMemo, useRef, useState } from 'react';
import { useShortcuts } from '../../ui/useShortcuts';
import { standShortcuts, type StandActs } from './touches';

/** What a touch does, read from the run as it is at that moment: keys come faster than the page is drawn. */
export interface Touches {
  readonly touch: (touch: Touch) => void;
  readonly undo: () => void;
  /** Gives the present key: its chord, or each part’s first note. */
  readonly give: (how: Giving) => void;
  /** Seconds since what is going on began; below 0 while it is explained. */
  readonly since: () => number;
  /** Why nothing was heard. */
  readonly failed: string;
}

/** The touches of the stand, and the keys that do them. */
export function useTouches(lead: RunLead, led: LedPlan, open: StandActs['open']): Touches {
  const playing = useRef<{ readonly stop: () => void }>(undefined);
  const [failed, setFailed] = useState('');
  const touch = useCallback(
    (which: Touch) => {
      const at = runAt(led, lead.store.getState().run.events);
      // Behind the last key of the last exercise there is the end.
      const act = actOf(at, which) ?? (which === 'next' ? actOf(at, 'stop') : undefined);
      if (!act) return;
      lead.note(act);
      navigator.vibrate?.(12);
    },
    [lead, led],
  );
  const give = useCallback(
    (how: Giving) => {
      const { events } = lead.store.getState().run;
      const at = runAt(led, events);
      const one = planNow(led, events, at).segments[at.open];
      const opening =
        one && openings(writtenIn(one.segment), one.computed.repetitions)[at.key ?? 0];
      if (!opening) return;
      const play = async () => {
        const player = await import('../../music/hearing/player');
        playing.current?.stop();
        playing.current = await player.play(givenKey(opening, how, at.shift), null);
        setFailed('');
      };
      play().catch((error: unknown) => setFailed(error instanceof Error ? error.message : ''));
    },
    [lead, led],
  );
  const since = useCallback(() => {
    const at = runAt(led, lead.store.getState().run.events, lead.elapsed());
    return at.key === null ? -1 : at.spent;
  }, [led, lead]);
  const { undo } = lead;
  const shortcuts = useMemo(
    () => standShortcuts({ touch, undo, give, open }),
    [touch, undo, give, open],
  );
  useShortcuts(shortcuts, true);
  return { touch, undo, give, since, failed };
}
