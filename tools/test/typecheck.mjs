import { dirname, join } from 'node:path';
import { fileURLToPath } from 'node:url';
import { run } from '../setup/run.mjs';

const root = join(dirname(fileURLToPath(import.meta.url)), '..', '..');
/** The projects types are checked in: what runs in Node, the pages, the browser tests. */
const projects = ['.', 'packages/web', 'packages/e2e'];

const results = await Promise.all(
  projects.map((project) =>
    run(process.execPath, ['node_modules/typescript/bin/tsc', '-p', project], { cwd: root }),
  ),
);
for (const { output } of results) process.stdout.write(output);
process.exitCode = results.some(({ code }) => code !== 0) ? 1 : 0;
