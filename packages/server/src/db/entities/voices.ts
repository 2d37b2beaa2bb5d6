import { defineEntity, p, type InferEntity } from '@mikro-orm/core';
import { checkMeans } from '@wide-fern/contract';
import { rangeEnds, type OctaveStep, type SingerState } from '@wide-fern/core';
import { Choir } from './choir';
import { createdColumn, idColumn } from './columns';
import { Evening } from './evening';

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
  uniques: [{ properties: ['choir', 'code'] }],
  properties: {
    id: idColumn(),
    choir: () => p.manyToOne(Choir).deleteRule('cascade'),
    code: p.string().length(8),
    one: p.string().length(40),
    many: p.string().length(40),
    /** From the highest part, 0, to the lowest. */
    position: p.integer(),
    octave: p.integer().$type<OctaveStep>(),
    comfortLow: p.integer(),
    comfortHigh: p.integer(),
    reachLow: p.integer(),
    reachHigh: p.integer(),
    /** The end by which the part is told. */
    end: p
      .enum([...rangeEnds])
      .fieldName('telling_end')
      .default('top'),
    /** The usual change of register. */
    changeLow: p.integer(),
    changeHigh: p.integer(),
  },
});
export type VoicePart = InferEntity<typeof VoicePart>;

/** A singer. Personal: readers never see a name or a figure of one, only the section's band. */
export const Singer = defineEntity({
  name: 'Singer',
  checks: [
    limitsInOrder('singer'),
    {
      name: 'singer_limits_known_check',
      expression: 'num_nulls(comfort_low, comfort_high, reach_low, reach_high) % 4 = 0',
    },
  ],
  properties: {
    id: idColumn(),
    choir: () => p.manyToOne(Choir).deleteRule('cascade').index(),
    /** Null while it is not decided. */
    part: () => p.manyToOne(VoicePart).nullable().deleteRule('no action').index(),
    name: p.string().length(80),
    /** Codes of other parts the singer can take. */
    also: p.json<string[]>().default('[]'),
    /** Null, all four, until a range is known. */
    comfortLow: p.integer().nullable(),
    comfortHigh: p.integer().nullable(),
    reachLow: p.integer().nullable(),
    reachHigh: p.integer().nullable(),
    lightTop: p.integer().nullable(),
    /** Where the voice changes its register, from low to high. */
    changes: p.json<number[]>().default('[]'),
    states: p.json<SingerState[]>().default('[]'),
    onLeave: p.boolean().default(false),
    notes: p.text().default(''),
    /** The day of the latest range check in the choir's zone. */
    checkedOn: p.date().nullable(),
    version: p.integer().version(),
    createdAt: createdColumn(),
  },
});
export type Singer = InferEntity<typeof Singer>;

/** A range check that was kept: what was found on a day, and how. */
export const RangeCheck = defineEntity({
  name: 'RangeCheck',
  checks: [limitsInOrder('range_check')],
  indexes: [{ properties: ['singer', 'checkedOn'] }],
  properties: {
    id: idColumn(),
    singer: () => p.manyToOne(Singer).deleteRule('cascade'),
    checkedOn: p.date(),
    comfortLow: p.integer(),
    comfortHigh: p.integer(),
    reachLow: p.integer(),
    reachHigh: p.integer(),
    lightTop: p.integer().nullable(),
    changes: p.json<number[]>().default('[]'),
    means: p.enum([...checkMeans]),
    createdAt: createdColumn(),
  },
});
export type RangeCheck = InferEntity<typeof RangeCheck>;

/** How a singer is on one evening; without a row, here and as usual. */
export const SingerEvening = defineEntity({
  name: 'SingerEvening',
  uniques: [{ properties: ['evening', 'singer'] }],
  properties: {
    id: idColumn(),
    evening: () => p.manyToOne(Evening).deleteRule('cascade'),
    singer: () => p.manyToOne(Singer).deleteRule('cascade').index(),
    away: p.boolean().default(false),
    states: p.json<SingerState[]>().default('[]'),
  },
});
export type SingerEvening = InferEntity<typeof SingerEvening>;
