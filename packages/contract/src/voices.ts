import { mostKept } from './choir';
import {
  conditions,
  mostChanges,
  octaveSteps,
  rangeEnds,
  rosterLengths,
  singerStates,
  type Trims,
} from '@wide-fern/core';
import { line, midiNote, pitchRange, uuid, withinReach, withinReachMessage } from './common';
import { sectionSchema } from './plan';
import { z } from './zod';

/** A part's letters, as they stand before its lane: «S», «A2». */
export const partCode = z
  .string()
  .trim()
  .regex(
    /^[A-Za-z][A-Za-z0-9]{0,7}$/,
    'A letter, then up to seven letters or figures, like S or A2.',
  );

/** A part of a choir with the figures it has while nobody is on record. */
const choirPartSchema = z
  .object({
    id: partCode,
    one: line(40),
    many: line(40),
    octave: z.union(
      octaveSteps.map((step) => z.literal(step)),
      'Choose an octave from the list.',
    ),
    comfort: pitchRange,
    reach: pitchRange,
    end: z.enum(rangeEnds),
    change: pitchRange,
  })
  .refine(withinReach, { path: ['comfort'], message: withinReachMessage });
export type ChoirPart = z.infer<typeof choirPartSchema>;

/** The parts of a choir, from the highest to the lowest, and where the singers of a part that goes are put. */
export const savePartsSchema = z.object({
  parts: z
    .array(choirPartSchema)
    .min(2, 'A choir has at least two parts.')
    .max(8, 'A choir has at most eight parts.')
    .refine(
      (parts) => new Set(parts.map(({ id }) => id)).size === parts.length,
      'Two parts have the same letters; give each its own.',
    ),
  moves: z.record(partCode, partCode),
});
export type SaveParts = z.infer<typeof savePartsSchema>;

const trim = z.object({ top: z.int().min(0).max(12), bottom: z.int().min(0).max(12) });

/** What each condition takes off a comfort. */
export const trimsSchema: z.ZodType<Trims> = z.object({
  conditions: z.object({
    rested: trim,
    'after-work': trim,
    morning: trim,
    cold: trim,
    returning: trim,
  }),
  states: z.object({ tired: trim, returning: trim, ill: trim, changing: trim }),
});

const wholePercent = z
  .int('Whole singers in a hundred, please.')
  .min(1, 'At least one in a hundred.')
  .max(100, 'At most all of them.');

/** What a choir has settled about its voices; what is not named stays. */
export const saveVoicesSchema = z.object({
  sharePercent: wholePercent.optional(),
  trims: trimsSchema.optional(),
});
export type SaveVoices = z.infer<typeof saveVoicesSchema>;

/** What anyone in the choir may see: parts and sections, never persons. */
export const voicesSchema = z.object({
  parts: z.array(choirPartSchema),
  /** Each section as it is on record, with everyone who is not on leave. */
  sections: z.array(sectionSchema),
  sharePercent: wholePercent,
  trims: trimsSchema,
});
export type Voices = z.infer<typeof voicesSchema>;

/** Where a voice changes its register, from low to high; empty when nobody asked. */
export const registerChanges = z
  .array(midiNote)
  .max(mostChanges, `At most ${mostChanges} changes of register.`);

export const singerStateSchema = z.enum(singerStates);
export const conditionSchema = z.enum(conditions);

/** A singer as the roster keeps them. Limits are both there or both unknown. */
export const singerFieldsSchema = z
  .object({
    name: line(rosterLengths.name),
    /** Null while it is not decided. */
    part: partCode.nullable(),
    also: z.array(partCode).max(7),
    comfort: pitchRange.nullable(),
    reach: pitchRange.nullable(),
    lightTop: midiNote.nullable(),
    changes: registerChanges.default([]),
    states: z.array(singerStateSchema).max(singerStates.length),
    onLeave: z.boolean(),
    notes: z.string().trim().max(rosterLengths.notes, `At most ${rosterLengths.notes} characters.`),
  })
  .refine(({ comfort, reach }) => (comfort === null) === (reach === null), {
    path: ['comfort'],
    message: 'A range needs the easy notes and the reach, or neither.',
  })
  .refine(({ comfort, reach }) => !comfort || !reach || withinReach({ comfort, reach }), {
    path: ['comfort'],
    message: withinReachMessage,
  });
