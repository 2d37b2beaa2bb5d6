import { Migration20261125041351 } from './Migration20261125041351';

/** Every migration in order, named in a list so that a bundle holds them too. */
export const migrations = [
  { name: 'Migration20261125041351', class: Migration20261125041351 },
] as const;
