import { dayOfYear } from './dates';

/** «Last in a warm-up on 12 Nov 2026.»; the day as it is in the choir's zone. */
export function lastUsedInWords(lastUsed: number | undefined, timeZone: string): string {
  if (lastUsed === undefined) return 'Not used in a warm-up yet.';
  return `Last in a warm-up on ${dayOfYear(lastUsed, timeZone)}.`;
}
