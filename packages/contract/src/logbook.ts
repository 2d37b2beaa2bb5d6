import { managing, phases, purposes } from '@wide-fern/core';
import { day, midiNote, uuid } from './common';
import { z } from './zod';

const seconds = z.number().min(0);

/** How far a logbook looks back, at most, in weeks: ten years. */
const mostWeeks = 530;
export const logbookQuerySchema = z.object({
  weeks: z.coerce.number().int().min(1).max(mostWeeks).default(10),
});

/** A warm-up as it was led to its end. */
const loggedRunSchema = z.object({
  id: uuid,
  evening: uuid,
  item: z.string(),
  startedAt: z.iso.datetime(),
  /** Seconds: set aside for it, planned, and from its beginning to its end. */
  allotted: seconds,
  planned: seconds,
  real: seconds,
});
export type LoggedRun = z.infer<typeof loggedRunSchema>;

/** An exercise as it was led in one of them. */
const loggedSchema = z.object({
  run: uuid,
  exercise: z.string(),
  name: z.string(),
  phase: z.enum(phases),
  purposes: z.array(z.enum(purposes)),
  /** Seconds: of talk before, between and after, and of what was sung or done. */
  talk: seconds,
  singing: seconds,
  /** The highest key that was sung; null for what has none. */
  top: midiNote.nullable(),
  /** How many managed it, as it was said last. */
  managed: z.enum(managing).nullable(),
});
export type Logged = z.infer<typeof loggedSchema>;

/** What a choir did in its evenings, and how its pieces were judged in that time. */
export const logbookSchema = z.object({
  evenings: z.array(
    z.object({ id: uuid, startsAt: z.iso.datetime(), name: z.string().nullable() }),
  ),
  /** In the order they were led. */
  runs: z.array(loggedRunSchema),
  led: z.array(loggedSchema),
  judged: z.array(
    z.object({
      piece: uuid,
      judgedOn: day,
      scores: z.array(z.object({ skill: z.enum(purposes), score: z.int() })),
      target: z.enum(purposes).nullable(),
    }),
  ),
  pieces: z.array(z.object({ id: uuid, title: z.string() })),
  /** When each exercise was led last, however long ago. */
  lastLed: z.array(z.object({ exercise: z.string(), name: z.string(), ledAt: z.iso.datetime() })),
});
export type Logbook = z.infer<typeof logbookSchema>;
