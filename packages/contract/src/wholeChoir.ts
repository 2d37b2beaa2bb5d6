import { octaveSteps, purposes, rangeEnds, rosterLengths, singerStates } from '@wide-fern/core';
import { ownApproachesSchema } from './building';
import { accidentals, clockSchema, mostKept, namingSchema, timeZone } from './choir';
import { coursesSchema } from './course';
import { day, line, maybeLine, midiNote, uuid } from './common';
import {
  agendaSchema,
  forbidsSchema,
  mostAgendaItems,
  occasion,
  storeTemplateSchema,
} from './evening';
import { exerciseSchema } from './exercise';
import { mostCards, openJudgingSchema } from './judging';
import {
  judgementBodySchema,
  judgingCardSchema,
  largestScoreFile,
  mappingSchema,
  pieceMarkBodySchema,
  rangesByBarSchema,
  rangesSchema,
} from './piece';
import { mostFacts, mostRunEvents } from './limits';
import { planDocumentSchema } from './plan';
import { editFactSchema } from './planEdit';
import { runEventSchema, runHeadSchema } from './run';
import {
  checkMeans,
  conditionSchema,
  partCode,
  registerChanges,
  singerStateSchema,
  trimsSchema,
} from './voices';
import { z } from './zod';

/** The word by which a choir's file is known, and its shape as it is now. */
export const choirFileFormat = 'wide-fern-choir';
export const choirFileVersion = 1;
/** The largest file that is read, and the most it may unfold to beside its scores. */
export const largestChoirFile = 200_000_000;
export const largestChoirText = 80_000_000;

const at = z.iso.datetime({ offset: true });
const version = z.int().min(1).max(1_000_000);
const item = z.string().min(1).max(40);
const code = z.string().min(1).max(60);
const made = { id: uuid, createdAt: at };

/** The four limits of a voice, from the lowest to the highest. */
const limits = {
  reachLow: midiNote,
  comfortLow: midiNote,
  comfortHigh: midiNote,
  reachHigh: midiNote,
};
type Limits = { readonly [K in keyof typeof limits]: number | null };
const inOrder = ({ reachLow, comfortLow, comfortHigh, reachHigh }: Limits): boolean => {
  const all = [reachLow, comfortLow, comfortHigh, reachHigh];
  return all.every((one, i) =>
    i === 0 ? true : one === null ? all[0] === null : (all[i - 1] ?? 128) <= one,
  );
};
const inOrderMessage = 'The four limits of a voice lie in order, or are all unknown.';

const partRow = z
  .object({
    id: uuid,
    code: partCode,
    one: line(40),
    many: line(40),
    position: z.int().min(0).max(20),
    octave: z.union(octaveSteps.map((step) => z.literal(step))),
    ...limits,
    end: z.enum(rangeEnds),
    changeLow: midiNote,
    changeHigh: midiNote,
  })
  .refine(inOrder, inOrderMessage);

const singerRow = z
  .object({
    ...made,
    part: uuid.nullable(),
    name: line(rosterLengths.name),
    also: z.array(partCode).max(8),
    reachLow: midiNote.nullable(),
    comfortLow: midiNote.nullable(),
    comfortHigh: midiNote.nullable(),
    reachHigh: midiNote.nullable(),
    lightTop: midiNote.nullable(),
    changes: registerChanges,
    states: z.array(singerStateSchema).max(singerStates.length),
    onLeave: z.boolean(),
    notes: maybeLine(rosterLengths.notes),
    checkedOn: z.iso.date().nullable(),
    version,
  })
  .refine(inOrder, inOrderMessage);

const checkRow = z
  .object({
    ...made,
    singer: uuid,
    checkedOn: z.iso.date(),
    ...limits,
    lightTop: midiNote.nullable(),
    changes: registerChanges,
    means: z.enum(checkMeans),
  })
  .refine(inOrder, inOrderMessage);

const scoreRow = z.object({ ...made, name: line(200), size: z.int().min(0).max(largestScoreFile) });

const pieceRow = z
  .object({
    ...made,
    version,
    title: line(120),
    composer: maybeLine(120),
    language: maybeLine(60),
    tempo: z.number().min(20).max(240).nullable(),
    transpose: z.int().min(-12).max(12),
    notes: maybeLine(4000),
    ranges: rangesSchema,
    score: uuid.nullable(),
    mapping: z.array(mappingSchema).min(1).max(64).nullable(),
    byBar: rangesByBarSchema.nullable(),
    seconds: z.number().min(0).max(86_400).nullable(),
  })
  .refine(
    ({ score, mapping, byBar }) => score === null || (mapping !== null && byBar !== null),
    'A piece with a score says who sings which line, and what they sing.',
  );

