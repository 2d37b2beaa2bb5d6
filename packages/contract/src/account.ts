import { line, uuid } from './common';
import { z } from './zod';

export const roles = ['director', 'deputy', 'reader'] as const;
const roleSchema = z.enum(roles);
export type Role = z.infer<typeof roleSchema>;

const email = z
  .string()
  .trim()
  .toLowerCase()
  .max(254, 'At most 254 characters.')
  .pipe(z.email('Write a whole e-mail address, like name@example.org.'));
const newPassword = z
  .string()
  .min(10, 'A password has at least 10 characters.')
  .max(200, 'At most 200 characters.');

export const signInSchema = z.object({
  email,
  password: z.string().min(1, 'Type your password.').max(200, 'At most 200 characters.'),
});
export type SignIn = z.infer<typeof signInSchema>;

const timeZone = z
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

/** A new account with a choir of its own. */
export const signUpSchema = z.object({
  name: line(80),
  email,
  password: newPassword,
  choir: line(80),
  timeZone,
});
export type SignUp = z.infer<typeof signUpSchema>;

export const changePasswordSchema = z.object({
  current: z.string().min(1, 'Type your present password.').max(200),
  next: newPassword,
});
export type ChangePassword = z.infer<typeof changePasswordSchema>;

/** Who is signed in, and the choirs that person belongs to; account null when nobody is. */
export const sessionSchema = z.object({
  account: z.object({ id: uuid, name: z.string(), email: z.string() }).nullable(),
  choirs: z.array(z.object({ id: uuid, name: z.string(), role: roleSchema })),
  /** Whether there is a demo choir to look at. */
  demo: z.boolean(),
});
export type Session = z.infer<typeof sessionSchema>;

export const choirSchema = z.object({
  id: uuid,
  name: z.string(),
  timeZone: z.string(),
  accidentals: z.enum(['flats', 'sharps']),
  /** How long a phrase on one breath may comfortably last. */
  phraseSeconds: z.int(),
});
export type Choir = z.infer<typeof choirSchema>;

export const changeChoirSchema = z.object({
  phraseSeconds: z
    .number('Seconds are a number.')
    .int('Whole seconds, please.')
    .min(2, 'At least 2 seconds.')
    .max(60, 'At most 60 seconds.'),
});
export type ChangeChoir = z.infer<typeof changeChoirSchema>;

export const memberSchema = z.object({
  id: uuid,
  name: z.string(),
  email: z.string(),
  role: roleSchema,
});
export type Member = z.infer<typeof memberSchema>;

export const addMemberSchema = z.object({ email, role: roleSchema });
export type AddMember = z.infer<typeof addMemberSchema>;
export const changeMemberSchema = z.object({ role: roleSchema });
