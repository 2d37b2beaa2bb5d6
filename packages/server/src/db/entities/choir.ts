import { defineEntity, p, type InferEntity } from '@mikro-orm/core';
import { roles } from '@wide-fern/contract';
import type { Trims } from '@wide-fern/core';
import { Account } from './account';
import { createdColumn, idColumn } from './columns';

export const Choir = defineEntity({
  name: 'Choir',
  checks: [
    { name: 'choir_share_check', expression: 'share_percent >= 1 and share_percent <= 100' },
    { name: 'choir_phrase_check', expression: 'phrase_seconds >= 2 and phrase_seconds <= 60' },
  ],
  properties: {
    id: idColumn(),
    name: p.string().length(80),
    timeZone: p.string().length(64),
    accidentals: p.enum(['flats', 'sharps'] as const).default('flats'),
    /** How many of a hundred in a section have to be comfortable on a note. */
    sharePercent: p.integer().default(85),
    /** How long a phrase on one breath may comfortably last, in seconds. */
    phraseSeconds: p.integer().default(9),
    /** What conditions take off a comfort; null for the usual figures. */
    trims: p.json<Trims>().nullable(),
    /** The coming weekday the demo's dates were laid out from; null for a real choir. */
    demoAnchor: p.date().nullable(),
    createdAt: createdColumn(),
  },
});
export type Choir = InferEntity<typeof Choir>;

/** A person's place in a choir. */
export const Member = defineEntity({
  name: 'Member',
  uniques: [{ properties: ['choir', 'account'] }],
  properties: {
    id: idColumn(),
    choir: () => p.manyToOne(Choir).deleteRule('cascade'),
    account: () => p.manyToOne(Account).deleteRule('cascade').index(),
    role: p.enum([...roles]),
    createdAt: createdColumn(),
  },
});
export type Member = InferEntity<typeof Member>;
