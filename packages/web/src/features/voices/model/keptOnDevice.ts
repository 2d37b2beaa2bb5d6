import { bySchema, keptOnDevice, type Kept } from '@wide-fern/client';
import { z } from '@wide-fern/contract';
import {
  checkAnswers,
  checkLimits,
  checkWays,
  type CheckProgress,
  type SectionCheck,
} from '@wide-fern/core';

/**
 * Checks that are not finished, kept on this device: a check can be paused, and a closed tab loses
 * nothing. Notes and ids only, never names.
 */
const note = z.int().min(checkLimits.lowest).max(checkLimits.highest);
const rangeCheck: z.ZodType<CheckProgress> = z.object({
  start: note,
  light: z.boolean(),
  steps: z.array(z.object({ way: z.enum(checkWays), note, answer: z.enum(checkAnswers) })).max(400),
});
const sectionCheck: z.ZodType<SectionCheck> = z.object({
  singers: z.array(z.string()).max(2000),
  start: note,
  way: z.enum(['up', 'down', 'done']),
  note,
  out: z.array(z.object({ singer: z.string(), way: z.enum(['up', 'down']), note })).max(4000),
  reached: z.object({ up: note.nullable(), down: note.nullable() }),
});

const checks = keptOnDevice('check', bySchema(rangeCheck));
const sectionChecks = keptOnDevice('section-check', bySchema(sectionCheck));

/** Keeps a check by who makes it and of whom. */
const keeper = <T>({ read, keep }: Kept<T>) => ({
  read: (account: string, of: string): T | undefined => read(account, of),
  keep: (account: string, of: string, value: T | undefined): void => keep([account, of], value),
});

export const keptChecks = keeper(checks);
export const keptSectionChecks = keeper(sectionChecks);
