import { line, uuid } from './common';
import { roleSchema, timeZone } from './choir';
import { z } from './zod';

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
const presentPassword = z.string().min(1, 'Type your present password.').max(200);

/** What an invitation or a mail gives out once: who has it may do what it says. */
const secret = z.string().trim().min(1, 'Type the code.').max(100, 'At most 100 characters.');

/** Six digits of a second factor, or one of the codes kept for when it is lost; blanks are ignored. */
const factorCode = z
  .string()
  .transform((text) => text.replace(/[\s-]/g, '').toLowerCase())
  .pipe(z.string().regex(/^(\d{6}|[a-z2-7]{10})$/, 'Six digits, or one of your ten kept codes.'));

export const signInSchema = z.object({
  email,
  password: z.string().min(1, 'Type your password.').max(200, 'At most 200 characters.'),
  /** Only where the account has a second factor. */
  code: factorCode.optional(),
});
export type SignIn = z.infer<typeof signInSchema>;

/** A new account: with a choir of its own, or in the choir that an invitation leads to. */
export const signUpSchema = z
  .object({
    name: line(80),
    email,
    password: newPassword,
    choir: line(80).optional(),
    timeZone: timeZone.optional(),
    invitation: secret.optional(),
  })
  .refine(({ choir, invitation }) => choir !== undefined || invitation !== undefined, {
    path: ['choir'],
    message: 'Write something here.',
  });
export type SignUp = z.infer<typeof signUpSchema>;

export const changePasswordSchema = z.object({ current: presentPassword, next: newPassword });
export type ChangePassword = z.infer<typeof changePasswordSchema>;

export const changeNameSchema = z.object({ name: line(80) });
export type ChangeName = z.infer<typeof changeNameSchema>;

/** Another e-mail; it holds once the link in the mail that goes there is opened. */
export const changeEmailSchema = z.object({ email, password: presentPassword });
export type ChangeEmail = z.infer<typeof changeEmailSchema>;

export const forgottenSchema = z.object({ email });
export type Forgotten = z.infer<typeof forgottenSchema>;

export const renewPasswordSchema = z.object({ secret, next: newPassword });
export type RenewPassword = z.infer<typeof renewPasswordSchema>;

export const secretSchema = z.object({ secret });
export type Secret = z.infer<typeof secretSchema>;

export const withPasswordSchema = z.object({ password: presentPassword });
export type WithPassword = z.infer<typeof withPasswordSchema>;

export const factorCodeSchema = z.object({ code: factorCode });
export type FactorCode = z.infer<typeof factorCodeSchema>;

/** What a phone needs to show the six digits from now on. */
export const newFactorSchema = z.object({ secret: z.string(), address: z.string() });
export type NewFactor = z.infer<typeof newFactorSchema>;

/** Codes for when the phone is lost, each good once; shown this one time. */
export const keptCodesSchema = z.object({ codes: z.array(z.string()) });
export type KeptCodes = z.infer<typeof keptCodesSchema>;

/** A browser that is signed in. */
export const browserSchema = z.object({
  id: z.string(),
  /** «Firefox on Linux», as far as it says. */
  name: z.string(),
  since: z.iso.datetime(),
  lastSeen: z.iso.datetime(),
  /** Whether it is the one that asks. */
  here: z.boolean(),
});
export type SignedInBrowser = z.infer<typeof browserSchema>;

/** Who is signed in, and the choirs that person belongs to; account null when nobody is. */
export const sessionSchema = z.object({
  account: z
    .object({
      id: uuid,
      name: z.string(),
      email: z.string(),
      secondFactor: z.boolean(),
      /** When it is deleted with everything; null while nobody asked for that. */
      closesAt: z.iso.datetime().nullable(),
    })
    .nullable(),
  choirs: z.array(z.object({ id: uuid, name: z.string(), role: roleSchema })),
  /** Whether there is a demo choir to look at. */
  demo: z.boolean(),
});
export type Session = z.infer<typeof sessionSchema>;
