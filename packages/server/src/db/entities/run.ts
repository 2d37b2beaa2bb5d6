import { defineEntity, p, type InferEntity } from '@mikro-orm/core';
import type { RunHead, SentAct } from '@wide-fern/contract';
import type { Managing, Phase, Purpose, Strained } from '@wide-fern/core';
import { Account } from './account';
import { Choir } from './choir';
import { createdColumn } from './columns';
import { Evening } from './evening';

/** A warm-up that was led, or is being led; its id was made on the device that leads it. */
export const Run = defineEntity({
  name: 'Run',
  indexes: [{ properties: ['evening', 'item'] }],
  properties: {
    id: p.uuid().primary(),
    choir: () => p.manyToOne(Choir).deleteRule('cascade').index(),
    evening: () => p.manyToOne(Evening).deleteRule('cascade'),
    item: p.string().length(40),
    startedAt: p.datetime(),
    /** Null while it is led. */
    endedAt: p.datetime().nullable(),
    ledBy: () => p.manyToOne(Account).deleteRule('set null').nullable(),
    /** The plan as it was when it began, of any schema that was ever stored. */
    head: p.json<RunHead>().lazy(true, false),
    /** Seconds: set aside for it, planned, and from its beginning to its end; null until it is over and worked out. */
    allotted: p.double().nullable(),
    planned: p.double().nullable(),
    real: p.double().nullable(),
    /** How many events are here: a change of it is what other windows are told of. */
    events: p.integer(),
    createdAt: createdColumn(),
  },
});
export type Run = InferEntity<typeof Run>;

/** What an exercise really took in a run that ended: worked out of its events, so that it need not be again. */
export const LedOnce = defineEntity({
  name: 'LedOnce',
  indexes: [{ properties: ['choir', 'ledAt'] }],
  properties: {
    run: () => p.manyToOne(Run).deleteRule('cascade').primary(),
    /** The segment's place in the run. */
    place: p.integer().primary(),
    choir: () => p.manyToOne(Choir).deleteRule('cascade'),
    exercise: p.string().length(60),
    name: p.string().length(120),
    phase: p.string().length(20).$type<Phase>(),
    purposes: p.json<Purpose[]>(),
    /** The highest key that was sung; null for what has none. */
    top: p.integer().nullable(),
    /** As it was said last. */
    managed: p.string().length(8).$type<Managing>().nullable(),
    /** Different keys that were sung, and the longest stretch out on one breath, in seconds. */
    keys: p.integer().default(0),
    breath: p.double().nullable(),
    ledAt: p.datetime(),
    talk: p.double(),
    coach: p.double(),
    after: p.double(),
    singing: p.double(),
    planned: p.double(),
    strained: p.json<Strained[]>().default([]),
  },
});
export type LedOnce = InferEntity<typeof LedOnce>;

/** One event of a run, kept once by the id its device gave it. */
export const RunEvent = defineEntity({
  name: 'RunEvent',
  properties: {
    run: () => p.manyToOne(Run).deleteRule('cascade').primary(),
    id: p.string().length(40).primary(),
    n: p.integer(),
    /** Milliseconds since the run began. */
    at: p.double(),
    act: p.json<SentAct>(),
  },
});
export type RunEvent = InferEntity<typeof RunEvent>;
