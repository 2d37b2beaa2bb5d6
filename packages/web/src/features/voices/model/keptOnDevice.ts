import { bySchema, keptOnDevice, type Kept } from '@wide-fern/client';
import { z } from '@wide-fern/contract';
import {
  checkAnswers,
  checkLimits,
  checkWays,
  type CheckProgress,
  type GroupCheck,
} from '@wide-fern/core';

/**
 * Checks that are not finished, kept on this device: a check can be paused, and a closed tab loses
 * nothing. Notes and ids only, never names.
 */
const note = z.int().min(checkLimits.lowest).max(checkLimits.highest);
const range = z.tuple([note, note]).readonly().nullable().default(null);
const rangeCheck: z.ZodType<CheckProgress> = z.object({
  start: note,
  light: z.boolean(),
  expected: range,
  changes: z.array(note).default([]),
  steps: z.array(z.object({ way: z.enum(checkWays), note, answer: z.enum(checkAnswers) })).max(400),
});
const dropped = z
  .object({
    singer: z.string(),
    way: z.enum(['up', 'down']),
    note,
    sung: note.nullable().optional(),
  })
  // An older one went by semitones.
  .transform((one) => ({
    ...one,
    sung: one.sung === undefined ? one.note + (one.way === 'up' ? -1 : 1) : one.sung,
  }));
const groupCheck: z.ZodType<GroupCheck> = z.object({
  singers: z.array(z.string()).max(2000),
  below: z.array(z.string()).max(2000).default([]),
  expected: range,
  start: note,
  way: z.enum(['up', 'down', 'done']),
  note,
  before: note.nullable().default(null),
  out: z.array(dropped).max(4000),
  changes: z.record(z.string(), z.array(note)).default({}),
  reached: z.object({ up: note.nullable(), down: note.nullable() }),
});

const checks = keptOnDevice('check', bySchema(rangeCheck));
const groupChecks = keptOnDevice('section-check', bySchema(groupCheck));

/** Keeps a check by who makes it and of whom. */
const keeper = <T>({ read, keep }: Kept<T>) => ({
  read: (account: string, of: string): T | undefined => read(account, of),
  keep: (account: string, of: string, value: T | undefined): void =>
    void keep([account, of], value),
});

export const keptChecks = keeper(checks);
export const keptGroupChecks = keeper(groupChecks);
