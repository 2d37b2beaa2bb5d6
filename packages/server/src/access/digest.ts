import { createHash } from 'node:crypto';

/** What is kept of a secret, so that a copy of the table opens nothing: 64 hexadecimal digits. */
export const digestOf = (secret: string): string =>
  createHash('sha256').update(secret).digest('hex');
