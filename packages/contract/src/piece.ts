import { purposes } from '@wide-fern/core';
import { day, line, pitchRange, uuid } from './common';
import { z } from './zod';

/** The largest file of a score that is kept. */
export const largestScoreFile = 20_000_000;

export const partId = z.string().min(1).max(8);
const barNumber = z.int().min(0).max(20_000);

export const rangesSchema = z
  .record(partId, pitchRange)
  .refine((ranges) => Object.keys(ranges).length <= 16, 'At most 16 parts.');
export type Ranges = z.infer<typeof rangesSchema>;

/** Who sings a line of a score. */
export const mappingSchema = z.object({
  line: z.string().min(1).max(120),
  parts: z.array(partId).max(8),
  octaveLower: z.boolean().optional(),
});

const mostBars = 5000;
export const rangesByBarSchema = z
  .object({
    numbers: z.array(barNumber).max(mostBars),
    parts: z.record(partId, z.array(pitchRange.nullable()).max(mostBars)),
  })
  .refine(
    ({ numbers, parts }) => Object.values(parts).every(({ length }) => length === numbers.length),
    'Each part has as many bars as the score.',
  );

/** A score that a piece rests on: the kept file and who sings which line. */
const mappedScoreSchema = z.object({
  file: uuid,
  mapping: z.array(mappingSchema).min(1).max(64),
});
export type MappedScore = z.infer<typeof mappedScoreSchema>;

/** A score as the server has read it: what it asks bar by bar, and how long it lasts. */
const readScoreSchema = mappedScoreSchema.extend({
  byBar: rangesByBarSchema,
  /** As sung, with repeats, at the tempo in the score. */
  seconds: z.number().min(0).max(86_400),
});
export type ReadScore = z.infer<typeof readScoreSchema>;

const words = (most: number) => z.string().trim().max(most, `At most ${most} characters.`);

/** A piece as it is kept: typed by hand, or read from a score. */
export const storePieceSchema = z.object({
  title: line(120),
  composer: words(120),
  language: words(60),
  /** Beats a minute; null for what the score says. */
  tempo: z
    .number('The tempo is a number.')
    .min(20, 'The tempo: 20 at least.')
    .max(240, 'The tempo: 240 at most.')
    .nullable(),
  /** How much higher or lower than written it is sung. */
  transpose: z
    .int('Whole semitones, please.')
    .min(-12, 'At most an octave lower.')
    .max(12, 'At most an octave higher.'),
  notes: words(4000),
  /** As typed; where a score is read the server finds them in it. */
  ranges: rangesSchema,
  score: mappedScoreSchema.nullable(),
});
export type StorePiece = z.infer<typeof storePieceSchema>;

export const changePieceSchema = z.object({ version: z.int().min(1), piece: storePieceSchema });
export type ChangePiece = z.infer<typeof changePieceSchema>;

const skill = z.enum(purposes);

/** Bars that give trouble, with the skill they ask for. */
export const pieceMarkBodySchema = z
  .object({
    fromBar: barNumber,
    toBar: barNumber,
    /** Nobody named means all. */
    parts: z.array(partId).max(8),
    skill,
    note: words(200),
  })
  .refine(({ fromBar, toBar }) => fromBar <= toBar, {
    path: ['toBar'],
    message: 'The last bar must not lie before the first.',
  });
export type PieceMarkBody = z.infer<typeof pieceMarkBodySchema>;
export const pieceMarkSchema = z.object({ id: uuid, ...pieceMarkBodySchema.shape });
export type PieceMark = z.infer<typeof pieceMarkSchema>;

/** What somebody says of a run: each skill from 1 to 5 with a word about it, and what is next. */
const judged = {
  scores: z
    .array(
      z.object({
        skill,
        score: z.int().min(1, 'From 1 to 5.').max(5, 'From 1 to 5.'),
        note: words(400),
      }),
    )
    .max(purposes.length),
  /** The skill that would help most next. */
  target: skill.nullable(),
};
type Judged = z.infer<z.ZodObject<typeof judged>>;
const saysSomething = ({ scores, target }: Judged): boolean => scores.length > 0 || target !== null;
const saysOnce = ({ scores }: Judged): boolean =>
  new Set(scores.map((one) => one.skill)).size === scores.length;
const nothingSaid = {
  path: ['scores'],
  message: 'Judge at least one skill, or name the next target.',
};
const saidTwice = { path: ['scores'], message: 'Judge each skill once.' };

/** A run of a piece as somebody judged it. */
export const judgementBodySchema = z
  .object({ judgedOn: day, ...judged })
  .refine(saysSomething, nothingSaid)
  .refine(saysOnce, saidTwice);
export type JudgementBody = z.infer<typeof judgementBodySchema>;
export const judgementSchema = z.object({
  id: uuid,
  ...judgementBodySchema.shape,
  by: z.string(),
});
export type Judgement = z.infer<typeof judgementSchema>;

/** A card of one of several who judge a run, and what they agree on in the end. */
export const judgingCardSchema = z
  .object(judged)
  .refine(saysSomething, nothingSaid)
  .refine(saysOnce, saidTwice);
export type JudgingCard = z.infer<typeof judgingCardSchema>;

/** A target that a piece's judgements leave open. */
export const openTargetSchema = z.object({
  skill,
  since: z.string(),
  score: z.int().optional(),
  last: z.int().optional(),
});

/** A piece in the list. */
export const pieceSummarySchema = z.object({
  id: uuid,
  title: z.string(),
  composer: z.string(),
  language: z.string(),
  tempo: z.number().nullable(),
  transpose: z.int(),
  ranges: rangesSchema,
  /** How many bars are printed, and how long it lasts as sung, where a score was read. */
  bars: z.int().nullable(),
  seconds: z.number().nullable(),
  target: openTargetSchema.nullable(),
  /** The coming evening it is on; null when there is none. */
  next: z.iso.datetime().nullable(),
  /** Whether a run of it waits for a card of the caller's. */
  awaited: z.boolean(),
});
export type PieceSummary = z.infer<typeof pieceSummarySchema>;

/** A piece whole. */
export const pieceSchema = z.object({
  id: uuid,
  version: z.int().min(1),
  piece: storePieceSchema.extend({
    score: readScoreSchema.extend({ name: z.string(), size: z.int() }).nullable(),
  }),
  marks: z.array(pieceMarkSchema),
  /** The latest first. */
  judgements: z.array(judgementSchema),
});
export type Piece = z.infer<typeof pieceSchema>;

/** A file that was taken in and waits for its piece. */
export const keptFileSchema = z.object({ id: uuid, name: z.string(), size: z.int() });
export type KeptFile = z.infer<typeof keptFileSchema>;
