import { choirSchema } from './choir';
import { line, uuid } from './common';
import { partId } from './piece';
import { planDocumentSchema, segmentSchema } from './plan';
import { editFactSchema, smallEditSchema } from './planEdit';
import { mostChanges, mostFacts } from './limits';
import { z } from './zod';

/** A stored plan as the server answers with it. */
export const planSchema = z.object({
  id: uuid,
  version: z.int().min(1),
  savedAt: z.iso.datetime(),
  savedBy: z.string(),
  document: planDocumentSchema,
});
export type Plan = z.infer<typeof planSchema>;

/** What is answered when a plan was stored: its document is the one that was sent. */
export const storedPlanSchema = planSchema.omit({ document: true });
export type StoredPlan = z.infer<typeof storedPlanSchema>;

/** Saving: the version the changes started from (0 for a first plan), the whole document, and what was done. */
export const savePlanSchema = z.object({
  version: z.int().min(0),
  document: planDocumentSchema,
  edits: z.array(editFactSchema).max(mostFacts),
});
export type SavePlan = z.infer<typeof savePlanSchema>;

/** Saving where segments only moved or are chosen otherwise: what changes that version, in place of the whole document. */
export const changePlanSchema = z.object({
  version: z.int().min(1),
  changes: z.array(smallEditSchema).min(1).max(mostChanges),
  edits: z.array(editFactSchema).max(mostFacts),
});
export type ChangePlan = z.infer<typeof changePlanSchema>;

/** One version of a plan as it was: who saved it when, and what was done. */
export const planVersionSchema = z.object({
  version: z.int().min(1),
  savedAt: z.iso.datetime(),
  savedBy: z.string(),
  edits: z.array(editFactSchema),
  /** Whether the plan is kept as it was then. */
  whole: z.boolean(),
});
export type PlanVersion = z.infer<typeof planVersionSchema>;

/** A version as it was, whole. */
export const wholeVersionSchema = planVersionSchema
  .omit({ whole: true })
  .extend({ document: planDocumentSchema });
export type WholeVersion = z.infer<typeof wholeVersionSchema>;

/** A plan that is kept to begin from, under a name; everybody who leads in the choir has it. */
export const keepPlanSchema = z.object({ name: line(60), document: planDocumentSchema });
export type KeepPlan = z.infer<typeof keepPlanSchema>;
export const keptPlanSchema = z.object({
  id: uuid,
  name: line(60),
  keptAt: z.iso.datetime(),
  keptBy: z.string(),
  /** The names of its exercises in their order. */
  exercises: z.array(z.string()),
});
export type KeptPlan = z.infer<typeof keptPlanSchema>;
export const wholeKeptPlanSchema = keptPlanSchema.extend({ document: planDocumentSchema });
export type WholeKeptPlan = z.infer<typeof wholeKeptPlanSchema>;

/** What a link is for: reading a plan's sheets, practising at home, another screen that follows while it is led, or one that steps too. */
const linkUses = ['sheet', 'practice', 'follow', 'step'] as const;
export type LinkUse = (typeof linkUses)[number];

/** A link by which others read a plan's sheets, or follow it while it is led, without an account. */
export const planLinkSchema = z.object({
  id: uuid,
  use: z.enum(linkUses),
  /** For whom it is, in the director's words. */
  note: z.string(),
  /** For practising at home: the part whose page it is; null where whoever opens it chooses. */
  part: partId.nullable(),
  /** Whether singers are asked how it was, and may send what was easy. */
  asks: z.boolean(),
  /** How many places of the score are shown, for practising at home. */
  bars: z.int().min(0),
  expiresAt: z.iso.datetime(),
});
export type PlanLink = z.infer<typeof planLinkSchema>;

/** Places of the score of one link, and how much they may be in all, in signs. */
export const mostBarsShown = 12;
const largestBarsShown = 300_000;

export const makePlanLinkSchema = z.object({
  note: z.string().trim().max(80, 'At most 80 characters.'),
  use: z.enum(linkUses).default('sheet'),
  part: partId.nullable().default(null),
  asks: z.boolean().default(false),
  /** Hard bars as they are written, where their score may be shown: each an exercise that only its parts sing. */
  bars: z
    .array(segmentSchema)
    .max(mostBarsShown, `At most ${mostBarsShown} places of the score.`)
    .refine(
      (bars) => JSON.stringify(bars).length <= largestBarsShown,
      'This is too much of the score. Mark fewer bars, or shorter stretches.',
    )
    .default([]),
});
export type MakePlanLink = z.infer<typeof makePlanLinkSchema>;

/** A new link with its code: the one time it is shown. */
export const newPlanLinkSchema = planLinkSchema.extend({ code: z.string() });
export type NewPlanLink = z.infer<typeof newPlanLinkSchema>;

/** What a link leads to: a plan as it is now, without persons, and how the choir writes times and notes. */
export const linkedPlanSchema = z.object({
  choir: z.string(),
  timeZone: z.string(),
  ...choirSchema.pick({ clock: true, accidentals: true, naming: true }).shape,
  place: z.string(),
  startsAt: z.iso.datetime(),
  /** The time set aside, in seconds. */
  allotted: z.number().min(0),
  document: planDocumentSchema,
});
export type LinkedPlan = z.infer<typeof linkedPlanSchema>;

/** What singers practise from at home: the plan as it is now, without persons, for one part where its link is. */
export const practiceSchema = linkedPlanSchema.omit({ place: true }).extend({
  part: partId.nullable(),
  asks: z.boolean().default(false),
  /** Hard bars as they were written when the link was made. */
  bars: z.array(segmentSchema).default([]),
});
export type Practice = z.infer<typeof practiceSchema>;
