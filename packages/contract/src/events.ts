import { uuid } from './common';
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
});
export type ChoirEvent = z.infer<typeof choirEventSchema>;
export type ChangeKind = ChoirEvent['kind'];

/** Sent in place of events when too many were missed: everything may have changed. */
export const missedEvents = 'missed';
