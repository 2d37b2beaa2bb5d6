import { defineEntity, p, type InferEntity } from '@mikro-orm/core';
import { roles } from '@wide-fern/contract';
import { Account } from '../account/account.entity';
import { createdColumn, idColumn } from '../db/columns';

export const Choir = defineEntity({
  name: 'Choir',
  checks: [
    { name: 'choir_share_check', expression: 'share_percent >= 1 and share_percent <= 100' },
  ],
  properties: {
    id: idColumn(),
    name: p.string().length(80),
    timeZone: p.string().length(64),
    accidentals: p.enum(['flats', 'sharps'] as const).default('flats'),
    /** How many of a hundred in a section have to be comfortable on a note. */
    sharePercent: p.integer().default(85),
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

/** The database's own check that four limits are notes and lie in order: reach outside, comfort inside. */
const limitsInOrder = (table: string) => ({
  name: `${table}_limits_check`,
  expression:
    '0 <= reach_low and reach_low <= comfort_low and comfort_low <= comfort_high ' +
    'and comfort_high <= reach_high and reach_high <= 127',
});

/** A voice part of a choir, with the figures it has while nobody is on record. */
export const VoicePart = defineEntity({
  name: 'VoicePart',
  checks: [limitsInOrder('voice_part')],
  uniques: [{ properties: ['choir', 'code'] }, { properties: ['choir', 'position'] }],
  properties: {
    id: idColumn(),
    choir: () => p.manyToOne(Choir).deleteRule('cascade'),
    code: p.string().length(8),
    one: p.string().length(40),
    many: p.string().length(40),
    /** From the highest part, 0, to the lowest. */
    position: p.integer(),
    octave: p.integer(),
    comfortLow: p.integer(),
    comfortHigh: p.integer(),
    reachLow: p.integer(),
    reachHigh: p.integer(),
  },
});
export type VoicePart = InferEntity<typeof VoicePart>;

/** A singer. Personal: no route answers with a singer's name or figures, only with the section's band. */
export const Singer = defineEntity({
  name: 'Singer',
  checks: [limitsInOrder('singer')],
  properties: {
    id: idColumn(),
    choir: () => p.manyToOne(Choir).deleteRule('cascade').index(),
    part: () => p.manyToOne(VoicePart).index(),
    name: p.string().length(80),
    comfortLow: p.integer(),
    comfortHigh: p.integer(),
    reachLow: p.integer(),
    reachHigh: p.integer(),
    createdAt: createdColumn(),
  },
});
export type Singer = InferEntity<typeof Singer>;
