import { defineEntity, p, type InferEntity } from '@mikro-orm/core';
import { roles, type Courses, type OwnApproach, type RecordedKind } from '@wide-fern/contract';
import { clocks } from '@wide-fern/contract';
import { noteNamings, type Trims } from '@wide-fern/core';
import { Account } from './account';
import { createdColumn, idColumn } from './columns';

export const Choir = defineEntity({
  name: 'Choir',
  checks: [
    { name: 'choir_share_check', expression: 'share_percent >= 1 and share_percent <= 100' },
    { name: 'choir_level_check', expression: 'level >= 1 and level <= 3' },
    { name: 'choir_phrase_check', expression: 'phrase_seconds >= 2 and phrase_seconds <= 60' },
  ],
  properties: {
    id: idColumn(),
    name: p.string().length(80),
    timeZone: p.string().length(64),
    accidentals: p.enum(['flats', 'sharps'] as const).default('flats'),
    /** By which names notes are shown and typed. */
    naming: p.enum([...noteNamings]).default('octaves'),
    /** How its times of day are shown. */
    clock: p.enum([...clocks]).default('24'),
    /** How many of a hundred in a section have to be comfortable on a note. */
    sharePercent: p.integer().default(85),
    /** How long a phrase on one breath may comfortably last, in seconds. */
    phraseSeconds: p.integer().default(9),
    /** What conditions take off a comfort; null for the usual figures. */
    trims: p.json<Trims>().nullable(),
    /** How its warm-ups are usually made, what it finds easy to learn, and ways of its own. */
    approach: p.string().length(60).default('evening-after-work'),
    level: p.integer().default(2),
    approaches: p.json<OwnApproach[]>().nullable(),
    /** Courses it keeps or follows, by their ids. */
    courses: p.json<Courses>().nullable(),
    /** When a choir to look around in is thrown away; null for a real one. */
    demoUntil: p.datetime().nullable(),
    /** When it is deleted with everything; null while nobody asked for that. */
    closesAt: p.datetime().nullable(),
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
    /** When a director took the person out; a member again when that is undone. */
    removedAt: p.datetime().nullable(),
    createdAt: createdColumn(),
  },
});
export type Member = InferEntity<typeof Member>;

/** An invitation that nobody has accepted yet. The code's hash, so a copy of the table lets nobody in. */
export const Invitation = defineEntity({
  name: 'Invitation',
  properties: {
    id: idColumn(),
    choir: () => p.manyToOne(Choir).deleteRule('cascade').index(),
    codeHash: p.string().length(64).unique(),
    role: p.enum([...roles]),
    /** A word of the director's to know it by. */
    note: p.string().length(80),
    by: () => p.manyToOne(Account).deleteRule('cascade'),
    expiresAt: p.datetime().index(),
    createdAt: createdColumn(),
  },
});
export type Invitation = InferEntity<typeof Invitation>;

/** One thing that was done in a choir, by whom: names as they were then, kept for a year. */
export const AuditRecord = defineEntity({
  name: 'AuditRecord',
  indexes: [{ properties: ['choir', 'at'] }],
  properties: {
    id: idColumn(),
    choir: () => p.manyToOne(Choir).deleteRule('cascade'),
    at: p.datetime().index(),
    by: p.string().length(80),
    kind: p.string().length(40).$type<RecordedKind>(),
    about: p.string().length(200),
  },
});
export type AuditRecord = InferEntity<typeof AuditRecord>;
