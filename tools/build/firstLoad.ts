import { existsSync, readFileSync } from 'node:fs';
import { join } from 'node:path';
import { gzipSync } from 'node:zlib';

/** What the first page may load, JavaScript and styles, gzipped. */
export const firstLoadLimit = 260_000;

interface Chunk {
  readonly file: string;
  readonly imports?: readonly string[];
  readonly css?: readonly string[];
  readonly isDynamicEntry?: boolean;
}

/** Everything a chunk needs at once: itself, what it imports, their styles. */
function filesOf(manifest: Record<string, Chunk>, entry: string, seen: Set<string>): void {
  const chunk = manifest[entry];
  if (!chunk || seen.has(chunk.file)) return;
  seen.add(chunk.file);
  for (const style of chunk.css ?? []) seen.add(style);
  for (const other of chunk.imports ?? []) filesOf(manifest, other, seen);
}

/** The first load of each page in bytes, gzipped: the entry together with the page's own chunk. */
export function firstLoads(dist: string): { page: string; bytes: number }[] {
  const path = join(dist, '.vite', 'manifest.json');
  if (!existsSync(path)) throw new Error('The build left no manifest.');
  const manifest = JSON.parse(readFileSync(path, 'utf8')) as Record<string, Chunk>;
  const sizes = new Map<string, number>();
  const size = (file: string): number => {
    const known = sizes.get(file) ?? gzipSync(readFileSync(join(dist, file))).length;
    sizes.set(file, known);
    return known;
  };
  return Object.entries(manifest)
    .filter(([name, chunk]) => chunk.isDynamicEntry && name.endsWith('Page.tsx'))
    .map(([name]) => {
      const files = new Set<string>();
      filesOf(manifest, 'index.html', files);
      filesOf(manifest, name, files);
      const page = name.replace(/^.*\//, '').replace('.tsx', '');
      return { page, bytes: [...files].reduce((sum, file) => sum + size(file), 0) };
    })
    .sort((a, b) => b.bytes - a.bytes);
}
