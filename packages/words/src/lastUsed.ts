/** «Last sung on 12 November.»; the day as it is in the choir's zone. */
export function lastUsedInWords(lastUsed: number | undefined, timeZone: string): string {
  if (lastUsed === undefined) return 'Not used in a warm-up yet.';
  const day = new Intl.DateTimeFormat('en-GB', {
    timeZone,
    day: 'numeric',
    month: 'long',
    year: 'numeric',
  });
  return `Last in a warm-up on ${day.format(lastUsed)}.`;
}
