import { conditions } from '@wide-fern/core';
import { line, midiNote, pitchRange, uuid, withinReach, withinReachMessage } from './common';
import { exerciseSchema, usualChoicesSchema } from './exercise';
import { z } from './zod';

/** A section as a plan is made for it: the band, never the persons. */
export const bandSchema = z
  .object({
    id: z.string().min(1).max(8),
    one: line(40),
    many: line(40),
    octave: z.int().min(-24).max(24),
    comfort: pitchRange,
    reach: pitchRange,
    /** How many singers the band rests on; 0 when it is the part's default. */
    singers: z.int().min(0).max(2000),
    /** How many of the section are away. */
    away: z.int().min(0).max(2000).optional(),
    /** False when no note suits enough of the section. */
    suits: z.boolean(),
  })
  .refine(withinReach, withinReachMessage);
export type Band = z.infer<typeof bandSchema>;

/** The highest and lowest note that tonight's music asks of a part, and the piece that does. */
export const needSchema = z.object({
  part: z.string().min(1).max(8),
  highest: midiNote,
  highestIn: line(120),
  /** The printed bar, where a score was read. */
  highestBar: z.int().min(0).max(20_000).optional(),
  lowest: midiNote,
  lowestIn: line(120),
  lowestBar: z.int().min(0).max(20_000).optional(),
});
export type Need = z.infer<typeof needSchema>;

/** What keys are computed from: the bands and the music of the evening a plan was made for. */
export const tonightSchema = z.object({
  bands: z
    .array(bandSchema)
    .min(1)
    .max(8)
    .refine(
      (bands) => new Set(bands.map(({ id }) => id)).size === bands.length,
      'Each part may stand here once.',
    ),
  needs: z.array(needSchema).max(8),
  /** How the choir comes to the evening; rested when it is not said. */
  condition: z.enum(conditions).optional(),
});
export type Tonight = z.infer<typeof tonightSchema>;

/** What was chosen for a segment: as usual for the exercise, or changed; start null is the best one. */
export const choicesSchema = usualChoicesSchema.extend({ start: midiNote.nullable() });
export type Choices = z.infer<typeof choicesSchema>;

export const segmentSchema = z.object({
  id: z.string().min(1).max(40),
  /** The exercise as it was when it was taken into the plan. */
  exercise: exerciseSchema,
  choices: choicesSchema,
});
export type Segment = z.infer<typeof segmentSchema>;

/** More segments than this nobody leads in one warm-up. */
export const mostSegments = 40;

/** A warm-up as it is stored: everything its keys and times are computed from. */
export const planDocumentSchema = z
  .object({
    schema: z.literal(1),
    tonight: tonightSchema,
    segments: z
      .array(segmentSchema)
      .max(mostSegments, `A warm-up has at most ${mostSegments} segments; leave some out.`),
  })
  .refine(
    ({ segments }) => new Set(segments.map(({ id }) => id)).size === segments.length,
    'Each segment needs an id of its own.',
  );
export type PlanDocument = z.infer<typeof planDocumentSchema>;

/** A stored plan as the server answers with it. */
export const planSchema = z.object({
  id: uuid,
  version: z.int().min(1),
  savedAt: z.iso.datetime(),
  savedBy: z.string(),
  document: planDocumentSchema,
});
export type Plan = z.infer<typeof planSchema>;

/** Saving: the version the changes started from (0 for a first plan) and the whole document. */
export const savePlanSchema = z.object({
  version: z.int().min(0),
  document: planDocumentSchema,
});
export type SavePlan = z.infer<typeof savePlanSchema>;
