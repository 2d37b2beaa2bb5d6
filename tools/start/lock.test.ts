import { spawn } from 'node:child_process';
import { existsSync, mkdtempSync, readFileSync, rmSync, writeFileSync } from 'node:fs';
import { tmpdir } from 'node:os';
import { join } from 'node:path';
import { takeLock } from './lock';

describe('the lock of a data folder', () => {
  const root = mkdtempSync(join(tmpdir(), 'lock-'));
  const path = join(root, 'deep', 'start.lock');
  const address = 'http://127.0.0.1:4600';
  afterEach(() => rmSync(path, { force: true }));
  afterAll(() => rmSync(root, { recursive: true }));

  it('is taken and given back', () => {
    const lock = takeLock(path, address);
    if (lock.kind !== 'taken') throw new Error('Nobody holds it.');
    expect(lock.repaired).toBe(false);
    expect(JSON.parse(readFileSync(path, 'utf8'))).toEqual({ pid: process.pid, address });
    lock.release();
    expect(existsSync(path)).toBe(false);
  });

  it('is repaired after a start that died, even when its number belongs to another program now', () => {
    takeLock(path, address);
    for (const left of ['{"pid": 1, "address": "x"}', '{"pid":', '']) {
      writeFileSync(path, left);
      expect(takeLock(path, address)).toMatchObject({ kind: 'taken', repaired: true });
    }
  });

  it('is held by a start that lives', async () => {
    takeLock(path, address);
    // A process whose command line is that of a start.
    const other = spawn('bash', ['-c', 'echo on; read _ # tools/start/main.ts'], {
      stdio: ['pipe', 'pipe', 'ignore'],
    });
    await new Promise((done) => other.stdout.once('data', done));
    writeFileSync(path, JSON.stringify({ pid: other.pid, address }));
    expect(takeLock(path, 'http://127.0.0.1:1')).toEqual({
      kind: 'held',
      by: { pid: other.pid, address },
    });
    other.stdin.end();
    await new Promise((done) => other.once('exit', done));
  });
});
