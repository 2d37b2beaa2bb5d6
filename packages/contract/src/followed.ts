import { runSchema } from './run';
import { linkedPlanSchema } from './savedPlan';
import { z } from './zod';

/** What another screen may do that follows by a link and was allowed to step: never to end it. */
export const steps = ['next', 'back', 'again', 'on', 'talk', 'pause'] as const;

/** What a screen sees that follows by a link: the run that was begun last, without persons. */
export const followedSchema = z.object({
  ...linkedPlanSchema.pick({
    choir: true,
    timeZone: true,
    clock: true,
    accidentals: true,
    naming: true,
  }).shape,
  mayStep: z.boolean(),
  /** Null until it is begun. */
  run: runSchema.nullable(),
});
export type Followed = z.infer<typeof followedSchema>;

export const stepRunSchema = z.object({
  /** Made on the screen: sent twice it counts once. */
  id: z.string().min(1).max(30),
  touch: z.enum(steps),
});
