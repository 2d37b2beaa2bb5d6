import { randomBytes } from 'node:crypto';
import type { EntityManager } from '@mikro-orm/postgresql';
import type { ChangeEmail, RenewPassword } from '@wide-fern/contract';
import {
  emailChangedLetter,
  emailInUseLetter,
  forgottenLetter,
  newEmailLetter,
} from '@wide-fern/words';
import type { Logger } from 'pino';
import { digestOf } from '../access/digest';
import { endAllSessions } from '../access/session';
import { Account, AccountSecret, noPassword } from '../db/entities/account';
import { notFound } from '../http/problem';
import type { Mailer } from '../mail/mailer';
import { checkPresent, hashPassword } from './password';
import { refuseGuessable } from './strength';

const minute = 60_000;
const passwordMinutes = 60;
const emailHours = 24;

/** How mails leave, and the address of our pages that their links begin with. */
export interface Post {
  readonly mailer: Mailer;
  readonly log: Logger;
  readonly publicUrl: string;
}

/** A secret for a link in a mail; what it lets do before is forgotten. */
async function newSecret(
  em: EntityManager,
  wanted: {
    readonly account: Account;
    readonly purpose: 'password' | 'email';
    readonly email?: string;
    readonly minutes: number;
  },
): Promise<string> {
  const { account, purpose, email = null, minutes } = wanted;
  const secret = randomBytes(24).toString('base64url');
  await em.transactional(async (inner) => {
    await inner.nativeDelete(AccountSecret, { account, purpose });
    inner.create(AccountSecret, {
      id: digestOf(secret),
      account,
      purpose,
      email,
      expiresAt: new Date(Date.now() + minutes * minute),
    });
  });
  return secret;
}

/** Takes a secret: it is good once. */
async function takeSecret(em: EntityManager, secret: string, purpose: 'password' | 'email') {
  const found = await em.findOne(
    AccountSecret,
    { id: digestOf(secret), purpose, expiresAt: { $gt: new Date() } },
    { populate: ['account'] },
  );
  const taken = found ? await em.nativeDelete(AccountSecret, { id: found.id }) : 0;
  if (!found || taken === 0) throw notFound('link');
  return found;
}

/** Behind the «#», so that no log and no other site ever sees it. */
const linkTo = ({ publicUrl }: Post, page: string, secret: string): string =>
  `${publicUrl}/${page}#${secret}`;

/**
 * Sends the way to a new password where an account has this e-mail. The answer does not wait for it,
 * so that neither words nor time tell whether there is one.
 */
export async function forgetPassword(em: EntityManager, post: Post, email: string): Promise<void> {
  const account = await em.findOne(Account, { email, passwordHash: { $ne: noPassword } });
  if (!account) return;
  const secret = await newSecret(em, { account, purpose: 'password', minutes: passwordMinutes });
  const link = linkTo(post, 'new-password', secret);
  await post.mailer.send(email, forgottenLetter(account.name, link, passwordMinutes));
}

/** Sets the new password of whoever opened the link, and signs every browser out. */
export async function renewPassword(
  em: EntityManager,
  { secret, next }: RenewPassword,
): Promise<void> {
  // Refused before the secret is used up.
  await refuseGuessable(next, { field: 'next', about: [] });
  const passwordHash = await hashPassword(next);
  await em.transactional(async (inner) => {
    const { account } = await takeSecret(inner, secret, 'password');
    account.passwordHash = passwordHash;
    await endAllSessions(inner, account);
  });
}

/** Sends a link to the new e-mail; nothing tells whether another account has it. */
export async function changeEmail(
  em: EntityManager,
  post: Post,
  account: Account,
  { email, password }: ChangeEmail,
): Promise<void> {
  await checkPresent(account, password, 'password');
  const other = await em.findOne(Account, { email });
  if (other) {
    if (other.id !== account.id) await post.mailer.send(email, emailInUseLetter(other.name));
    return;
  }
  const secret = await newSecret(em, {
    account,
    purpose: 'email',
    email,
    minutes: emailHours * 60,
  });
  const link = linkTo(post, 'new-e-mail', secret);
  await post.mailer.send(email, newEmailLetter(account.name, link, emailHours));
}

/** Uses the new e-mail from now on, and tells the old one. */
export async function confirmEmail(em: EntityManager, post: Post, secret: string): Promise<void> {
  const [before, name] = await em.transactional(async (inner) => {
    const { account, email } = await takeSecret(inner, secret, 'email');
    const old = [account.email, account.name] as const;
    account.email = email ?? account.email;
    return old;
  });
  await post.mailer.send(before, emailChangedLetter(name));
}
