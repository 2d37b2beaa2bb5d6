/**
 * npm start: sets up what is missing, then hands over to main.ts. Uses nothing but Node, so that it
 * runs in a fresh clone.
 */
import { spawn } from 'node:child_process';
import { dirname, join } from 'node:path';
import { fileURLToPath } from 'node:url';
import { checkNode, installPackages } from '../setup/packages.mjs';
import { endWith } from '../setup/say.mjs';

const root = join(dirname(fileURLToPath(import.meta.url)), '..', '..');

try {
  checkNode();
  await installPackages(root);
  const main = spawn(process.execPath, ['--import', 'tsx', 'tools/start/main.ts'], {
    cwd: root,
    stdio: 'inherit',
  });
  // At a terminal Ctrl-C reaches main.ts by itself; from elsewhere it is passed on. We leave after it.
  for (const signal of ['SIGTERM', 'SIGHUP']) process.on(signal, () => main.kill(signal));
  process.on('SIGINT', () => {
    if (!process.stdin.isTTY) main.kill('SIGINT');
  });
  main.once('exit', (code) => {
    process.exitCode = code ?? 1;
  });
} catch (error) {
  endWith(error);
}
