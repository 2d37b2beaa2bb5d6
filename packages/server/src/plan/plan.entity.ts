import { defineEntity, p, type InferEntity } from '@mikro-orm/core';
import type { PlanDocument } from '@wide-fern/contract';
import { Account } from '../account/account.entity';
import { Choir } from '../choir/choir.entity';
import { createdColumn, idColumn } from '../db/columns';
import { Evening } from '../evening/evening.entity';

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
    document: p.json<PlanDocument>(),
    version: p.integer().version(),
    savedAt: p.datetime(),
    savedBy: () => p.manyToOne(Account).deleteRule('set null').nullable(),
    createdAt: createdColumn(),
  },
});
export type Plan = InferEntity<typeof Plan>;
