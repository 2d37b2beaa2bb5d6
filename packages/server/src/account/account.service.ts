import { UniqueConstraintViolationException, type EntityManager } from '@mikro-orm/postgresql';
import type { ChangePassword, Session, SignIn, SignUp } from '@wide-fern/contract';
import { Choir, Member } from '../db/entities/choir';
import { createChoir } from '../choir/choir.service';
import { problem } from '../http/problem';
import { Account } from '../db/entities/account';
import { hashPassword, isPassword, noPassword } from './password';

/** The account an e-mail and password belong to. */
export async function signIn(em: EntityManager, { email, password }: SignIn): Promise<Account> {
  const account = await em.findOne(Account, { email });
  if (!(await isPassword(account?.passwordHash, password)) || !account) {
    throw problem('wrong_password');
  }
  return account;
}

/** A new account with a choir of its own. */
export async function signUp(em: EntityManager, wanted: SignUp): Promise<Account> {
  const { name, email, password, choir, timeZone } = wanted;
  const passwordHash = await hashPassword(password);
  try {
    return await em.transactional(async (inner) => {
      const account = inner.create(Account, { name, email, passwordHash });
      createChoir(inner, { name: choir, timeZone, director: account });
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
  if (account.passwordHash === noPassword) {
    throw problem('demo_account');
  }
  if (!(await isPassword(account.passwordHash, current))) {
    throw problem('wrong_present_password').at('current');
  }
  account.passwordHash = await hashPassword(next);
  await em.flush();
}

/** Who is signed in and where that person belongs. */
export async function describeSession(
  em: EntityManager,
  account: Account | undefined,
): Promise<Session> {
  const demo = (await em.count(Choir, { demoAnchor: { $ne: null } })) > 0;
  if (!account) return { account: null, choirs: [], demo };
  const members = await em.find(
    Member,
    { account },
    { populate: ['choir'], orderBy: { createdAt: 'asc' } },
  );
  return {
    account: { id: account.id, name: account.name, email: account.email },
    choirs: members.map(({ choir, role }) => ({ id: choir.id, name: choir.name, role })),
    demo,
  };
}
