/** A warm-up that is led while its server is killed at random moments: what is lost, what is there twice. */
import type { RunLead, RunWorld } from '@wide-fern/client';
import {
  runSchema,
  type EveningSummary,
  type PlanDocument,
  type Session,
} from '@wide-fern/contract';
import { runState, type LedSegment, type TouchAct } from '@wide-fern/core';
import { ledSegments } from '@wide-fern/plan';
import { setTimeout as passed } from 'node:timers/promises';
import { ensureDatabase } from '../postgres/database';
import { freePort } from '../postgres/cluster';
import { throwawayCluster } from '../postgres/throwaway';
import { root } from '../root';
import { startServer, type RunningServer } from '../start/server';

/** What came of it. */
export interface KillFigures {
  readonly kills: number;
  readonly touches: number;
  /** Touches that the server has not, or has more than once; and whether both fold to the same. */
  readonly lost: number;
  readonly twice: number;
  readonly isSame: boolean;
}

const kills = 50;
/** Between two touches, and the longest time a server lives, in milliseconds. */
const pause = 15;
const longestLife = 700;

/** What a browser keeps on its device, for a process that has nothing of the kind. */
function withStorage(): void {
  const storage = (): Record<string, unknown> => {
    const kept: Record<string, unknown> = {};
    const hidden = (value: unknown) => ({ value, enumerable: false });
    return Object.defineProperties(kept, {
      getItem: hidden((key: string) => kept[key] ?? null),
      setItem: hidden((key: string, text: string) => {
        kept[key] = text;
      }),
      removeItem: hidden((key: string) => {
        delete kept[key];
      }),
    });
  };
  const window = { addEventListener: () => undefined };
  Object.assign(globalThis, {
    localStorage: storage(),
    sessionStorage: storage(),
    window,
    navigator: {},
  });
}

/** The warm-up of the demo that comes next. */
async function comingPlan(url: string) {
  const entered = await fetch(`${url}/api/session/demo`, { method: 'POST' });
  const headers = {
    cookie: entered.headers.getSetCookie()[0]!.split(';')[0]!,
    'content-type': 'application/json',
  };
  const get = async <T>(address: string): Promise<T> =>
    (await (await fetch(address, { headers })).json()) as T;
  const { choirs } = (await entered.json()) as Session;
  const choir = choirs[0]!.id;
  const at = `${url}/api/choirs/${choir}/evenings`;
  const { items } = await get<{ items: EveningSummary[] }>(at);
  const evening = items.find(({ endsAt }) => Date.parse(endsAt) > Date.now())!.id;
  const runs = `${at}/${evening}/plans/warm-up`;
  const { plan } = await get<{ plan: { document: PlanDocument } }>(runs);
  return { headers, get, choir, evening, runs, document: plan.document };
}

/** What is touched at first, then, and then. */
const touchOf = (led: readonly LedSegment[], i: number): TouchAct =>
  i % 9 === 0
    ? { kind: 'opened', segment: led[(i / 9) % led.length]!.id }
    : i % 9 === 4
      ? { kind: 'again' }
      : { kind: 'began', key: i % 3 };

/** Touches on and on, while what answers is killed and started again; answers how often it was touched. */
async function touchedThrough(
  lead: RunLead,
  led: readonly LedSegment[],
  restart: () => Promise<void>,
): Promise<number> {
  let touches = 0;
  const touch = () => {
    lead.note(touchOf(led, touches));
    touches += 1;
  };
  for (let kill = 0; kill < kills; kill += 1) {
    const until = Date.now() + Math.random() * longestLife;
    while (Date.now() < until) {
      touch();
      await passed(pause);
    }
    await restart();
    touch();
  }
  return touches;
}

/** Leads a warm-up, kills its server fifty times, and compares what it has with what was touched. */
export async function measureKills(): Promise<KillFigures> {
  withStorage();
  const { ApiError, beginRun, isSent, leadRun } = await import('@wide-fern/client');
  const cluster = await throwawayCluster();
  await ensureDatabase(cluster.url, 'bench');
  const port = await freePort();
  const started = (): Promise<RunningServer> =>
    startServer(root, {
      ...{ DATABASE_URL: cluster.url('bench'), PORT: String(port), LOG_LEVEL: 'fatal' },
    });
  let server = await started();
  try {
    const plan = await comingPlan(`http://127.0.0.1:${port}`);
    const { headers, get, choir, evening, runs, document } = plan;
    const world: RunWorld = {
      send: async (run, body) => {
        const asked = { method: 'PUT', headers, body: JSON.stringify(body) };
        const answer = await fetch(`${runs}/runs/${run}`, asked).catch(() => undefined);
        if (!answer) throw new ApiError(0, 'unreachable', 'The server cannot be reached.');
        if (!answer.ok) throw new ApiError(answer.status, 'unexpected', await answer.text());
      },
      now: () => Date.now(),
      later: (ms, action) => {
        // Nobody waits as long here.
        const timer = setTimeout(action, ms / 20);
        return () => clearTimeout(timer);
      },
    };
    const begun = beginRun({ startedAt: new Date().toISOString(), seconds: 900, document });
    const lead = leadRun('bench', { choir, evening, item: 'warm-up' }, begun, world);
    const led = ledSegments(document);
    const touches = await touchedThrough(lead, led, async () => {
      server.child.kill('SIGKILL');
      await server.ended;
      server = await started();
    });
    while (!isSent(lead.store.getState().run)) {
      lead.sendNow();
      await passed(50);
    }
    lead.stop();
    const here = lead.store.getState().run.events;
    const there = runSchema.parse(await get(`${runs}/runs/${begun.id}`)).events;
    const ids = there.map(({ id }) => id);
    const fold = (events: typeof there) => JSON.stringify(runState(led, events));
    return {
      ...{ kills, touches },
      lost: touches - here.filter(({ id }) => ids.includes(id)).length,
      twice: ids.length - new Set(ids).size,
      isSame: fold(there) === fold(here),
    };
  } finally {
    await server.stop();
    await cluster.stop();
  }
}