export type SingerFields = z.infer<typeof singerFieldsSchema>;

export const singerSchema = singerFieldsSchema.safeExtend({
  id: uuid,
  version: z.int().min(1),
  /** The day of the latest range check; null before the first. */
  checkedOn: z.iso.date().nullable(),
});
export type Singer = z.infer<typeof singerSchema>;

const mostSingers = mostKept.singers;

export const changeSingerSchema = z.object({
  version: z.int().min(1),
  singer: singerFieldsSchema,
});
export type ChangeSinger = z.infer<typeof changeSingerSchema>;

/** Many singers at once: all of them are stored, or none. */
export const storeSingersSchema = z.object({
  add: z.array(singerFieldsSchema).max(mostSingers, `At most ${mostSingers} singers at once.`),
  change: z
    .array(z.object({ id: uuid, version: z.int().min(1), singer: singerFieldsSchema }))
    .max(mostSingers, `At most ${mostSingers} singers at once.`),
});
export type StoreSingers = z.infer<typeof storeSingersSchema>;

/** How a range was found. */
export const checkMeans = ['by-ear', 'microphone', 'section', 'room', 'at-home'] as const;

const checkFields = {
  comfort: pitchRange,
  reach: pitchRange,
  lightTop: midiNote.nullable(),
  /** Empty when it was not asked; what is known stays then. */
  changes: registerChanges.default([]),
  means: z.enum(checkMeans),
};

/** A range check that was kept. */
export const keptCheckSchema = z
  .object({ ...checkFields, id: uuid, checkedOn: z.iso.date() })
  .refine(withinReach, withinReachMessage);
export type KeptCheck = z.infer<typeof keptCheckSchema>;

/** Range checks to keep, of one singer or of a whole section; the singers' limits follow them. */
export const keepChecksSchema = z.object({
  checks: z
    .array(
      z
        .object({
          ...checkFields,
          singer: uuid,
          /** The part that was chosen after the check; without it the singer's own stays. */
          part: partCode.optional(),
        })
        .refine(withinReach, { path: ['comfort'], message: withinReachMessage }),
    )
    .min(1, 'There is nothing to keep yet.')
    .max(mostSingers)
    .refine(
      (checks) => new Set(checks.map(({ singer }) => singer)).size === checks.length,
      'Each singer may stand here once.',
    ),
});
export type KeepChecks = z.infer<typeof keepChecksSchema>;

/** Everything that is kept about one singer, to be handed out to them. */
export const singerExportSchema = z.object({
  format: z.literal('wide-fern singer 1'),
  singer: singerSchema,
  checks: z.array(keptCheckSchema),
  evenings: z.array(
    z.object({
      startsAt: z.iso.datetime(),
      away: z.boolean(),
      states: z.array(singerStateSchema),
    }),
  ),
});
export type SingerExport = z.infer<typeof singerExportSchema>;

const singerTonight = z.object({
  singer: uuid,
  away: z.boolean(),
  /** How the singer is tonight, beside what the roster says. */
  states: z.array(singerStateSchema).max(singerStates.length),
});
export type SingerPresence = z.infer<typeof singerTonight>;

/** Who is here on an evening and how; whoever is not named is here as usual. */
export const presenceSchema = z.object({
  condition: conditionSchema,
  singers: z.array(singerTonight),
});
export type Presence = z.infer<typeof presenceSchema>;

/** A change of presence: only what is named changes. */
export const changePresenceSchema = z.object({
  condition: conditionSchema.optional(),
  singers: z.array(singerTonight).max(mostSingers).optional(),
});
export type ChangePresence = z.infer<typeof changePresenceSchema>;

/** How sure an evening's sections are: its singers without names, for working out how many will be comfortable. */
export const surenessSchema = z.object({
  /** The share of those present that is to be comfortable. */
  wanted: z.number().gt(0).max(1),
  /** How many of those who are here are how. */
  states: z.partialRecord(singerStateSchema, z.int().min(1)),
  /** Of each part, everyone whose range is known. */
  parts: z.record(
    partCode,
    z.array(
      z.object({
        comfort: pitchRange,
        /** How much the limits differ from day to day, in semitones. */
        sigma: z.number().min(0),
        present: z.number().min(0).max(1),
      }),
    ),
  ),
});
export type Sureness = z.infer<typeof surenessSchema>;
