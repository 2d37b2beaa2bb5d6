import { uuid } from './common';
import { mostRunEvents } from './limits';
import { runEventSchema } from './run';
import { z } from './zod';

/** What of a choir can change under somebody's eyes. */
const changeKinds = [
  'choir',
  'members',
  'evenings',
  'evening',
  'presence',
  'plan',
  'run',
  /** A run that is over: what is learned from it is another. */
  'led',
  'templates',
  'exercises',
  'pieces',
  'piece',
  'voices',
  'singers',
] as const;

/** Something was stored: what kind of thing, and which one where that can be said. */
export const choirEventSchema = z.object({
  /** Rises with every event of a choir; a reader who was away goes on from the last one seen. */
  id: z.int().min(1),
  kind: z.enum(changeKinds),
  evening: uuid.optional(),
  item: z.string().max(40).optional(),
  piece: uuid.optional(),
  exercise: z.string().max(60).optional(),
  /** Where nothing but events came to a run that goes on: which one, and how many it has now. */
  run: uuid.optional(),
  events: z.int().optional(),
});
export type ChoirEvent = z.infer<typeof choirEventSchema>;
export type ChangeKind = ChoirEvent['kind'];

/** Told beside such a change, where it is short and anybody may know it: what happened in the run. */
export const happenedSchema = z.object({
  kind: z.literal('happened'),
  evening: uuid,
  item: z.string().max(40),
  run: uuid,
  /** How many events it had before, and has now; some of those told may have been among them. */
  from: z.int().min(0),
  to: z.int().min(0),
  events: z.array(runEventSchema).max(mostRunEvents),
});
export type Happened = z.infer<typeof happenedSchema>;

/** Sent in place of events when too many were missed: everything may have changed. */
export const missedEvents = 'missed';
