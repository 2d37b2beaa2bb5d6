import { readFileSync } from 'node:fs';

/** What a process of this machine holds in memory, its shared pages included, in MB. */
export function memoryOf(pid: number): number {
  const [, kilobytes] = /^VmRSS:\s+(\d+) kB$/m.exec(readFileSync(`/proc/${pid}/status`, 'utf8'))!;
  return Number(kilobytes) / 1000;
}
