import { placeNeeds, occasions, purposes } from '@wide-fern/core';
import { day, line, uuid } from './common';
import { openTargetSchema, rangesSchema } from './piece';
import { sectionSchema, tonightSchema } from './plan';
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
const agendaItemSchema = z.object({
  id: z.string().regex(/^[a-z0-9-]{1,40}$/),
  kind: z.enum(agendaKinds),
  title: line(120),
  minutes: z
    .number('Minutes are a number.')
    .min(0, 'No less than nothing.')
    .max(600, 'At most 600 minutes.'),
  piece: uuid.nullable(),
  /** What is sung of the piece, by printed bars; all of it when it is not said. */
  bars: z
    .tuple([z.int().min(0).max(20_000), z.int().min(0).max(20_000)])
    .refine(([from, to]) => from <= to, 'The last bar must not lie before the first.')
    .nullable()
    .optional(),
  /** What is done in it, in a few words. */
  note: z.string().trim().max(200, 'At most 200 characters.').optional(),
});
export type AgendaItem = z.infer<typeof agendaItemSchema>;
export const mostAgendaItems = 40;
export const agendaSchema = z
  .array(agendaItemSchema)
  .max(mostAgendaItems, `At most ${mostAgendaItems} items in an evening.`)
  .refine(
    (items) => new Set(items.map(({ id }) => id)).size === items.length,
    'Each item needs an id of its own.',
  );

/** What the place does not allow, of what exercises can need. */
export const forbidsSchema = z.array(z.enum(placeNeeds)).max(placeNeeds.length);
export const occasion = z.enum(occasions);

/** An evening in the row of dates. */
export const eveningSummarySchema = z.object({
  id: uuid,
  name: z.string().nullable(),
  startsAt: z.iso.datetime(),
  endsAt: z.iso.datetime(),
  place: z.string(),
});
export type EveningSummary = z.infer<typeof eveningSummarySchema>;

/** A wish for the next plan: the open target of a piece. */
const wishSchema = z.object({
  piece: uuid,
  title: z.string(),
  ...openTargetSchema.shape,
  skill: z.enum(purposes),
  weight: z.int().min(1).max(3),
});
export type Wish = z.infer<typeof wishSchema>;

/** An evening whole, with what its keys rest on now. */
export const eveningSchema = eveningSummarySchema.extend({
  version: z.int().min(1),
  occasion,
  forbids: forbidsSchema,
  agenda: agendaSchema,
  tonight: tonightSchema,
  /** What is sung, in its order, with the lowest and highest note of each part as it is sung. */
  pieces: z.array(z.object({ id: uuid, title: z.string(), ranges: rangesSchema })),
  /** The sections as they would be if nobody were away. */
  withEveryone: z.array(sectionSchema),
  /** The sections as they would be if besides everybody were as usual; for readers the same. */
  asUsual: z.array(sectionSchema),
  /** What judgements ask for, the pieces of the evening first. */
  wishes: z.array(wishSchema),
});
export type Evening = z.infer<typeof eveningSchema>;

const clock = z.string().regex(/^([01]\d|2[0-3]):[0-5]\d$/, 'A time is written like 19:30.');

/** An evening as it is typed: local date and times in the choir's own zone. */
const typedEvening = {
  name: z.string().trim().max(120, 'At most 120 characters.').nullable(),
  date: day,
  start: clock,
  end: clock,
  place: line(80),
  occasion,
  forbids: forbidsSchema,
  agenda: agendaSchema,
};
const endsLater = ({ start, end }: { start: string; end: string }) => start !== end;
const endsLaterSaid = {
  path: ['end'],
  message: 'The end is the same as the start; choose a later time.',
};

export const storeEveningSchema = z.object(typedEvening).refine(endsLater, endsLaterSaid);
export type StoreEvening = z.infer<typeof storeEveningSchema>;

/** Changing an evening: the version the change started from, and the evening as it shall be. */
export const changeEveningSchema = z.object({
  version: z.int().min(1),
  evening: storeEveningSchema,
});
export type ChangeEvening = z.infer<typeof changeEveningSchema>;

/** More dates than this are not made at once: two years of weeks. */
export const mostDates = 104;

/** The same evening again on other dates. */
export const copyEveningSchema = z.object({
  dates: z
    .array(day)
    .min(1, 'Choose at least one date.')
    .max(mostDates, `At most ${mostDates} dates at once.`),
  /** Whether its warm-up plans go along. */
  withPlans: z.boolean(),
});
export type CopyEvening = z.infer<typeof copyEveningSchema>;

/** Evenings read from a list of dates. */
export const manyEveningsSchema = z.object({
  evenings: z
    .array(storeEveningSchema)
    .min(1, 'There is no date to take.')
    .max(mostDates * 2),
});
export type ManyEvenings = z.infer<typeof manyEveningsSchema>;

/** How an evening of this choir usually goes, to begin a new one from. */
export const storeTemplateSchema = z
  .object({ ...typedEvening, name: line(120) })
  .omit({ date: true })
  .refine(endsLater, endsLaterSaid);
export type StoreTemplate = z.infer<typeof storeTemplateSchema>;
export const templateSchema = z.object({ id: uuid, ...storeTemplateSchema.shape });
export type Template = z.infer<typeof templateSchema>;
