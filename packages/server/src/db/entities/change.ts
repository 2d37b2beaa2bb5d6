import { defineEntity, p, type InferEntity } from '@mikro-orm/core';
import type { ChangeKind, ChoirEvent } from '@wide-fern/contract';
import { Choir } from './choir';

/**
 * Something of a choir that was stored, as the other windows are told of it. Written by triggers
 * when a transaction ends, whoever stored what (see the migration that made them).
 */
export const ChoirChange = defineEntity({
  name: 'ChoirChange',
  indexes: [{ properties: ['choir', 'id'] }],
  uniques: [{ properties: ['choir', 'transaction', 'kind', 'about'] }],
  properties: {
    /** Rises in the order in which a choir's transactions ended. */
    id: p.bigint().$type<string>().primary().autoincrement(),
    choir: () => p.manyToOne(Choir).deleteRule('cascade'),
    transaction: p.bigint().$type<string>(),
    kind: p.string().length(20).$type<ChangeKind>(),
    /** Which one: the words an event has beside its kind. */
    about: p.json<Omit<ChoirEvent, 'id' | 'kind'>>(),
    at: p.datetime().defaultRaw('now()'),
  },
});
export type ChoirChange = InferEntity<typeof ChoirChange>;
