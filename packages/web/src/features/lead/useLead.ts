import { leadRun, sendTo, type KeptRun, type PlanPlace, type RunLead } from '@wide-fern/client';
import { useEffect, useState } from 'react';
import { useStore } from 'zustand';

/** A frame is drawn at least so often where any is, in milliseconds. */
const mostFrame = 100;

/** Once the next frame is drawn: what a touch changed is seen before anything else is done. A page out of sight draws none. */
const drawn = (): Promise<void> =>
  new Promise((done) => {
    if (document.visibilityState !== 'visible') {
      done();
      return;
    }
    const timer = setTimeout(done, mostFrame);
    requestAnimationFrame(() => {
      clearTimeout(timer);
      setTimeout(done);
    });
  });

/** Leads a run from this device as long as the page is open. */
export function useLead(account: string, place: PlanPlace, begun: KeptRun): RunLead {
  const [lead] = useState(() => {
    const send = sendTo(place);
    return leadRun(account, place, begun, {
      send: async (run, sent) => {
        await drawn();
        await send(run, sent);
      },
      now: () => Date.now(),
      later: (ms, action) => {
        const timer = setTimeout(action, ms);
        return () => clearTimeout(timer);
      },
    });
  });
  useEffect(() => {
    const elsewhere = () => lead.readAgain();
    const again = () => lead.sendNow();
    window.addEventListener('storage', elsewhere);
    window.addEventListener('online', again);
    return () => {
      window.removeEventListener('storage', elsewhere);
      window.removeEventListener('online', again);
      lead.stop();
    };
  }, [lead]);
  return lead;
}

/** Milliseconds since the run began, anew several times a second. */
export function useElapsed({ elapsed, store }: RunLead): number {
  const [now, setNow] = useState(elapsed);
  const events = useStore(store, ({ run }) => run.events);
  useEffect(() => {
    const timer = setInterval(() => setNow(elapsed()), 250);
    return () => clearInterval(timer);
  }, [elapsed]);
  // What happened just now is never later than what is shown.
  return Math.max(now, events.at(-1)?.at ?? 0);
}

/** Keeps the screen awake while the page is seen, where the device can. */
export function useAwake(): void {
  useEffect(() => {
    let lock: WakeLockSentinel | undefined;
    let isOver = false;
    const take = async () => {
      if (document.visibilityState !== 'visible' || !('wakeLock' in navigator)) return;
      try {
        const taken = await navigator.wakeLock.request('screen');
        if (isOver) void taken.release();
        else lock = taken;
      } catch {
        // A low battery refuses it: the screen goes dark as it is set.
      }
    };
    void take();
    const again = () => void take();
    document.addEventListener('visibilitychange', again);
    return () => {
      isOver = true;
      document.removeEventListener('visibilitychange', again);
      void lock?.release();
    };
  }, []);
}
