import { defineEntity, p, type InferEntity } from '@mikro-orm/core';
import type { AgendaItem } from '@wide-fern/contract';
import { conditions } from '@wide-fern/core';
import { Choir } from '../choir/choir.entity';
import { createdColumn, idColumn } from '../db/columns';

/** An evening: when, where, and what is done in which order. */
export const Evening = defineEntity({
  name: 'Evening',
  checks: [{ name: 'evening_end_check', expression: 'ends_at > starts_at' }],
  indexes: [{ properties: ['choir', 'startsAt'] }],
  properties: {
    id: idColumn(),
    choir: () => p.manyToOne(Choir).deleteRule('cascade'),
    name: p.string().length(120).nullable(),
    startsAt: p.datetime(),
    endsAt: p.datetime(),
    place: p.string().length(80),
    agenda: p.json<AgendaItem[]>(),
    /** How the choir comes to it. */
    condition: p.enum([...conditions]).default('rested'),
    createdAt: createdColumn(),
  },
});
export type Evening = InferEntity<typeof Evening>;
