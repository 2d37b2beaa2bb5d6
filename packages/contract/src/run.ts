import { managing, renewing } from '@wide-fern/core';
import { line, midiNote, uuid } from './common';
import { longestRun, mostLonger, mostNoted, mostRunEvents, mostSegments } from './limits';
import { planDocumentSchema, segmentSchema, tonightSchema } from './plan';
import { z } from './zod';

const segmentId = segmentSchema.shape.id;
const seconds = z.number().min(0).max(86_400);
/** Made on a device: a letter of one is as good as another's, so it is only bounded. */
const eventId = z.string().min(1).max(40);

const ledKeySchema = z.object({
  tonic: midiNote.nullable(),
  seconds,
  span: seconds,
  wait: seconds,
});
const ledSegmentSchema = z.object({
  id: segmentId,
  talk: seconds,
  keys: z.array(ledKeySchema).min(1).max(100),
  after: seconds,
});

/** What happened while a warm-up was led. */
const runActSchema = z.discriminatedUnion('kind', [
  z.object({ kind: z.literal('opened'), segment: segmentId }),
  z.object({ kind: z.literal('began'), key: z.int().min(0).max(100) }),
  z.object({ kind: z.literal('again') }),
  z.object({ kind: z.literal('shifted'), semitones: z.int().min(-24).max(24) }),
  z.object({ kind: z.literal('held') }),
  z.object({ kind: z.literal('talking'), on: z.boolean() }),
  z.object({ kind: z.literal('paused') }),
  z.object({ kind: z.literal('resumed') }),
  z.object({
    kind: z.literal('marked'),
    part: z.string().min(1).max(8).nullable(),
    word: line(mostNoted),
    segment: segmentId.optional(),
  }),
  z.object({
    kind: z.literal('managed'),
    how: z.enum(managing),
    segment: segmentId.optional(),
    longer: z
      .object({
        counts: z.int().min(-mostLonger).max(mostLonger),
        seconds: z.number().min(-3600).max(3600),
      })
      .optional(),
  }),
  z.object({
    kind: z.literal('renewed'),
    why: z.enum(renewing),
    rest: z.array(ledSegmentSchema).max(mostSegments),
    /** The same with everything that is sung in them, and the sections they are for where these changed. */
    segments: z.array(segmentSchema).max(mostSegments),
    tonight: tonightSchema.optional(),
  }),
  z.object({ kind: z.literal('undone'), event: eventId }),
  z.object({ kind: z.literal('ended') }),
]);
export type SentAct = z.infer<typeof runActSchema>;

export const runEventSchema = z.object({
  id: eventId,
  n: z.int().min(0).max(mostRunEvents),
  /** Milliseconds since the run began. */
  at: z.number().min(0).max(longestRun),
  act: runActSchema,
});
export type SentEvent = z.infer<typeof runEventSchema>;

/** What a run begins with: the plan as it was then, and when it has to be over. */
export const runHeadSchema = z.object({
  startedAt: z.iso.datetime(),
  /** Seconds from its start until the time set aside is over. */
  seconds: z.number().min(0).max(86_400),
  document: planDocumentSchema,
});
export type RunHead = z.infer<typeof runHeadSchema>;

/**
 * Events of a run, the first ones or further ones: each is kept once, whoever sends it again. What it
 * begins with is sent until it is known to be here.
 */
export const sendRunSchema = z.object({
  head: runHeadSchema.optional(),
  events: z.array(runEventSchema).max(mostRunEvents),
});
export type SendRun = z.infer<typeof sendRunSchema>;

/** A run as a list shows it. */
export const runSummarySchema = z.object({
  id: uuid,
  startedAt: z.iso.datetime(),
  /** Null while it is led. */
  endedAt: z.iso.datetime().nullable(),
  ledBy: z.string(),
});
export type RunSummary = z.infer<typeof runSummarySchema>;

/** What an exercise really took one time it was led to its end. */
export const ledOnceSchema = z.object({
  exercise: z.string().min(1).max(60),
  ledAt: z.iso.datetime(),
  /** Seconds: before its first key, between keys, at its end, and what was sung or done. */
  talk: seconds,
  coach: seconds,
  after: seconds,
  singing: seconds,
  /** What was planned of that. */
  planned: seconds,
  /** How many managed it, as it was said last. */
  managed: z.enum(managing).nullable(),
  /** Different keys that were sung, and the longest stretch out on one breath, in seconds. */
  keys: z.int().min(0),
  breath: seconds.nullable(),
  /** Parts that strained, each in the lowest key it did; readers are not told. */
  strained: z.array(z.object({ part: z.string(), tonic: midiNote })),
});
export type LedOnce = z.infer<typeof ledOnceSchema>;

/** A run with all that happened in it. */
export const runSchema = runSummarySchema.extend({
  head: runHeadSchema,
  events: z.array(runEventSchema),
});
export type Run = z.infer<typeof runSchema>;

/** What happened in a run so far. */
export const runNewsSchema = runSchema.pick({ endedAt: true, events: true }).extend({
  /** How many events are stored; a reader is not shown each of them. */
  stored: z.int().min(0),
});
export type RunNews = z.infer<typeof runNewsSchema>;
