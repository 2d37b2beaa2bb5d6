import { phases, purposes, shapes, type Approach } from '@wide-fern/core';
import { line } from './common';
import { choiceLimits } from './limits';
import { leadingShape } from './plan';
import { z } from './zod';

const share = z
  .number('A share is a number.')
  .min(0, 'No less than nothing.')
  .max(100, 'At most all of it.');

/** How a warm-up is made: what it has in which order, and how it is led. */
export const approachSchema: z.ZodType<Approach> = z.object({
  id: z.string().regex(/^[a-z0-9-]{1,60}$/),
  phases: z
    .array(
      z
        .object({
          phase: z.enum(phases),
          required: z.boolean(),
          least: share,
          most: share,
          strong: z.int().min(0).max(20).optional(),
        })
        .refine(({ least, most }) => least <= most, 'The least must not be more than the most.'),
    )
    .min(1, 'A warm-up has at least one phase.')
    .max(14, 'At most fourteen phases.'),
  shape: z.enum(shapes).optional(),
  step: z.int().min(choiceLimits.step[0]).max(choiceLimits.step[1]).optional(),
  bySteps: z.boolean().optional(),
  keys: z
    .tuple([z.int().min(1).max(24), z.int().min(1).max(24)])
    .refine(([least, most]) => least <= most)
    .optional(),
  rise: z.boolean(),
  habit: z.enum(['vary', 'keep']),
  talk: z.number().min(choiceLimits.talk[0]).max(choiceLimits.talk[1]).optional(),
  ...leadingShape,
});

/** An approach of a choir's own, with what it is called. */
export const ownApproachSchema = z.object({ name: line(60), approach: approachSchema });
export type OwnApproach = z.infer<typeof ownApproachSchema>;
export const ownApproachesSchema = z
  .array(ownApproachSchema)
  .max(20, 'At most twenty ways of your own.')
  .refine(
    (all) => new Set(all.map(({ approach }) => approach.id)).size === all.length,
    'Each way needs an id of its own.',
  );

const exercise = z.string().max(60);
const seconds = z.number().min(0).max(36_000);

/** What a person asks of the next warm-up that is built, beside what is known of the evening. */
export const buildWishSchema = z.object({
  /** The approach by its id; the choir's usual one where it is null. */
  approach: z.string().max(60).nullable(),
  level: z.int().min(1).max(3).nullable(),
  /** The time to fill, in seconds; all that is set aside where it is null. */
  seconds: seconds.nullable(),
  /** How much each skill is wished for; 0 takes a wish away. */
  wishes: z.partialRecord(z.enum(purposes), z.int().min(0).max(3)),
  /** Exercises that have to be in it, and that must not be. */
  included: z.array(exercise).max(20),
  excluded: z.array(exercise).max(500),
  limits: z.partialRecord(
    z.enum(phases),
    z.object({ least: seconds.optional(), most: seconds.optional() }),
  ),
  /** Nothing strong. */
  quiet: z.boolean(),
  /** Another top than the music needs, for one part. */
  top: z.object({ part: z.string().max(8), note: z.int().min(0).max(127) }).nullable(),
});
export type BuildWish = z.infer<typeof buildWishSchema>;
