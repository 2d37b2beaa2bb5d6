import { mkdirSync, mkdtempSync, rmSync, writeFileSync } from 'node:fs';
import { tmpdir } from 'node:os';
import { join } from 'node:path';
import { gzipSync } from 'node:zlib';
import { firstLoads } from './firstLoad';
import { shipped, sourcesHash } from './sources';

/** A folder that is gone after the test. */
function folder(files: Readonly<Record<string, string>>): string {
  const root = mkdtempSync(join(tmpdir(), 'build-'));
  for (const [path, content] of Object.entries(files)) {
    mkdirSync(join(root, path, '..'), { recursive: true });
    writeFileSync(join(root, path), content);
  }
  folders.push(root);
  return root;
}
const folders: string[] = [];
afterAll(() => {
  for (const root of folders) rmSync(root, { recursive: true, force: true });
});

describe('whether the build is up to date', () => {
  const packages = Object.fromEntries(
    shipped.map((name) => [`packages/${name}/src/index.ts`, name]),
  );
  const project = () => folder({ 'package-lock.json': '{}', ...packages });

  it('depends on what the sources say, not on when they were written', () => {
    expect(sourcesHash(project())).toBe(sourcesHash(project()));
  });
  it('changes with any source and with the packages, not with tests or what was built', () => {
    const root = project();
    const before = sourcesHash(root);
    writeFileSync(join(root, 'packages/core/src/index.test.ts'), 'a test');
    mkdirSync(join(root, 'packages/web/dist'));
    writeFileSync(join(root, 'packages/web/dist/a.js'), 'built');
    expect(sourcesHash(root)).toBe(before);
    writeFileSync(join(root, 'packages/core/src/other.ts'), 'new');
    const after = sourcesHash(root);
    expect(after).not.toBe(before);
    writeFileSync(join(root, 'package-lock.json'), '{"a": 1}');
    expect(sourcesHash(root)).not.toBe(after);
  });
});

describe('the first load of a page', () => {
  it('is everything the entry and the page’s chunk import, each once', () => {
    const texts = {
      'a.js': 'entry '.repeat(50),
      'b.js': 'shared '.repeat(80),
      'c.js': 'page',
      'd.css': 'style',
    };
    const manifest = {
      'index.html': { file: 'a.js', imports: ['_b.js'], isEntry: true },
      '_b.js': { file: 'b.js', css: ['d.css'] },
      'src/OnePage.tsx': { file: 'c.js', imports: ['_b.js', 'index.html'], isDynamicEntry: true },
      'src/Shelf.tsx': { file: 'c.js', isDynamicEntry: true },
    };
    const dist = folder({ '.vite/manifest.json': JSON.stringify(manifest), ...texts });
    const bytes = Object.values(texts).reduce((sum, text) => sum + gzipSync(text).length, 0);
    expect(firstLoads(dist)).toEqual([{ page: 'OnePage', bytes }]);
  });
  it('cannot be told without a manifest', () => {
    expect(() => firstLoads(folder({ 'a.js': '' }))).toThrow('no manifest');
  });
});
