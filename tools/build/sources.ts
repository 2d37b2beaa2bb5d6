import { createHash } from 'node:crypto';
import { readdirSync, readFileSync } from 'node:fs';
import { join, relative } from 'node:path';

/** Every package that ships. */
export const shipped = [
  'catalogue',
  'client',
  'contract',
  'core',
  'interchange',
  'plan',
  'server',
  'sound',
  'web',
  'words',
];
const isBuilt = (name: string): boolean => name === 'dist' || name === 'node_modules';
const isTest = (path: string): boolean => /\.test\.tsx?$/.test(path);

function* filesBelow(folder: string): Generator<string> {
  const entries = readdirSync(folder, { withFileTypes: true }).sort((a, b) =>
    a.name < b.name ? -1 : 1,
  );
  for (const entry of entries) {
    const path = join(folder, entry.name);
    if (entry.isDirectory()) {
      if (!isBuilt(entry.name)) yield* filesBelow(path);
    } else if (!isTest(path)) yield path;
  }
}

/** One hash of everything the build is made from: sources, their settings, the packages in use. */
export function sourcesHash(root: string): string {
  const hash = createHash('sha256').update(readFileSync(join(root, 'package-lock.json')));
  for (const folder of shipped) {
    for (const path of filesBelow(join(root, 'packages', folder))) {
      hash.update(relative(root, path)).update(readFileSync(path));
    }
  }
  return hash.digest('hex');
}
