import { ApiError, call } from '../call/call';
import type { PlanPlace } from '../queries';
import { forgetRun, keepRun, keptRuns, readKeptRun, joinedRuns, type KeptRun } from './keptRun';
import { isEnded, isSent, type RunWorld } from './leadRun';

/** How a run is sent to where it belongs. */
export const sendTo =
  (place: PlanPlace): RunWorld['send'] =>
  (run, body) =>
    call('sendRun', { params: { ...place, run }, body });

/** After so long nobody goes on with a run: what the server has need not lie here, in milliseconds. */
const longest = 24 * 60 * 60_000;

/** What of a run the server does not have yet. */
const unsent = ({ head, events, known, begun }: KeptRun) => {
  const there = new Set(known);
  return {
    ...(begun ? {} : { head }),
    events: events.filter(({ id }) => !there.has(id)),
  };
};

/**
 * Sends what was led on this device and did not get through, one run after the other, and forgets what is
 * over, or a day old, and stored. Where the server is away it stops; what it refuses stays.
 * @param to how a run is sent to where it belongs
 */
export async function sendLeftRuns(account: string, to = sendTo): Promise<void> {
  for (const { place, run } of keptRuns(account)) {
    const body = unsent(run);
    try {
      if (!run.begun || body.events.length > 0) await to(place)(run.id, body);
    } catch (error) {
      if (error instanceof ApiError && !error.mayPass) continue;
      return;
    }
    // It may have gone on meanwhile, in this window or another.
    const now = joinedRuns(readKeptRun(account, place, run.id) ?? run, {
      ...run,
      begun: true,
      known: [...run.known, ...body.events.map(({ id }) => id)],
    });
    const isOld = Date.now() - Date.parse(now.head.startedAt) > longest;
    if ((isEnded(now) || isOld) && isSent(now)) forgetRun(account, place, run.id);
    else keepRun(account, place, now);
  }
}
