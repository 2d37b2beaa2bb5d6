import type { Staff } from './score';

/** What a staff is called: its name, its abbreviation, or its place. */
export const partName = ({ name, abbreviation }: Staff, place: number): string =>
  name.trim() || abbreviation.trim() || `Staff ${place + 1}`;
