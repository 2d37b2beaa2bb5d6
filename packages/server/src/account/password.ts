import { hash, verify } from '@node-rs/argon2';
import { noPassword, type Account } from '../db/entities/account';
import { problem } from '../http/problem';

/** Argon2id with the library's recommended cost. */
export const hashPassword = (password: string): Promise<string> => hash(password);

/** The hash of a password nobody has, so that an unknown e-mail takes as long to refuse as a known one. */
const nobody = hash('no account has this password');

/** Whether a password is the right one; without a hash always false, after the same work. */
export async function isPassword(stored: string | undefined, password: string): Promise<boolean> {
  if (stored === undefined || stored === noPassword) {
    await verify(await nobody, password);
    return false;
  }
  return verify(stored, password);
}

/**
 * Asks for the present password before something of an account changes.
 * @throws Problem demo_account for people of the demo, wrong_present_password at the field
 */
export async function checkPresent(
  { passwordHash }: Account,
  password: string,
  field: string,
): Promise<void> {
  if (passwordHash === noPassword) throw problem('demo_account');
  if (!(await isPassword(passwordHash, password))) {
    throw problem('wrong_present_password').at(field);
  }
}
