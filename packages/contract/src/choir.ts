import { noteNamings } from '@wide-fern/core';
import { ownApproachesSchema } from './building';
import { line, uuid } from './common';
import { changeCoursesSchema, coursesSchema } from './course';
import { z } from './zod';

export const roles = ['director', 'deputy', 'reader'] as const;
export const roleSchema = z.enum(roles);
export type Role = z.infer<typeof roleSchema>;

export const timeZone = z
  .string()
  .max(64)
  .refine((zone) => {
    try {
      new Intl.DateTimeFormat('en', { timeZone: zone });
      return true;
    } catch {
      return false;
    }
  }, 'Choose a time zone from the list.');

export const accidentals = z.enum(['flats', 'sharps']);
/** How its times of day are shown: «19:30» or «7:30 pm». */
export const clocks = ['24', '12'] as const;
export type ClockKind = (typeof clocks)[number];
export const clockSchema = z.enum(clocks);
/** By which names its notes are shown and typed. */
export const namingSchema = z.enum(noteNamings);

export const choirSchema = z.object({
  id: uuid,
  name: z.string(),
  timeZone: z.string(),
  accidentals,
  naming: namingSchema,
  clock: clockSchema,
  /** How long a phrase on one breath may comfortably last. */
  phraseSeconds: z.int(),
  /** A choir to look around in: when it is thrown away. Null for every other one. */
  demoUntil: z.iso.datetime().nullable(),
  /** How its warm-ups are usually made, and what it finds easy to learn. */
  approach: z.string(),
  level: z.int().min(1).max(3),
  /** Approaches of its own. */
  approaches: ownApproachesSchema,
  /** Courses it keeps or follows. */
  courses: coursesSchema,
  /** When it is deleted with everything; null while nobody asked for that. */
  closesAt: z.iso.datetime().nullable(),
});
export type Choir = z.infer<typeof choirSchema>;

/** What of a choir is changed; what is not sent stays. */
export const changeChoirSchema = z.object({
  name: line(80).optional(),
  timeZone: timeZone.optional(),
  accidentals: accidentals.optional(),
  naming: namingSchema.optional(),
  clock: clockSchema.optional(),
  approach: z.string().min(1).max(60).optional(),
  level: z.int().min(1).max(3).optional(),
  approaches: ownApproachesSchema.optional(),
  /** Only those that are sent are changed. */
  courses: changeCoursesSchema.optional(),
  phraseSeconds: z
    .number('Seconds are a number.')
    .int('Whole seconds, please.')
    .min(2, 'At least 2 seconds.')
    .max(60, 'At most 60 seconds.')
    .optional(),
});
export type ChangeChoir = z.infer<typeof changeChoirSchema>;

/** The choir's name, typed once more by whoever throws it away. */
export const closeChoirSchema = z.object({ name: line(80) });
export type CloseChoir = z.infer<typeof closeChoirSchema>;

export const memberSchema = z.object({
  id: uuid,
  name: z.string(),
  email: z.string(),
  role: roleSchema,
  /** Whether it is the one that asks. */
  you: z.boolean(),
});
export type Member = z.infer<typeof memberSchema>;

export const changeMemberSchema = z.object({ role: roleSchema });
export type ChangeMember = z.infer<typeof changeMemberSchema>;

/** Whom a director invites: the role, and a word to know the invitation by. */
export const inviteSchema = z.object({
  role: roleSchema,
  note: z.string().trim().max(80, 'At most 80 characters.'),
});
export type Invite = z.infer<typeof inviteSchema>;

/** An invitation that nobody has accepted yet. */
export const invitationSchema = z.object({
  id: uuid,
  role: roleSchema,
  note: z.string(),
  expiresAt: z.iso.datetime(),
});
export type Invitation = z.infer<typeof invitationSchema>;

/** A new invitation with its code: the one time it is shown. */
export const newInvitationSchema = invitationSchema.extend({ code: z.string() });
export type NewInvitation = z.infer<typeof newInvitationSchema>;

/** What an invitation leads to, for whoever has its code. */
export const invitedSchema = z.object({
  choir: z.string(),
  role: roleSchema,
  by: z.string(),
});
export type Invited = z.infer<typeof invitedSchema>;

/** What a choir keeps, and how much of it at most: rows, and bytes of files. */
export const mostKept = {
  files: 500_000_000,
  singers: 2000,
  evenings: 3000,
  templates: 40,
  keptPlans: 100,
  pieces: 2000,
  marks: 5000,
  judgements: 20_000,
  judgings: 2000,
  recordings: 200_000_000,
  exercises: 2000,
  checks: 50_000,
} as const;
export type KeptKind = keyof typeof mostKept;

/** How much of each kind is here, of how much there may be. */
export const roomSchema = z.array(
  z.object({
    of: z.enum(Object.keys(mostKept) as [KeptKind, ...KeptKind[]]),
    here: z.int(),
    most: z.int(),
  }),
);
export type Room = z.infer<typeof roomSchema>;

/** What a choir remembers of who did what. */
const recordedKinds = [
  'signed-in',
  'invited',
  'invitation-taken-back',
  'joined',
  'role-changed',
  'removed',
  'brought-back',
  'left',
  'exported',
  'deleted',
  'settings-changed',
  'closing',
  'kept',
  'brought-in',
] as const;
export type RecordedKind = (typeof recordedKinds)[number];

/** One thing that was done, by whom and when. */
export const recordSchema = z.object({
  id: uuid,
  at: z.iso.datetime(),
  /** The name the person had then. */
  by: z.string(),
  kind: z.enum(recordedKinds),
  /** What or whom it was about; empty where the kind says it all. */
  about: z.string(),
});
export type AuditRecord = z.infer<typeof recordSchema>;
