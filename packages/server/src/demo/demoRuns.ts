import type { EntityManager } from '@mikro-orm/postgresql';
import type { DemoEvening } from '@wide-fern/catalogue/demo';
import type { PlanDocument } from '@wide-fern/contract';
import { simulatedRun } from '@wide-fern/plan';
import { randomUUID } from 'node:crypto';
import type { Account } from '../db/entities/account';
import type { Choir } from '../db/entities/choir';
import type { Evening } from '../db/entities/evening';
import { Run } from '../db/entities/run';
import { keepLedOnce } from '../run/ledOnce';
import { keepEvents } from '../run/run.service';

/** The time set aside for a warm-up of the demo, in seconds. */
const allotted = 900;

/** An evening of the demo as it was led: by the events that leading makes, not by figures. */
export async function addDemoRun(
  em: EntityManager,
  of: {
    readonly choir: Choir;
    readonly evening: Evening;
    readonly document: PlanDocument;
    readonly ledBy: Account;
  },
  led: NonNullable<DemoEvening['led']>,
  week: number,
): Promise<void> {
  const { choir, evening, document, ledBy } = of;
  const events = simulatedRun(document, { ...led, seed: 100 + week });
  const { startsAt } = evening;
  const run = em.create(Run, {
    id: randomUUID(),
    choir,
    evening,
    item: 'warm-up',
    startedAt: startsAt,
    endedAt: new Date(startsAt.getTime() + (events.at(-1)?.at ?? 0)),
    ledBy,
    head: { startedAt: startsAt.toISOString(), seconds: allotted, document },
    ...{ events: events.length, allotted: null, planned: null, real: null },
  });
  await em.flush();
  await keepEvents(em, run.id, events);
  await keepLedOnce(em, run, events);
}
