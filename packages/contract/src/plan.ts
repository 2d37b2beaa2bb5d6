import {
  conditions,
  lowVoiceOrders,
  playedWays,
  purposeTimes,
  tooHighOrders,
  voiceOrders,
  type InPlaces,
  type PartNeed,
  type Pass,
  type Section,
  type SingleKey,
  type Tonight,
} from '@wide-fern/core';
import { line, midiNote, pitchRange, withinReach, withinReachMessage } from './common';
import { exerciseSchema, passSchema, usualChoicesSchema } from './exercise';
import { choiceLimits, mostSegments, planSchemaVersion } from './limits';
import { z } from './zod';

/** A section as a plan is made for it: what it can sing, never the persons. */
export const sectionSchema: z.ZodType<Section> = z
  .object({
    id: z.string().min(1).max(8),
    one: line(40),
    many: line(40),
    octave: z.int().min(-24).max(24),
    comfort: pitchRange,
    reach: pitchRange,
    singers: z.int().min(0).max(2000),
    away: z.int().min(0).max(2000).optional(),
    suits: z.boolean(),
    register: z.object({ zone: pitchRange, asked: z.int().min(0).max(2000) }).optional(),
    light: z.object({ top: midiNote, asked: z.int().min(1).max(2000) }).optional(),
  })
  .refine(withinReach, withinReachMessage);

/** The highest and lowest note that tonight's music asks of a part, and the piece that does. */
const partNeedSchema: z.ZodType<PartNeed> = z.object({
  part: z.string().min(1).max(8),
  highest: midiNote,
  highestIn: line(120),
  highestBar: z.int().min(0).max(20_000).optional(),
  lowest: midiNote,
  lowestIn: line(120),
  lowestBar: z.int().min(0).max(20_000).optional(),
});

/** What keys are computed from: the sections and the music of the evening a plan was made for. */
export const tonightSchema: z.ZodType<Tonight> = z.object({
  sections: z
    .array(sectionSchema)
    .min(1)
    .max(8)
    .refine(
      (sections) => new Set(sections.map(({ id }) => id)).size === sections.length,
      'Each part may stand here once.',
    ),
  needs: z.array(partNeedSchema).max(8),
  condition: z.enum(conditions).optional(),
});

/** The octave a part sings away from the treble tonic, or that it rests or holds the key's note. */
const toldMove = z.union([z.int().min(-36).max(24).multipleOf(12), z.enum(['rest', 'hold'])]);
const toldSchema = z
  .record(z.string().min(1).max(8), z.record(z.string().regex(/^\d{1,2}$/), toldMove))
  .refine((parts) => Object.keys(parts).length <= 8, 'A choir has at most eight parts.');

/** The place of a key or a time, counted from 0. */
const place = z.string().regex(/^\d{1,2}$/);
const [leastPause, mostPause] = choiceLimits.pause;

/** What is other in single keys, and for the so manieth time in each key. */
const inKeysSchema: z.ZodType<InPlaces<SingleKey>> = z.record(
  place,
  z.object({
    way: passSchema.optional(),
    pause: z
      .object({
        seconds: z
          .number('A pause in seconds is a number.')
          .min(leastPause, `A pause has ${leastPause} s at least.`)
          .max(mostPause, `A pause has ${mostPause} s at most.`),
        does: line(60).optional(),
      })
      .optional(),
    played: z.enum(playedWays).optional(),
  }),
);
const inTimesSchema: z.ZodType<InPlaces<Pass>> = z.record(place, passSchema);
const singleShape = { inKeys: inKeysSchema.optional(), inTimes: inTimesSchema.optional() };

/** How it is led, in place of what the exercise says itself. */
export const leadingShape = {
  voices: z.enum(voiceOrders).optional(),
  lowVoices: z.enum(lowVoiceOrders).optional(),
  tooHigh: z.enum(tooHighOrders).optional(),
  purposeSaid: z.enum(purposeTimes).optional(),
  untilRight: z.boolean().optional(),
};

/** What was chosen for a segment: as usual for the exercise, or changed; start null is the best one. */
export const choicesSchema = usualChoicesSchema.extend({
  start: midiNote.nullable(),
  /** Whether it stays as it is whatever else is built around it. */
  pinned: z.boolean().optional(),
  /** What parts were told to do in single keys: by part and by the key's place, counted from 0. */
  told: toldSchema.optional(),
  ...singleShape,
  /** Whether each time in a key every part takes the next line. */
  linesInTurn: z.boolean().optional(),
  ...leadingShape,
});
export type Choices = z.infer<typeof choicesSchema>;

export const segmentSchema = z.object({
  id: z.string().min(1).max(40),
  /** The exercise as it was when it was taken into the plan. */
  exercise: exerciseSchema,
  choices: choicesSchema,
});
export type Segment = z.infer<typeof segmentSchema>;

/** A warm-up as it is stored: everything its keys and times are computed from. */
export const planDocumentSchema = z
  .object({
    schema: z.literal(planSchemaVersion),
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
