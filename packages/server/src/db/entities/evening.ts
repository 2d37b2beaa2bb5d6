import { defineEntity, p, type InferEntity } from '@mikro-orm/core';
import type { AgendaItem, StoreTemplate } from '@wide-fern/contract';
import { conditions, type PlaceNeed, type Occasion } from '@wide-fern/core';
import { Choir } from './choir';
import { createdColumn, idColumn } from './columns';

/** An evening: when, where, and what is done in which order. */
export const Evening = defineEntity({
  name: 'Evening',
  checks: [{ name: 'evening_end_check', expression: 'ends_at > starts_at' }],
  indexes: [{ properties: ['choir', 'startsAt'] }],
  properties: {
    id: idColumn(),
    choir: () => p.manyToOne(Choir).deleteRule('cascade'),
    version: p.integer().version(),
    name: p.string().length(120).nullable(),
    startsAt: p.datetime(),
    endsAt: p.datetime(),
    place: p.string().length(80),
    occasion: p.string().length(40).$type<Occasion>().default('evening after work'),
    /** What the place does not allow, of what exercises can need. */
    forbids: p.json<PlaceNeed[]>().defaultRaw(`'[]'`),
    agenda: p.json<AgendaItem[]>(),
    /** How the choir comes to it. */
    condition: p.enum([...conditions]).default('rested'),
    createdAt: createdColumn(),
  },
});
export type Evening = InferEntity<typeof Evening>;

/** How an evening of a choir usually goes. */
export const EveningTemplate = defineEntity({
  name: 'EveningTemplate',
  properties: {
    id: idColumn(),
    choir: () => p.manyToOne(Choir).deleteRule('cascade').index(),
    document: p.json<StoreTemplate>(),
    createdAt: createdColumn(),
  },
});
export type EveningTemplate = InferEntity<typeof EveningTemplate>;
