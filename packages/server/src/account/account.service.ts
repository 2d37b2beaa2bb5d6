import { UniqueConstraintViolationException, type EntityManager } from '@mikro-orm/postgresql';
import type { ChangePassword, Session, SignIn, SignUp } from '@wide-fern/contract';
import { Member } from '../choir/choir.entity';
import { createChoir } from '../choir/choir.service';
import { findDemoDirector } from '../demo/demo.service';
import { Problem } from '../http/problem';
import { Account } from './account.entity';
import { hashPassword, isPassword, noPassword } from './password';

/** The account an e-mail and password belong to. */
export async function signIn(em: EntityManager, { email, password }: SignIn): Promise<Account> {
  const account = await em.findOne(Account, { email });
  if (!(await isPassword(account?.passwordHash, password)) || !account) {
    throw new Problem(
      401,
      'wrong_password',
      'E-mail and password do not go together. Check both and try again.',
    );
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
    const message = 'There is an account with this e-mail already. Sign in with it.';
    throw new Problem(409, 'email_taken', message, { email: message });
  }
}

export async function changePassword(
  em: EntityManager,
  account: Account,
  { current, next }: ChangePassword,
): Promise<void> {
  if (account.passwordHash === noPassword) {
    throw new Problem(403, 'demo_account', 'People of the demo have no password to change.');
  }
  if (!(await isPassword(account.passwordHash, current))) {
    const message = 'This is not your present password.';
    throw new Problem(403, 'wrong_password', message, { current: message });
  }
  account.passwordHash = await hashPassword(next);
  await em.flush();
}

/** Who is signed in and where that person belongs. */
export async function describeSession(
  em: EntityManager,
  account: Account | undefined,
): Promise<Session> {
  const demo = (await findDemoDirector(em)) !== null;
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
