import { readdirSync, readFileSync } from 'node:fs';
import { dirname, join, posix, relative } from 'node:path';

/** The sources of a package by their path in it; tests and lists of exports apart. */
export type Sources = Readonly<Record<string, string>>;

/** Reads the sources below a folder. */
export function sourcesBelow(folder: string): Sources {
  const found: Record<string, string> = {};
  for (const entry of readdirSync(folder, { recursive: true, withFileTypes: true })) {
    const path = relative(folder, join(entry.parentPath, entry.name)).replaceAll('\\', '/');
    if (!entry.isFile() || !/\.tsx?$/.test(path)) continue;
    if (/\.test\.tsx?$|(^|\/)testing\/|(^|\/)index\.ts$/.test(path)) continue;
    found[path] = readFileSync(join(folder, path), 'utf8');
  }
  return found;
}

/** Which folders each folder imports from, inside the package. */
function importsOf(sources: Sources): Map<string, Set<string>> {
  const folders = new Set(Object.keys(sources).map((path) => dirname(path)));
  const arrows = new Map<string, Set<string>>();
  for (const [path, text] of Object.entries(sources)) {
    const from = dirname(path);
    const to = arrows.get(from) ?? new Set();
    arrows.set(from, to);
    for (const [, specifier = ''] of text.matchAll(/from '(\.[^']*)'/g)) {
      const target = posix.normalize(posix.join(from, specifier));
      // A folder is imported by its list of exports, a file by its name.
      const folder = folders.has(target) ? target : posix.dirname(target);
      if (folder !== from) to.add(folder);
    }
  }
  return arrows;
}

/** Whether a folder can be reached from another along the arrows. */
function reaches(arrows: Map<string, Set<string>>, from: string, to: string): boolean {
  const seen = new Set<string>();
  const waiting = [...(arrows.get(from) ?? [])];
  for (let next = waiting.pop(); next !== undefined; next = waiting.pop()) {
    if (next === to) return true;
    if (seen.has(next)) continue;
    seen.add(next);
    waiting.push(...(arrows.get(next) ?? []));
  }
  return false;
}

/** The folders of a package that import each other, by whatever way round. */
export function foldersInCircles(sources: Sources): string[] {
  const arrows = importsOf(sources);
  return [...arrows.keys()].filter((folder) => reaches(arrows, folder, folder)).sort();
}
