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

function keeper<T>(kind: string, schema: z.ZodType<T>) {
  const keyOf = (account: string, of: string) => `wide-fern:${kind}:${account}:${of}`;
  return {
    read: (account: string, of: string): T | undefined => {
      try {
        return schema.parse(JSON.parse(localStorage.getItem(keyOf(account, of)) ?? ''));
      } catch {
        return undefined;
      }
    },
    keep: (account: string, of: string, value: T | undefined): void => {
      try {
        if (value === undefined) localStorage.removeItem(keyOf(account, of));
        else localStorage.setItem(keyOf(account, of), JSON.stringify(value));
      } catch {
        // A full device: the check is still in the page.
      }
    },
  };
}

export const keptChecks = keeper('check', rangeCheck);
export const keptSectionChecks = keeper('section-check', sectionCheck);
