import { Migration20261125032900 } from './Migration20261125032900';

/** Every migration in order, named in a list so that a bundle holds them too. */
export const migrations = [{ name: 'Migration20261125032900', class: Migration20261125032900 }] as const;
