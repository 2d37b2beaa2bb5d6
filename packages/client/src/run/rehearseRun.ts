import type { RunHead } from '@wide-fern/contract';
import { lastDone } from '@wide-fern/core';
import { createStore } from 'zustand/vanilla';
import { newId } from '../device/windows';
import { beginRun, type LedRun, type RunLead } from './leadRun';

/**
 * A run that is only rehearsed: led like any other, and counted nowhere. Nothing of it is kept on the
 * device or sent anywhere.
 * @param now the wall clock, in milliseconds
 */
export function rehearseRun(head: RunHead, now: () => number): RunLead {
  const store = createStore<LedRun>(() => ({
    run: beginRun(head),
    sent: { kind: 'all' },
    isKept: true,
  }));
  const events = () => store.getState().run.events;
  const elapsed = () =>
    Math.max(0, now() - Date.parse(head.startedAt), ...events().map(({ at }) => at));
  const note: RunLead['note'] = (act) => {
    const event = { id: newId(), n: events().length, at: elapsed(), act };
    store.setState(({ run }) => ({ run: { ...run, events: [...run.events, event] } }));
  };
  return {
    store,
    note,
    elapsed,
    undo: () => {
      const last = lastDone(events());
      if (last) note({ kind: 'undone', event: last.id });
    },
    take: () => false,
    sendNow: () => undefined,
    readAgain: () => undefined,
    stop: () => undefined,
  };
}
