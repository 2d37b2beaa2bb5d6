import { line, pitchRange, uuid } from './common';
import { bandSchema, tonightSchema } from './plan';
import { z } from './zod';

export const agendaKinds = [
  'arrival',
  'warm-up',
  'piece',
  'break',
  'notices',
  'cool-down',
] as const;

/** One item of an evening; items follow each other from its start. */
export const agendaItemSchema = z.object({
  id: z.string().regex(/^[a-z0-9-]{1,40}$/),
  kind: z.enum(agendaKinds),
  title: line(120),
  minutes: z.number().min(0).max(600),
  piece: uuid.nullable(),
});
export type AgendaItem = z.infer<typeof agendaItemSchema>;
export const agendaSchema = z.array(agendaItemSchema).max(40);

/** An evening in the row of dates. */
export const eveningSummarySchema = z.object({
  id: uuid,
  name: z.string().nullable(),
  startsAt: z.iso.datetime(),
  endsAt: z.iso.datetime(),
  place: z.string(),
});
export type EveningSummary = z.infer<typeof eveningSummarySchema>;

/** An evening whole, with what its keys rest on now. */
export const eveningSchema = eveningSummarySchema.extend({
  agenda: agendaSchema,
  tonight: tonightSchema,
  /** What is sung, in its order, with the lowest and highest note of each part. */
  pieces: z.array(
    z.object({ id: uuid, title: z.string(), ranges: z.record(z.string(), pitchRange) }),
  ),
  /** The sections as they would be if nobody were away. */
  withEveryone: z.array(bandSchema),
});
export type Evening = z.infer<typeof eveningSchema>;

const clock = z.string().regex(/^([01]\d|2[0-3]):[0-5]\d$/, 'A time is written like 19:30.');

/** A new evening as it is typed: local date and times in the choir's own zone. */
export const newEveningSchema = z
  .object({
    date: z.iso.date('Choose a date.'),
    start: clock,
    end: clock,
    place: line(80),
    warmUpMinutes: z
      .number('Minutes are a number.')
      .int('Whole minutes, please.')
      .min(1, 'At least one minute.')
      .max(90, 'At most 90 minutes.'),
  })
  .refine(({ start, end }) => start !== end, {
    path: ['end'],
    message: 'The end is the same as the start; choose a later time.',
  });
export type NewEvening = z.infer<typeof newEveningSchema>;
