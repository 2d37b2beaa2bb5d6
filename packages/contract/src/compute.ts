import {
  demonstrations,
  longestSyllable,
  modeNames,
  rangeEnds,
  shapes,
  type Mode,
} from '@wide-fern/core';
import { midiNote, pitchRange, withinReach, withinReachMessage } from './common';
import { z } from './zod';

const int = z.int().min(-512).max(512);
const keyCount = z.int().min(1).max(200);
const seconds = z.number().min(0).max(1e6);
const beatCount = z.number().min(0).max(1e4);
const tempo = z.number().positive().max(1000);

/** One problem of `compute ladder`. */
export const ladderProblemSchema = z.object({
  parts: z
    .array(
      z
        .object({
          id: z.string().min(1).max(40),
          comfort: pitchRange,
          reach: pitchRange,
          octave: z.int().min(-48).max(48),
          window: pitchRange.optional(),
        })
        .refine(withinReach, withinReachMessage),
    )
    .min(1)
    .max(16)
    .refine(
      (parts) => new Set(parts.map(({ id }) => id)).size === parts.length,
      'Each part needs an id of its own.',
    ),
  exercise: z
    .object({
      lowest: int,
      highest: int,
      strict: z.boolean().optional(),
      octaveMoves: z.array(z.int().min(-48).max(48)).min(1).max(9).optional(),
      mayRest: z.boolean().optional(),
    })
    .refine(({ lowest, highest }) => lowest <= highest, 'lowest must not lie above highest.'),
  shape: z.enum(shapes),
  keys: keyCount,
  step: z.int().min(1).max(24),
  scale: z
    .array(z.int().min(0).max(11))
    .min(1)
    .max(12)
    .refine(([first]) => first === 0, 'A scale begins with 0.')
    .refine(
      (steps) => steps.every((step, i) => i === 0 || step > steps[i - 1]!),
      'A scale rises from step to step.',
    )
    .optional(),
  fraction: z.number().positive().max(1),
  start: int.optional(),
  preferredStart: int.optional(),
  goalTonic: int.optional(),
  goalBottomTonic: int.optional(),
  fixed: z
    .record(
      z.string(),
      z.record(
        z.string().regex(/^\d{1,3}$/, 'A key is named by its place, from 0.'),
        z.union([z.int().min(-60).max(60), z.enum(['rest', 'hold'])]),
      ),
    )
    .optional(),
});

/** One problem of `compute comfort`. */
export const comfortProblemSchema = z.object({
  singers: z
    .array(
      z
        .object({ part: z.string().min(1).max(40), comfort: pitchRange, reach: pitchRange })
        .refine(withinReach, withinReachMessage),
    )
    .max(5000),
  q: z.number().positive().max(1),
});

/** What each round adds, or takes away. */
const change = z.number().min(-1e4).max(1e4);
const breathCounts = { in: beatCount, hold: beatCount, out: beatCount, rest: beatCount };

/** One problem of `compute chord`. */
export const chordProblemSchema = z.object({
  parts: z
    .array(
      z
        .object({ id: z.string().min(1).max(40), comfort: pitchRange, reach: pitchRange })
        .refine(withinReach, withinReachMessage),
    )
    .min(1)
    .max(8)
    .refine(
      (parts) => new Set(parts.map(({ id }) => id)).size === parts.length,
      'Each part needs an id of its own.',
    ),
  tones: z
    .array(z.int().min(-48).max(48))
    .min(1)
    .max(6)
    .refine(([root]) => root === 0, 'The tones begin with the root, 0.'),
  roots: z.array(midiNote).min(1).max(48),
  fraction: z.number().positive().max(1),
  distinct: z.boolean().optional(),
});

/** One problem of `compute notes`. */
export const notesProblemSchema = z.object({
  notes: z
    .array(
      z.object({
        offset: z.int().min(-60).max(60).nullable(),
        beats: z.number().positive().max(256),
        syllable: z.string().max(longestSyllable).optional(),
      }),
    )
    .min(1)
    .max(1000),
  tempo,
  mode: z.enum(modeNames as readonly [Mode, ...Mode[]]),
  tonic: midiNote,
  octave: z.int().min(-48).max(48),
  sharps: z.boolean().optional(),
});

/** One problem of `compute suggest-part`. */
export const suggestPartSchema = z
  .object({
    comfort: pitchRange,
    reach: pitchRange,
    parts: z
      .array(
        z.object({
          id: z.string().min(1).max(40),
          comfort: pitchRange,
          end: z.enum(rangeEnds),
        }),
      )
      .min(1)
      .max(16),
  })
  .refine(withinReach, withinReachMessage);

/** One problem of `compute time` about a sung pattern. */
export const patternTimeSchema = z.object({
  talk: seconds.optional(),
  coach: seconds.optional(),
  after: seconds.optional(),
  reset: z.object({ seconds, every: keyCount }).optional(),
  demonstrate: z
    .union([z.boolean(), z.enum(demonstrations)])
    .transform((said) => (said === true ? 'once' : said === false ? 'no' : said))
    .optional(),
  countIn: beatCount.optional(),
  countInEach: z.boolean().optional(),
  keys: keyCount.default(1),
  verses: keyCount.default(1),
  patternBeats: beatCount.default(0),
  breathBeats: beatCount.optional(),
  keyChangeBeats: beatCount.optional(),
  tempo,
  tempoStep: z.number().min(-1000).max(1000).optional(),
});

/** One problem of `compute time` about counted breathing; it is told by its rounds. */
export const breathTimeSchema = z.object({
  rounds: keyCount,
  ...breathCounts,
  increment: z.object({ in: change, hold: change, out: change, rest: change }),
  /** What no count falls below: one figure for all four, or one for each. */
  least: z
    .union([
      beatCount.transform((all) => ({ in: all, hold: all, out: all, rest: all })),
      z.object(breathCounts).partial(),
    ])
    .optional(),
  tempo,
});
