import { existsSync, readFileSync } from 'node:fs';
import { join } from 'node:path';
import { sourcesHash } from './sources';

export const serverFile = (root: string): string =>
  join(root, 'packages', 'server', 'dist', 'server.mjs');
export const webFolder = (root: string): string => join(root, 'packages', 'web', 'dist');
/** Holds the hash of the sources that were built. */
export const stampFile = (root: string): string => join(webFolder(root), '.built');

/** Whether what was built last is what the sources say now. */
export const isBuilt = (root: string): boolean =>
  existsSync(serverFile(root)) &&
  existsSync(stampFile(root)) &&
  readFileSync(stampFile(root), 'utf8') === sourcesHash(root);
