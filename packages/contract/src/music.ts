import {
  breathWays,
  dynamics,
  holders,
  longestSyllable,
  modeNames,
  swells,
  type Mode,
  type Music,
} from '@wide-fern/core';
import { line } from './common';
import { z } from './zod';

const semitones = z.int().min(-48).max(48);
const beats = z
  .number('A length is a number of beats.')
  .positive('A length is more than nothing.')
  .max(256, 'A length is at most 256 beats.');
const count = z.number().min(0).max(64);
const mode = z.enum(modeNames as readonly [Mode, ...Mode[]]);

/** More notes than this are a piece, not an exercise. */
const mostNotes = 400;

const patternNote = z.object({
  offset: semitones,
  beats,
  syllable: z.string().max(longestSyllable).optional(),
  slur: z.boolean().optional(),
  breathAfter: z.boolean().optional(),
  dynamic: z.enum(dynamics).optional(),
  swell: z.enum(swells).optional(),
});
const patternRest = z.object({ rest: z.literal(true), beats });
const notes = z
  .array(z.union([patternNote, patternRest]))
  .min(1)
  .max(mostNotes, `An exercise has at most ${mostNotes} notes.`)
  .refine((events) => events.some((event) => 'offset' in event), 'A line needs a note.');

const metreSchema = z.object({
  beats: z.int().min(1).max(32),
  unit: z.union([z.literal(1), z.literal(2), z.literal(4), z.literal(8), z.literal(16)]),
  pickUp: z.number().positive().max(31).optional(),
});
const metre = { metre: metreSchema.optional() };
const pitched = { mode, ...metre };
/** What each round of breath adds, or takes away. */
const change = z.number().min(-64).max(64);
const ownPitch = {
  ownPitch: z
    .object({ recovery: z.number().min(0).max(60, 'A rest of at most 60 seconds.') })
    .optional(),
};

const movement = z.object({
  text: line(160),
  sides: z.union([z.literal(1), z.literal(2)]),
  times: z.int().min(1, 'Once at least.').max(60, 'At most 60 times.'),
  seconds: z
    .number('Seconds are a number.')
    .positive('Each move takes some time.')
    .max(600, 'A move takes at most 600 seconds.'),
  held: z.number().min(0).max(120, 'Held for at most 120 seconds.'),
});

/** What is done in an exercise, by kind. */
export const musicSchema: z.ZodType<Music, Music> = z.discriminatedUnion('kind', [
  z.object({ kind: z.literal('pattern'), ...pitched, notes }),
  z.object({ kind: z.literal('lines'), ...pitched, lines: z.array(notes).min(1).max(8) }),
  z.object({
    kind: z.literal('round'),
    ...pitched,
    notes,
    entries: z.int().min(2, 'A round has at least two entries.').max(8, 'At most eight entries.'),
    apart: beats,
  }),
  z.object({
    kind: z.literal('drone'),
    ...pitched,
    held: semitones,
    holders: z.enum(holders),
    syllable: line(40),
    over: z.discriminatedUnion('kind', [
      z.object({ kind: z.literal('line'), notes }),
      z.object({
        kind: z.literal('text'),
        offset: semitones,
        lines: z.array(line(200)).min(1).max(12),
        beats,
        then: z.array(semitones).min(1).max(8).optional(),
        canon: z
          .object({
            entries: z
              .int()
              .min(2, 'A canon has at least two entries.')
              .max(8, 'At most eight entries.'),
            apart: beats,
          })
          .optional(),
      }),
    ]),
  }),
  z.object({
    kind: z.literal('glide'),
    mode,
    points: z
      .array(z.object({ offset: semitones, beats: z.number().min(0).max(256) }))
      .min(2, 'A slide needs a beginning and an end.')
      .max(24),
    syllable: line(40),
    ...ownPitch,
  }),
  z.object({
    kind: z.literal('hold'),
    ...pitched,
    beats,
    syllables: z.array(line(40)).min(1).max(24),
    ...ownPitch,
  }),
  z.object({
    kind: z.literal('chord'),
    ...pitched,
    tones: z.array(semitones).min(1).max(6),
    beats,
    syllable: line(40),
    apart: z.number().positive().max(64).optional(),
    distinct: z.boolean().optional(),
  }),
  z.object({
    kind: z.literal('breath'),
    in: count,
    hold: count,
    out: count,
    rest: count,
    increment: z.object({ in: change, hold: change, out: change, rest: change }),
    least: z.object({ in: count, hold: count, out: count, rest: count }).partial().optional(),
    outOn: line(40),
    emptyFirst: z.boolean().optional(),
    way: z.enum(breathWays).optional(),
    arms: z
      .object({ in: line(80), hold: line(80), out: line(80), rest: line(80) })
      .partial()
      .optional(),
  }),
  z.object({
    kind: z.literal('spoken'),
    ...metre,
    lines: z.array(line(200)).min(1).max(12),
    beats,
  }),
  z.object({ kind: z.literal('body'), moves: z.array(movement).min(1).max(24) }),
]);
