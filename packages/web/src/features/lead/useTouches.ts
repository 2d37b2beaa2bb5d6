import type { RunLead } from '@wide-fern/client';
import type { SentAct } from '@wide-fern/contract';
import { actOf, type Managing, type Touch } from '@wide-fern/core';
import { managedActs, planNow, runAt, type LedPlan, type ManagedRule } from '@wide-fern/plan';
import { useCallback, useMemo } from 'react';
import type { Sounds } from './sound/useSounds';
import { useShortcuts } from '../../ui/useShortcuts';
import { standShortcuts, type StandActs, type StandShortcut } from './stand/touches';

/** What a touch does, read from the run as it is at that moment: keys come faster than the page is drawn. */
export interface Touches {
  readonly touch: (touch: Touch) => void;
  readonly undo: () => void;
  /** How many managed what goes on, and what comes of it. */
  readonly managed: (how: Managing) => void;
  /** Seconds since what is going on began; below 0 while it is explained. */
  readonly since: () => number;
  readonly shortcuts: readonly StandShortcut[];
}

/** After these another key sounds, or the same one anew. */
const changesKey: ReadonlySet<string> = new Set(['began', 'again', 'shifted']);

/** After these nothing goes on that sounded before. */
const silences: ReadonlySet<string> = new Set(['opened', 'paused', 'ended']);

/** The touches of the stand, and the keys that do them. */
export function useTouches(
  lead: RunLead,
  led: LedPlan,
  { give, answer, keyChanged, stop }: Sounds,
  { counts, few }: ManagedRule,
  open: StandActs['open'],
): Touches {
  const note = useCallback(
    (act: SentAct) => {
      lead.note(act);
      if (changesKey.has(act.kind)) keyChanged();
      else if (silences.has(act.kind)) stop();
    },
    [lead, keyChanged, stop],
  );
  const touch = useCallback(
    (which: Touch) => {
      const at = runAt(led, lead.store.getState().run.events);
      // Behind the last key of the last exercise there is the end.
      const act = actOf(at, which) ?? (which === 'next' ? actOf(at, 'stop') : undefined);
      if (!act) return;
      note(act);
      answer();
    },
    [lead, led, answer, note],
  );
  const managed = useCallback(
    (how: Managing) => {
      const { events } = lead.store.getState().run;
      const at = runAt(led, events, lead.elapsed());
      if (at.open < 0) return;
      managedActs(planNow(led, events, at), at, how, { counts, few }).forEach(note);
      answer();
    },
    [lead, led, counts, few, answer, note],
  );
  const since = useCallback(() => {
    const at = runAt(led, lead.store.getState().run.events, lead.elapsed());
    return at.key === null ? -1 : at.spent;
  }, [led, lead]);
  const { undo } = lead;
  const shortcuts = useMemo(
    () => standShortcuts({ touch, undo, give, managed, open }),
    [touch, undo, give, managed, open],
  );
  useShortcuts(shortcuts, true);
  return { touch, undo, managed, since, shortcuts };
}
