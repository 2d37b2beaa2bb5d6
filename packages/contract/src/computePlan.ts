import { dynamics, type PlannerProblem } from '@wide-fern/core';
import { midiNote, pitchRange } from './common';
import { z } from './zod';

const id = z.string().min(1).max(80);
const seconds = z.int().min(0).max(36_000);
const byPart = z.record(id, midiNote).nullable();
/** Its parts are not needed in any order: both ends count. */
const noteRange = z
  .tuple([midiNote, midiNote])
  .refine(([from, to]) => from <= to, 'The first note must not lie above the second.');

const candidateSchema = z.object({
  id,
  exercise: id,
  phase: id,
  seconds,
  points: z.int().min(-1000).max(1000),
  serves: z.record(id, z.number().min(0).max(36_000)),
  high: byPart,
  low: byPart,
  top: midiNote.nullable(),
  strong: z.boolean(),
});

const alike = (names: readonly string[]): boolean => new Set(names).size === names.length;

/** One problem of `compute plan`, and of `compute score` (docs/model.md, section 10). */
export const plannerProblemSchema: z.ZodType<PlannerProblem> = z
  .object({
    seconds,
    slack: seconds,
    reached: midiNote.nullable(),
    strongAfter: z.array(id).max(20),
    phases: z
      .array(
        z.object({
          id,
          required: z.boolean(),
          least: seconds,
          most: seconds,
          strong: z.int().min(0).max(100),
        }),
      )
      .min(1)
      .max(20)
      .refine(
        (phases) => alike(phases.map((phase) => phase.id)),
        'Each phase needs an id of its own.',
      ),
    wishes: z.record(id, z.int().min(0).max(10)),
    needs: z.record(id, z.object({ top: noteRange.optional(), bottom: noteRange.optional() })),
    candidates: z
      .array(candidateSchema)
      .max(5000)
      .refine((all) => alike(all.map((one) => one.id)), 'Each candidate needs an id of its own.'),
    pinned: z.array(id).max(100),
    excluded: z.array(id).max(5000),
    included: z.array(id).max(100).optional(),
    alternatives: z.int().min(0).max(5),
  })
  .refine(
    ({ phases, candidates }) =>
      candidates.every(({ phase }) => phases.some((known) => known.id === phase)),
    'Each candidate stands in one of the phases.',
  );

/** One problem of `compute score`: a selection of candidates of a problem. */
export const scoreProblemSchema = z.object({
  problem: plannerProblemSchema,
  selection: z.array(id).max(200),
});

/** One problem of `compute load`: what a voice sings, one after the other. */
export const loadProblemSchema = z.object({
  lower: z.boolean(),
  notes: z
    .array(
      z.object({
        from: midiNote,
        to: midiNote,
        seconds: z.number().min(0).max(36_000),
        dynamic: z.enum(dynamics),
      }),
    )
    .max(10_000),
});

/** One problem of `compute sure`: how sure a section is comfortable, or a warm-up ends in time. */
export const sureProblemSchema = z.union([
  z.object({
    singers: z
      .array(
        z.object({
          comfort: pitchRange,
          sigma: z.number().min(0).max(24),
          present: z.number().min(0).max(1),
        }),
      )
      .max(300),
    span: pitchRange,
    wanted: z.number().min(0).max(1),
  }),
  z.object({
    segments: z
      .array(z.object({ mean: z.number().min(0).max(3600), sd: z.number().min(0).max(600) }))
      .max(60),
    seconds: z.number().min(0).max(36_000),
  }),
]);
