import { purposes } from '@wide-fern/core';
import { day, maybeLine, uuid } from './common';
import { judgingCardSchema } from './piece';
import { z } from './zod';

/** The largest recording of a run that is kept, in bytes: half an hour as a phone writes it. */
export const largestRecording = 20_000_000;
/** A recording is deleted after so many days, where it is not said otherwise, and at most. */
export const usualRecordingDays = 14;
const longestRecordingDays = 60;
/** A run is judged by so many at once. */
export const mostCards = 24;
/** Of a piece, so many runs that several judged are shown: the latest. */
export const mostJudgingsShown = 12;

const skill = z.enum(purposes);

/** A run that several judge, each on a card of their own. */
export const openJudgingSchema = z.object({
  judgedOn: day,
  /** What stands on everybody's card. */
  skills: z
    .array(skill)
    .min(1, 'Choose at least one skill.')
    .max(8, 'At most eight skills at once.')
    .refine((skills) => new Set(skills).size === skills.length, 'Choose each skill once.'),
  /** Who sang, where something is tried on a small group first: «two of each part». Empty for the whole choir. */
  group: maybeLine(80),
  /** What was tried since it was judged before. */
  tried: maybeLine(200),
});
export type OpenJudging = z.infer<typeof openJudgingSchema>;

/** No more cards are taken; with what is agreed on, or (null) to look at the cards first. */
export const settleJudgingSchema = z.object({ agreed: judgingCardSchema.nullable() });
export type SettleJudging = z.infer<typeof settleJudgingSchema>;

/** A run as several judge it, as one of them sees it. */
export const judgingSchema = z.object({
  id: uuid,
  ...openJudgingSchema.shape,
  openedBy: z.string(),
  /** Who handed a card in. */
  handedIn: z.array(z.string()),
  /** What they say; null until one has handed in one's own, or no more are taken. */
  cards: z
    .array(
      z.object({
        ...judgingCardSchema.shape,
        /** Whose it is: the same in every run; null for somebody who is gone. */
        judge: uuid.nullable(),
        by: z.string(),
        isOwn: z.boolean(),
      }),
    )
    .nullable(),
  /** Whether no more cards are taken. */
  closed: z.boolean(),
  agreed: judgingCardSchema.nullable(),
  recording: z.object({ name: z.string(), size: z.int(), until: z.iso.datetime() }).nullable(),
});
export type Judging = z.infer<typeof judgingSchema>;

/** The runs of a piece that several judged, the latest first. */
export const judgingsSchema = z.array(judgingSchema).max(mostJudgingsShown);

/** Pieces with a run that waits for a card of the caller's, the latest first. */
export const awaitedSchema = z
  .array(z.object({ piece: uuid, title: z.string(), judgedOn: day }))
  .max(mostJudgingsShown);
export type Awaited = z.infer<typeof awaitedSchema>;

/** How a recording is sent: under which name, and for how many days it is kept. */
export const recordingQuerySchema = z.object({
  name: z.string().max(400).optional(),
  days: z
    .string()
    .regex(/^\d{1,2}$/, 'Say for how many days.')
    .refine(
      (days) => Number(days) >= 1 && Number(days) <= longestRecordingDays,
      `From 1 to ${longestRecordingDays} days.`,
    )
    .optional(),
});
