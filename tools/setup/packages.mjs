import { createHash } from 'node:crypto';
import { existsSync, readFileSync, writeFileSync } from 'node:fs';
import { join } from 'node:path';
import { run } from './run.mjs';
import { showing, Trouble } from './say.mjs';

const leastNode = [20, 19];

/** Checks that this Node is new enough. */
export function checkNode() {
  const [major, minor] = process.versions.node.split('.').map(Number);
  if (major > leastNode[0] || (major === leastNode[0] && minor >= leastNode[1])) return;
  throw new Trouble(
    `Wide Fern needs Node ${leastNode.join('.')} or newer; this is ${process.versions.node}.`,
  );
}

/** Installs the packages when they are missing, unfinished, or not those of the lock file. */
export async function installPackages(root) {
  const lock = createHash('sha256')
    .update(readFileSync(join(root, 'package-lock.json')))
    .digest('hex');
  const stamp = join(root, 'node_modules', '.installed');
  if (existsSync(stamp) && readFileSync(stamp, 'utf8') === lock) return;
  await showing('Installing packages', async () => {
    const { code, output } = await run('npm', ['ci', '--no-audit', '--no-fund'], { cwd: root });
    if (code !== 0) {
      throw new Trouble(
        `The packages could not be installed. npm said:\n${output.trim().slice(-2000)}`,
      );
    }
  });
  writeFileSync(stamp, lock);
}
