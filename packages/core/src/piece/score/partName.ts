import type { Staff } from './score';

/** What a staff is called: its name, in its bracket where it is only a number, its abbreviation, or its place. */
export function partName({ name, abbreviation, group = '' }: Staff, place: number): string {
  const called = name.trim() || abbreviation.trim();
  if (group !== '' && /^[\divx. ]*$/i.test(called)) return `${group} ${called}`.trim();
  return called || `Staff ${place + 1}`;
}
