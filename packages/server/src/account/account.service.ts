import { UniqueConstraintViolationException, type EntityManager } from '@mikro-orm/postgresql';
import type { ChangePassword, SignIn, SignUp } from '@wide-fern/contract';
import { record } from '../keeping/records';
import { createChoir } from '../choir/choir.service';
import { acceptInvitation } from '../choir/invitations.service';
import { Account, noPassword } from '../db/entities/account';
import { Member } from '../db/entities/choir';
import { problem } from '../http/problem';
import { checkPresent, hashPassword, isPassword } from './password';
import { checkSecondFactor } from './secondFactor';
import { refuseGuessable } from './strength';

/** The account an e-mail and password belong to, with its second factor where it has one. */
export async function signIn(
  em: EntityManager,
  { email, password, code }: SignIn,
): Promise<Account> {
  const account = await em.findOne(Account, { email });
  if (!(await isPassword(account?.passwordHash, password)) || !account) {
    throw problem('wrong_password');
  }
  await checkSecondFactor(em, account, code);
  for (const { choir } of await em.find(Member, { account, removedAt: null })) {
    record(em, { choir, by: account, kind: 'signed-in' });
  }
  await em.flush();
  return account;
}

/** A new account: with a choir of its own, or in the choir it was invited to. */
export async function signUp(em: EntityManager, wanted: SignUp): Promise<Account> {
  const { name, email, password, choir, timeZone, invitation } = wanted;
  await refuseGuessable(password, { field: 'password', about: [name, email, choir ?? ''] });
  const passwordHash = await hashPassword(password);
  try {
    return await em.transactional(async (inner) => {
      const account = inner.create(Account, { name, email, passwordHash });
      await inner.flush();
      if (invitation !== undefined) await acceptInvitation(inner, account, invitation);
      else createChoir(inner, { name: choir!, timeZone: timeZone ?? 'UTC', director: account });
      await inner.flush();
      return account;
    });
  } catch (error) {
    if (!(error instanceof UniqueConstraintViolationException)) throw error;
    throw problem('email_taken').at('email');
  }
}

export async function changePassword(
  em: EntityManager,
  account: Account,
  { current, next }: ChangePassword,
): Promise<void> {
  await checkPresent(account, current, 'current');
  await refuseGuessable(next, { field: 'next', about: [account.name, account.email] });
  account.passwordHash = await hashPassword(next);
  await em.flush();
}

export async function changeName(em: EntityManager, account: Account, name: string): Promise<void> {
  if (account.passwordHash === noPassword) throw problem('demo_account');
  account.name = name;
  await em.flush();
}
