import { dynamics, modeNames, needs, phases, purposes, shapes, type Mode } from '@wide-fern/core';
import { line } from './common';
import { z } from './zod';

const semitones = z.int().min(-48).max(48);
const beats = z.number().positive().max(256);
const count = z.number().min(0).max(64);
const mode = z.enum(modeNames as readonly [Mode, ...Mode[]]);

const patternNote = z.object({
  offset: semitones,
  beats,
  syllable: z.string().max(40).optional(),
  slur: z.boolean().optional(),
  breathAfter: z.boolean().optional(),
  dynamic: z.enum(dynamics).optional(),
});
const patternRest = z.object({ rest: z.literal(true), beats });

/** What is done in an exercise, by kind. */
export const musicSchema = z.discriminatedUnion('kind', [
  z.object({
    kind: z.literal('pattern'),
    mode,
    notes: z
      .array(z.union([patternNote, patternRest]))
      .min(1)
      .max(200)
      .refine((notes) => notes.some((note) => 'offset' in note), 'A pattern needs a note.'),
  }),
  z.object({
    kind: z.literal('glide'),
    mode,
    points: z
      .array(z.object({ offset: semitones, beats: z.number().min(0).max(256) }))
      .min(2)
      .max(24),
    syllable: line(40),
  }),
  z.object({
    kind: z.literal('hold'),
    mode,
    beats,
    syllables: z.array(line(40)).min(1).max(24),
  }),
  z.object({
    kind: z.literal('chord'),
    mode,
    tones: z.array(semitones).min(1).max(6),
    beats,
    syllable: line(40),
  }),
  z.object({
    kind: z.literal('breath'),
    in: count,
    hold: count,
    out: count,
    rest: count,
    increment: z.object({ in: count, hold: count, out: count, rest: count }),
    outOn: line(40),
  }),
  z.object({ kind: z.literal('spoken'), lines: z.array(line(200)).min(1).max(12), beats }),
  z.object({
    kind: z.literal('body'),
    moves: z.array(line(160)).min(1).max(24),
    seconds: z.number().positive().max(600),
  }),
]);

/** The limits within which a segment's figures may be chosen; the fields' messages name them. */
export const choiceLimits = {
  tempo: [20, 240],
  repetitions: [1, 24],
  verses: [1, 8],
  step: [1, 12],
  talk: [0, 600],
} as const satisfies Record<string, readonly [number, number]>;

const within = ([least, most]: readonly [number, number], what: string) =>
  z
    .number(`${what} is a number.`)
    .min(least, `${what}: ${least} at least.`)
    .max(most, `${what}: ${most} at most.`);

/** What is chosen for an exercise when it becomes a segment. */
export const usualChoicesSchema = z.object({
  talk: within(choiceLimits.talk, 'Talk in seconds'),
  demonstrate: z.boolean(),
  tempo: within(choiceLimits.tempo, 'The tempo'),
  repetitions: within(choiceLimits.repetitions, 'The number of keys or rounds').int(),
  verses: within(choiceLimits.verses, 'Times in each key').int(),
  shape: z.enum(shapes),
  step: within(choiceLimits.step, 'The step in semitones').int(),
});

export const exerciseSchema = z.object({
  id: z.string().regex(/^[a-z0-9-]{1,60}$/, 'An id has small letters, figures and hyphens.'),
  version: z.int().min(1),
  name: line(60),
  /** What it is, in a few words: «a scale to the ninth». */
  figure: line(80),
  phase: z.enum(phases),
  purposes: z.array(z.enum(purposes)).min(1).max(6),
  /** Said to the singers, in one sentence. */
  purpose: line(200),
  /** One line to say while it goes on. */
  cue: line(90),
  steps: z.array(line(240)).max(12),
  watchFor: z.array(line(240)).max(8),
  substitutes: z.array(z.object({ when: line(160), exercise: z.string().max(60) })).max(6),
  effort: z.int().min(1).max(5),
  difficulty: z.int().min(1).max(3),
  needs: z.array(z.enum(needs)),
  cautions: z.array(line(320)).max(6),
  music: musicSchema,
  countIn: z.number().min(0).max(16),
  breathBeats: z.number().min(0).max(16),
  keyChangeBeats: z.number().min(0).max(16),
  usual: usualChoicesSchema,
  keys: z
    .object({
      fraction: z.number().positive().max(1).optional(),
      strict: z.boolean().optional(),
      octaveMoves: z.array(semitones).min(1).max(6).optional(),
      mayRest: z.boolean().optional(),
    })
    .optional(),
});
export type Exercise = z.infer<typeof exerciseSchema>;
