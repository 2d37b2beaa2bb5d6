import { randomInt } from 'node:crypto';
import { digestOf } from './digest';

/** Letters and digits that nobody takes for each other, read aloud or from paper. */
const signs = 'ABCDEFGHJKLMNPQRSTUVWXYZ23456789';

/**
 * Twelve signs in three groups: sixty bits, «KQ7M-2XRD-H4TN». Two groups where it is read aloud and soon over;
 * seven, a hundred and forty bits, where it is handed to many and nobody types it.
 */
export function newCode(groups: 2 | 3 | 7 = 3): string {
  const group = () =>
    Array.from({ length: 4 }, () => signs.charAt(randomInt(signs.length))).join('');
  return Array.from({ length: groups }, group).join('-');
}

/** What is kept of a code. As it was typed, small letters, blanks and missing strokes are all the same. */
export const hashOfCode = (typed: string): string =>
  digestOf(typed.toUpperCase().replace(/[^A-Z0-9]/g, ''));