const eveningRow = z
  .object({
    ...made,
    version,
    name: line(120).nullable(),
    startsAt: at,
    endsAt: at,
    place: maybeLine(80),
    occasion,
    forbids: forbidsSchema,
    agenda: agendaSchema,
    condition: conditionSchema,
  })
  .refine(({ startsAt, endsAt }) => startsAt < endsAt, 'An evening ends after it begins.');

const few = (kind: keyof typeof mostKept) => mostKept[kind];
const mostPlans = few('evenings') * 2;
const mostEvents = 2_000_000;

/**
 * Everything a choir has, but not who belongs to it: accounts are of persons and stay where they are. The
 * scores lie beside it in the same file, as they were handed in.
 */
export const wholeChoirSchema = z.object({
  format: z.literal(choirFileFormat),
  version: z.literal(choirFileVersion),
  choir: z.object({
    name: line(80),
    timeZone,
    accidentals,
    naming: namingSchema,
    clock: clockSchema,
    sharePercent: z.int().min(1).max(100),
    phraseSeconds: z.int().min(2).max(60),
    trims: trimsSchema.nullable(),
    approach: z.string().min(1).max(60),
    level: z.int().min(1).max(3),
    approaches: ownApproachesSchema.nullable(),
    courses: coursesSchema.nullable().default(null),
  }),
  parts: z.array(partRow).min(2).max(8),
  singers: z.array(singerRow).max(few('singers')),
  checks: z.array(checkRow).max(few('checks')),
  scores: z.array(scoreRow).max(few('pieces') * 2),
  pieces: z.array(pieceRow).max(few('pieces')),
  marks: z
    .array(z.object({ ...made, piece: uuid, ...pieceMarkBodySchema.shape }))
    .max(few('marks')),
  judgements: z
    .array(
      z.object({
        ...made,
        piece: uuid,
        judgedOn: day,
        scores: judgementBodySchema.shape.scores,
        target: z.enum(purposes).nullable(),
      }),
    )
    .max(few('judgements')),
  judgings: z
    .array(
      z.object({
        ...made,
        piece: uuid,
        ...openJudgingSchema.shape,
        closed: z.boolean(),
        agreed: judgingCardSchema.nullable(),
      }),
    )
    .max(few('judgings')),
  /** Without who handed them in. */
  judgingCards: z
    .array(z.object({ ...made, judging: uuid, ...judgingCardSchema.shape }))
    .max(few('judgings') * mostCards),
  evenings: z.array(eveningRow).max(few('evenings')),
  presence: z
    .array(
      z.object({
        id: uuid,
        evening: uuid,
        singer: uuid,
        away: z.boolean(),
        states: z.array(singerStateSchema).max(singerStates.length),
      }),
    )
    .max(few('evenings') * few('singers')),
  templates: z.array(z.object({ ...made, document: storeTemplateSchema })).max(few('templates')),
  plans: z
    .array(
      z.object({
        ...made,
        evening: uuid,
        item,
        document: planDocumentSchema,
        version,
        savedAt: at,
      }),
    )
    .max(mostPlans),
  planVersions: z
    .array(
      z.object({
        id: uuid,
        plan: uuid,
        version,
        savedAt: at,
        edits: z.array(editFactSchema).max(mostFacts),
        document: planDocumentSchema.nullable(),
      }),
    )
    .max(mostPlans * mostAgendaItems),
  keptPlans: z
    .array(z.object({ ...made, name: line(60), document: planDocumentSchema }))
    .max(few('keptPlans')),
  exercises: z
    .array(z.object({ ...made, code, version, document: exerciseSchema, removedAt: at.nullable() }))
    .max(few('exercises') * 2),
  exerciseVersions: z
    .array(z.object({ id: uuid, exercise: uuid, version, document: exerciseSchema, savedAt: at }))
    .max(few('exercises') * 40),
  exerciseMarks: z
    .array(
      z.object({
        id: uuid,
        code,
        favourite: z.boolean(),
        hidden: z.boolean(),
        note: maybeLine(1000),
        learnedFrom: at.nullable(),
      }),
    )
    .max(few('exercises') * 2),
  runs: z
    .array(
      z.object({
        ...made,
        evening: uuid,
        item,
        startedAt: at,
        endedAt: at.nullable(),
        head: runHeadSchema,
        events: z.int().min(0).max(mostRunEvents),
      }),
    )
    .max(mostPlans),
  runEvents: z.array(runEventSchema.extend({ run: uuid })).max(mostEvents),
});
export type WholeChoir = z.infer<typeof wholeChoirSchema>;
