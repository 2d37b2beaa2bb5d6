import {
  demonstrations,
  lowVoiceOrders,
  purposeTimes,
  shapes,
  tooHighOrders,
  voiceOrders,
} from '@wide-fern/core';
import { midiNote } from './common';
import { mostSegments } from './limits';
import {
  choicesSchema,
  planDocumentSchema,
  segmentSchema,
  tonightSchema,
  type Choices,
} from './plan';
import { z } from './zod';

const segmentId = segmentSchema.shape.id;
/** The segment it follows; null at the beginning. */
const after = segmentId.nullable();

/** Choices that need not be made. */
const optionalChoices = [
  'coach',
  'after',
  'reset',
  'countInEach',
  'tempoStep',
  'bySteps',
  'pinned',
  'told',
  'inKeys',
  'inTimes',
  'linesInTurn',
  'voices',
  'lowVoices',
  'tooHigh',
  'purposeSaid',
  'untilRight',
] as const satisfies readonly (keyof Choices)[];
export type OptionalChoice = (typeof optionalChoices)[number];

/** Edits after which a plan has the segments it had: another order, or something else chosen for one. */
const smallEdits = [
  z.object({ kind: z.literal('move'), id: segmentId, after }),
  z.object({
    kind: z.literal('choose'),
    id: segmentId,
    choices: choicesSchema.partial(),
    /** Choices that are taken back: nothing is said of them any more. */
    without: z.array(z.enum(optionalChoices)).max(optionalChoices.length).optional(),
  }),
] as const;
export const smallEditSchema = z.discriminatedUnion('kind', smallEdits);
export type SmallEdit = z.infer<typeof smallEditSchema>;

/** A change of one thing in a plan. */
const singleEdits = [
  z.object({ kind: z.literal('add'), segment: segmentSchema, after }),
  z.object({ kind: z.literal('take-out'), id: segmentId }),
  ...smallEdits,
] as const;
const singleEditSchema = z.discriminatedUnion('kind', singleEdits);
export type SingleEdit = z.infer<typeof singleEditSchema>;

/** A change of a plan as data: it can be stored, sent, undone and merged. */
export const planEditSchema = z.discriminatedUnion('kind', [
  ...singleEdits,
  /** Several at once, one after the other: done and undone as one. */
  z.object({
    kind: z.literal('together'),
    edits: z
      .array(singleEditSchema)
      .min(1)
      .max(4 * mostSegments),
    /** One exercise in place of another, or one segment made two: told as such. */
    as: z.enum(['instead', 'split']).optional(),
  }),
  z.object({
    kind: z.literal('tonight'),
    tonight: tonightSchema,
    /** Starts that change with it, by segment; null for the best one. */
    starts: z.record(segmentId, midiNote.nullable()),
  }),
  /** Another document in its place: another version, one that was built, or the plan fitted to its time. */
  z.object({
    kind: z.literal('replace'),
    document: planDocumentSchema,
    as: z.enum(['built', 'fitted']).optional(),
  }),
]);
export type PlanEdit = z.infer<typeof planEditSchema>;

const name = z.string().max(60);

/** What an edit did, as facts to be put into words. */
export const editFactSchema = z.discriminatedUnion('code', [
  z.object({ code: z.literal('added'), name, place: z.int().min(1) }),
  z.object({ code: z.literal('taken-out'), name }),
  z.object({ code: z.literal('moved'), name, place: z.int().min(1), of: z.int().min(1) }),
  z.object({
    code: z.literal('chosen'),
    name,
    /** What is counted where its number was chosen. */
    unit: z.enum(['keys', 'rounds', 'times']).optional(),
    field: z.enum([
      'tempo',
      'repetitions',
      'verses',
      'step',
      'talk',
      'start',
      'shape',
      'demonstrate',
      'coach',
      'after',
      'tempoStep',
      'bySteps',
      'countInEach',
      'pinned',
      'linesInTurn',
      'voices',
      'lowVoices',
      'tooHigh',
      'purposeSaid',
      'untilRight',
    ]),
    value: z.union([
      z.number(),
      z.boolean(),
      z.enum(shapes),
      z.enum(demonstrations),
      z.enum(voiceOrders),
      z.enum(lowVoiceOrders),
      z.enum(tooHighOrders),
      z.enum(purposeTimes),
      z.null(),
    ]),
  }),
  /** A shake-out every so many passes; null for none any more. */
  z.object({ code: z.literal('reset'), name, every: z.int().min(1).nullable() }),
  /** In so many keys parts do what they were told; in none where the best was found again. */
  z.object({ code: z.literal('told'), name, cells: z.int().min(0) }),
  /** So many single keys or times are other than the rest; none where all are alike again. */
  z.object({
    code: z.literal('single'),
    name,
    unit: z.enum(['keys', 'times']),
    count: z.int().min(0),
  }),
  /** One exercise in place of another. */
  z.object({ code: z.literal('instead'), name, was: name }),
  /** One segment made two. */
  z.object({ code: z.literal('split'), name }),
  z.object({ code: z.literal('tonight') }),
  z.object({ code: z.literal('replaced') }),
  z.object({ code: z.literal('built'), segments: z.int().min(0) }),
  z.object({ code: z.literal('fitted'), seconds: z.int().min(0) }),
]);
export type EditFact = z.infer<typeof editFactSchema>;
