import { readdirSync, readFileSync, rmSync, writeFileSync } from 'node:fs';
import { dirname, join } from 'node:path';
import { promisify } from 'node:util';
import { brotliCompress, constants, gzip } from 'node:zlib';
import { build as bundle } from 'esbuild';
import { build as buildPages } from 'vite';
import { firstLoadLimit, firstLoads } from './firstLoad';
import { serverFile, stampFile, webFolder } from './built';
import { sourcesHash } from './sources';

/** Compressed copies beside the assets, so that nothing is compressed while someone waits. */
async function compress(dist: string): Promise<void> {
  const assets = join(dist, 'assets');
  const brotli = promisify(brotliCompress);
  const zip = promisify(gzip);
  const texts = readdirSync(assets).filter((name) => /\.(js|css|svg|wasm)$/.test(name));
  await Promise.all(
    texts.map(async (name) => {
      const path = join(assets, name);
      const content = readFileSync(path);
      const quality = { params: { [constants.BROTLI_PARAM_QUALITY]: 9 } };
      writeFileSync(`${path}.br`, await brotli(content, quality));
      writeFileSync(`${path}.gz`, await zip(content));
    }),
  );
}

/** The names of packages the server is run beside, not bundled with: everything that is not ours. */
function foreignPackages(root: string): string[] {
  const manifest = JSON.parse(
    readFileSync(join(root, 'packages', 'server', 'package.json'), 'utf8'),
  ) as { dependencies: Record<string, string> };
  return Object.keys(manifest.dependencies).filter((name) => !name.startsWith('@wide-fern/'));
}

/**
 * Builds pages and server. Fails when a page's first load is above the limit.
 * @returns the first load of each page, the heaviest first.
 */
export async function build(root: string): Promise<ReturnType<typeof firstLoads>> {
  const hash = sourcesHash(root);
  rmSync(stampFile(root), { force: true });
  await buildPages({
    configFile: join(root, 'packages', 'web', 'vite.config.ts'),
    logLevel: 'warn',
  });
  await bundle({
    entryPoints: {
      server: join(root, 'packages', 'server', 'src', 'main.ts'),
      'analysis.thread': join(root, 'packages', 'server', 'src', 'pieces', 'analysis', 'thread.ts'),
    },
    outdir: dirname(serverFile(root)),
    outExtension: { '.js': '.mjs' },
    bundle: true,
    platform: 'node',
    format: 'esm',
    target: 'node20',
    external: foreignPackages(root),
    logLevel: 'warning',
  });
  const dist = webFolder(root);
  const loads = firstLoads(dist);
  const [heaviest] = loads;
  if (!heaviest) throw new Error('The build has no pages.');
  if (heaviest.bytes > firstLoadLimit) {
    throw new Error(
      `${heaviest.page} loads ${heaviest.bytes} bytes at first (gzip); the limit is ${firstLoadLimit}. ` +
        'Load what is heavy when it is needed.',
    );
  }
  await compress(dist);
  writeFileSync(stampFile(root), hash);
  return loads;
}
