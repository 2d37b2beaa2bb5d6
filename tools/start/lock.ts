import { existsSync, mkdirSync, readFileSync, rmSync, writeFileSync } from 'node:fs';
import { dirname } from 'node:path';

interface Holder {
  readonly pid: number;
  readonly address: string;
}

function readHolder(path: string): Holder | undefined {
  try {
    return JSON.parse(readFileSync(path, 'utf8')) as Holder;
  } catch {
    return undefined;
  }
}

/** Whether a process of ours has this number; the number of a dead one may belong to another by now. */
function isOurs(pid: number): boolean {
  try {
    return readFileSync(`/proc/${pid}/cmdline`, 'utf8').includes('tools/start/main.ts');
  } catch {
    return false;
  }
}

/**
 * Takes the lock of this folder's data, so that two starts do not share one database by accident.
 * @returns who holds it already, or how to give it back; `repaired` when a dead start had left it.
 */
export function takeLock(
  path: string,
  address: string,
): { kind: 'held'; by: Holder } | { kind: 'taken'; repaired: boolean; release: () => void } {
  const holder = readHolder(path);
  if (holder && holder.pid !== process.pid && isOurs(holder.pid))
    return { kind: 'held', by: holder };
  const repaired = existsSync(path);
  mkdirSync(dirname(path), { recursive: true });
  writeFileSync(path, JSON.stringify({ pid: process.pid, address }));
  return { kind: 'taken', repaired, release: () => rmSync(path, { force: true }) };
}
