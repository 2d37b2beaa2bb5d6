import { randomInt } from 'node:crypto';
import { generateSecret, generateURI, verify } from 'otplib';
import type { EntityManager } from '@mikro-orm/postgresql';
import { digestOf } from '../access/digest';
import { Account } from '../db/entities/account';
import { notFound, problem } from '../http/problem';
import { checkPresent } from './password';

/** The alphabet of kept codes: no letter is taken for a digit. */
const letters = 'abcdefghijklmnopqrstuvwxyz234567';
const keptCodeCount = 10;

const newCode = (): string =>
  Array.from({ length: 10 }, () => letters.charAt(randomInt(letters.length))).join('');

/** The half minute whose digits these are, one to either side allowed for slow fingers; else undefined. */
async function stepOf(secret: string, digits: string): Promise<number | undefined> {
  const result = await verify({ secret, token: digits, epochTolerance: 30 });
  return result.valid && 'timeStep' in result ? result.timeStep : undefined;
}

/** Offers a secret for the phone; the present way in stays until its digits were typed once. */
export async function beginSecondFactor(em: EntityManager, account: Account, password: string) {
  await checkPresent(account, password, 'password');
  if (account.factorSecret) throw problem('factor_here');
  const secret = generateSecret();
  account.factorOffered = secret;
  await em.flush();
  return { secret, address: generateURI({ issuer: 'Wide Fern', label: account.email, secret }) };
}

/** Takes the offered secret once its digits were typed; answers with codes for when the phone is lost. */
export async function keepSecondFactor(em: EntityManager, account: Account, digits: string) {
  const { factorOffered } = account;
  if (account.factorSecret) throw problem('factor_here');
  if (!factorOffered) throw notFound('this');
  const step = await stepOf(factorOffered, digits);
  if (step === undefined) throw problem('wrong_code').at('code');
  const codes = Array.from({ length: keptCodeCount }, newCode);
  Object.assign(account, {
    factorSecret: factorOffered,
    factorOffered: null,
    factorStep: step,
    keptCodes: codes.map(digestOf),
  });
  await em.flush();
  return { codes: codes.map((code) => `${code.slice(0, 5)}-${code.slice(5)}`) };
}

export async function endSecondFactor(em: EntityManager, account: Account, password: string) {
  await checkPresent(account, password, 'password');
  Object.assign(account, { factorSecret: null, factorOffered: null, factorStep: null });
  account.keptCodes = [];
  await em.flush();
}

/**
 * Asks for the second factor where there is one. Digits and kept codes are good once: of two sign-ins
 * at the same time only one gets in.
 * @throws Problem second_factor when none was typed, wrong_code when it is not good
 */
export async function checkSecondFactor(
  em: EntityManager,
  account: Account,
  code: string | undefined,
): Promise<void> {
  const { id, factorSecret, keptCodes, factorStep } = account;
  if (!factorSecret) return;
  if (code === undefined) throw problem('second_factor');
  const wrong = problem('wrong_code').at('code');
  if (code.length === 10) {
    const used = digestOf(code);
    if (!keptCodes.includes(used)) throw wrong;
    const rows: unknown[] = await em.execute(
      'update account set kept_codes = kept_codes - ? where id = ? and kept_codes \\? ? returning id',
      [used, id, used],
    );
    if (rows.length === 0) throw wrong;
    return;
  }
  const step = await stepOf(factorSecret, code);
  if (step === undefined || step <= (factorStep ?? -1)) throw wrong;
  const taken = await em.nativeUpdate(
    Account,
    { id, $or: [{ factorStep: null }, { factorStep: { $lt: step } }] },
    { factorStep: step },
  );
  if (taken === 0) throw wrong;
}
