import { Migration20261125041351 } from './Migration20261125041351';
import { Migration20261125185929 } from './Migration20261125185929';
import { Migration20261125222521 } from './Migration20261125222521';
import { Migration20261126012229 } from './Migration20261126012229';
import { Migration20261128145356 } from './Migration20261128145356';
import { Migration20261128150000 } from './Migration20261128150000';
import { Migration20261128204247 } from './Migration20261128204247';
import { Migration20261128215900 } from './Migration20261128215900';
import { Migration20261129000259 } from './Migration20261129000259';
import { Migration20261129073238 } from './Migration20261129073238';
import { Migration20261129174436 } from './Migration20261129174436';
import { Migration20261130011030 } from './Migration20261130011030';
import { Migration20261130014621 } from './Migration20261130014621';
import { Migration20261130050131 } from './Migration20261130050131';
import { Migration20261130072918 } from './Migration20261130072918';
import { Migration20261130082427 } from './Migration20261130082427';
import { Migration20261130110222 } from './Migration20261130110222';
import { Migration20261130144840 } from './Migration20261130144840';
import { Migration20261130151037 } from './Migration20261130151037';
import { Migration20261130182845 } from './Migration20261130182845';
import { Migration20261130220548 } from './Migration20261130220548';
import { Migration20261130232300 } from './Migration20261130232300';

/** Every migration in order, named in a list so that a bundle holds them too. */
export const migrations = [
  { name: 'Migration20261125041351', class: Migration20261125041351 },
  { name: 'Migration20261125185929', class: Migration20261125185929 },
  { name: 'Migration20261125222521', class: Migration20261125222521 },
  { name: 'Migration20261126012229', class: Migration20261126012229 },
  { name: 'Migration20261128145356', class: Migration20261128145356 },
  { name: 'Migration20261128150000', class: Migration20261128150000 },
  { name: 'Migration20261128204247', class: Migration20261128204247 },
  { name: 'Migration20261128215900', class: Migration20261128215900 },
  { name: 'Migration20261129000259', class: Migration20261129000259 },
  { name: 'Migration20261129073238', class: Migration20261129073238 },
  { name: 'Migration20261129174436', class: Migration20261129174436 },
  { name: 'Migration20261130011030', class: Migration20261130011030 },
  { name: 'Migration20261130014621', class: Migration20261130014621 },
  { name: 'Migration20261130050131', class: Migration20261130050131 },
  { name: 'Migration20261130072918', class: Migration20261130072918 },
  { name: 'Migration20261130082427', class: Migration20261130082427 },
  { name: 'Migration20261130110222', class: Migration20261130110222 },
  { name: 'Migration20261130144840', class: Migration20261130144840 },
  { name: 'Migration20261130151037', class: Migration20261130151037 },
  { name: 'Migration20261130182845', class: Migration20261130182845 },
  { name: 'Migration20261130220548', class: Migration20261130220548 },
  { name: 'Migration20261130232300', class: Migration20261130232300 },
] as const;
