import {
  ages,
  anchors,
  articulations,
  breathings,
  demonstrations,
  dynamics,
  groupings,
  phases,
  placeNeeds,
  purposes,
  shapes,
  strains,
  substituting,
} from '@wide-fern/core';
import { line, maybeLine, uuid } from './common';
import { choiceLimits } from './limits';
import { musicSchema } from './music';
import { z } from './zod';

const within = ([least, most]: readonly [number, number], what: string) =>
  z
    .number(`${what} is a number.`)
    .min(least, `${what}: ${least} at least.`)
    .max(most, `${what}: ${most} at most.`);

/** What is chosen for an exercise when it becomes a segment. */
export const usualChoicesSchema = z.object({
  talk: within(choiceLimits.talk, 'Talk in seconds'),
  /** Said between two keys, and at the end, in seconds. */
  coach: within(choiceLimits.talk, 'Talk between keys in seconds').optional(),
  after: within(choiceLimits.talk, 'Talk at the end in seconds').optional(),
  /** A shake-out or a look at the posture every so many passes. */
  reset: z
    .object({
      seconds: within([1, 120], 'A shake-out in seconds'),
      every: within([1, 24], 'Passes between shake-outs').int(),
    })
    .optional(),
  demonstrate: z.enum(demonstrations),
  /** Whether every pass is counted in, or only the first. */
  countInEach: z.boolean().optional(),
  tempo: within(choiceLimits.tempo, 'The tempo'),
  /** Beats a minute by which each pass is quicker than the one before. */
  tempoStep: within(choiceLimits.tempoStep, 'The step of the tempo').optional(),
  repetitions: within(choiceLimits.repetitions, 'The number of keys or rounds').int(),
  verses: within(choiceLimits.verses, 'Times in each key').int(),
  shape: z.enum(shapes),
  step: within(choiceLimits.step, 'The step in semitones').int(),
  /** Whether a step is one of the music's own scale instead of a semitone. */
  bySteps: z.boolean().optional(),
});

const exerciseId = z
  .string()
  .regex(/^[a-z0-9-]{1,60}$/, 'An id has small letters, figures and hyphens.');

/** A thing to watch for, and what helps; the remedy may be empty. */
const watchForSchema = z.object({ see: line(240), help: maybeLine(240) });

/** What one pass is sung with, where it differs from the line as written. */
export const passSchema = z.object({
  sounds: z.array(line(40)).min(1).max(64).optional(),
  articulation: z.enum(articulations).optional(),
  dynamic: z.enum(dynamics).optional(),
  serves: z.enum(purposes).optional(),
  cue: line(90).optional(),
});

const passesSchema = z.object({
  over: z.enum(['keys', 'verses']),
  each: z
    .array(passSchema)
    .min(2, 'There are at least two ways to change between.')
    .max(12, 'There are at most twelve ways.'),
  ask: line(160).optional(),
});

const tones = z.array(z.int().min(-24).max(36)).min(1).max(8);
const accompanimentSchema = z.discriminatedUnion('kind', [
  z.object({ kind: z.literal('drone'), tones }),
  z.object({
    kind: z.literal('chords'),
    chords: z
      .array(z.object({ beats: z.number().positive().max(64), tones }))
      .min(1)
      .max(32),
  }),
]);

export const exerciseSchema = z.object({
  id: exerciseId,
  version: z.int().min(1),
  name: line(60),
  /** What it is, in a few words: «a scale to the ninth». */
  figure: line(80),
  phase: z.enum(phases),
  /** Where on the voice it lives. */
  anchor: z.enum(anchors),
  purposes: z.array(z.enum(purposes)).min(1).max(6),
  /** Said to the singers, in one sentence; may be empty. */
  purpose: maybeLine(200),
  /** What to do, in a line said while it goes on; may be empty. */
  cue: maybeLine(90),
  /** A picture for the same, where there is one. */
  image: line(120).optional(),
  /** Exercises that are one line on other sounds, or one idea at other sizes: what they share, and which one this is. */
  family: z.object({ id: exerciseId, variant: line(60) }).optional(),
  /** By their ids: the next easier and the next harder ones. */
  easier: z.array(exerciseId).max(4).optional(),
  harder: z.array(exerciseId).max(4).optional(),
  /** Breath taken together, or by each when it suits. */
  breathing: z.enum(breathings).optional(),
  steps: z.array(line(240)).max(12),
  watchFor: z.array(watchForSchema).max(8),
  substitutes: z
    .array(
      z.object({
        when: line(160),
        exercise: z.string().max(60),
        /** Only for these parts, beside the others, who go on. */
        who: z.enum(substituting).optional(),
        /** How long it takes to teach the first time, in seconds. */
        teach: z.number().min(0).max(600).optional(),
      }),
    )
    .max(6),
  effort: z.int().min(1).max(5),
  difficulty: z.int().min(1).max(3),
  needs: z.array(z.enum(placeNeeds)),
  /** What it can strain; where it is not said, its words are looked at. */
  strains: z.array(z.enum(strains)).optional(),
  /** What is held in the hand: «a straw for each». */
  held: line(60).optional(),
  cautions: z.array(line(320)).max(6),
  music: musicSchema,
  passes: passesSchema.optional(),
  /** What the instrument plays under each key. */
  accompaniment: accompanimentSchema.optional(),
  /** Who it suits; everybody when it is not said. */
  ages: z.array(z.enum(ages)).min(1).optional(),
  /** The piece and the printed bars it was made from. */
  source: z
    .object({
      piece: uuid,
      title: line(120),
      fromBar: z.int().min(0).max(20_000),
      toBar: z.int().min(0).max(20_000),
      parts: z.array(z.string().min(1).max(8)).max(8),
    })
    .optional(),
  /** How the parts hand the keys on, where they share fewer than three. */
  relay: line(200).optional(),
  countIn: z.number().min(0).max(16),
  breathBeats: z.number().min(0).max(16),
  keyChangeBeats: z.number().min(0).max(16),
  usual: usualChoicesSchema,
  keys: z
    .object({
      fraction: z.number().positive().max(1).optional(),
      strict: z.boolean().optional(),
      octaveMoves: z.array(z.int().min(-48).max(48)).min(1).max(6).optional(),
      mayRest: z.boolean().optional(),
      /** High and low voices one after the other or together, each with keys of its own. */
      groups: z.enum(groupings).optional(),
    })
    .optional(),
  /** Bars of a piece climb to where their part sings them as written. */
  aim: z.object({ part: z.string().min(1).max(8), tonic: z.int().min(0).max(127) }).optional(),
});
export type Exercise = z.infer<typeof exerciseSchema>;
