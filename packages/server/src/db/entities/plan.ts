import { defineEntity, p, type InferEntity } from '@mikro-orm/core';
import type {
  EditFact,
  LinkUse,
  PlanDocument,
  SaidAtHome,
  Segment,
  SmallEdit,
} from '@wide-fern/contract';
import { Account } from './account';
import { Choir } from './choir';
import { createdColumn, idColumn } from './columns';
import { Evening } from './evening';

/** The warm-up of one agenda item, as a document; the version makes a clash visible. */
export const Plan = defineEntity({
  name: 'Plan',
  uniques: [{ properties: ['evening', 'item'] }],
  properties: {
    id: idColumn(),
    choir: () => p.manyToOne(Choir).deleteRule('cascade').index(),
    evening: () => p.manyToOne(Evening).deleteRule('cascade'),
    /** The agenda item's id. */
    item: p.string().length(40),
    /** As it was last stored whole; what was changed since is in `PlanChange`. Read through `plansAsTheyAre`. */
    document: p.json<PlanDocument>(),
    version: p.integer().version(),
    savedAt: p.datetime(),
    savedBy: () => p.manyToOne(Account).deleteRule('set null').nullable(),
    createdAt: createdColumn(),
  },
});
export type Plan = InferEntity<typeof Plan>;

/** What was stored of a plan since its document was, by the version it made: small edits, some hundred bytes. */
export const PlanChange = defineEntity({
  name: 'PlanChange',
  properties: {
    plan: () => p.manyToOne(Plan).deleteRule('cascade').primary(),
    version: p.integer().primary(),
    changes: p.json<SmallEdit[]>(),
  },
});

/** One version of a plan: who saved it when, and what was done; thinned out by age. */
export const PlanVersion = defineEntity({
  name: 'PlanVersion',
  uniques: [{ properties: ['plan', 'version'] }],
  properties: {
    id: idColumn(),
    plan: () => p.manyToOne(Plan).deleteRule('cascade'),
    version: p.integer(),
    savedAt: p.datetime(),
    savedBy: () => p.manyToOne(Account).deleteRule('set null').nullable(),
    edits: p.json<EditFact[]>(),
    /** The plan as it was then, where it is kept: before a long pause, another hand, or another plan in its place. */
    document: p.json<PlanDocument>().nullable().lazy(true, false),
  },
});
export type PlanVersion = InferEntity<typeof PlanVersion>;

/** A plan to begin from, under a name. */
export const KeptPlan = defineEntity({
  name: 'KeptPlan',
  properties: {
    id: idColumn(),
    choir: () => p.manyToOne(Choir).deleteRule('cascade').index(),
    name: p.string().length(60),
    /** Of any schema that was ever stored: read through `upcastStored`. */
    document: p.json<PlanDocument>(),
    keptBy: () => p.manyToOne(Account).deleteRule('set null').nullable(),
    createdAt: createdColumn(),
  },
});
export type KeptPlan = InferEntity<typeof KeptPlan>;

/** A link by which others read a plan's sheets. The code's hash, so a copy of the table opens nothing. */
export const PlanLink = defineEntity({
  name: 'PlanLink',
  indexes: [{ properties: ['evening', 'item'] }],
  properties: {
    id: idColumn(),
    choir: () => p.manyToOne(Choir).deleteRule('cascade').index(),
    evening: () => p.manyToOne(Evening).deleteRule('cascade'),
    item: p.string().length(40),
    codeHash: p.string().length(64).unique(),
    /** For whom it is. */
    note: p.string().length(80),
    part: p.string().length(8).nullable(),
    use: p.string().length(10).$type<LinkUse>().default('sheet'),
    /** Whether singers are asked how it was. */
    asks: p.boolean().default(false),
    /** Hard bars as they are written, for practising at home. */
    bars: p.json<Segment[]>().nullable(),
    expiresAt: p.datetime().index(),
    createdAt: createdColumn(),
  },
});
export type PlanLink = InferEntity<typeof PlanLink>;

/** What a singer sent from the page to practise from: under an id that was made there. */
export const SingerAnswer = defineEntity({
  name: 'SingerAnswer',
  indexes: [{ properties: ['choir', 'sentAt'] }],
  properties: {
    id: p.uuid().primary(),
    choir: () => p.manyToOne(Choir).deleteRule('cascade'),
    part: p.string().length(8).nullable(),
    said: p.json<SaidAtHome>(),
    sentAt: p.datetime(),
  },
});
export type SingerAnswer = InferEntity<typeof SingerAnswer>;
