import type { SpawnOptions } from 'node:child_process';
export function run(
  command: string,
  args: readonly string[],
  options?: SpawnOptions & { show?: boolean },
): Promise<{ code: number | null; output: string }>;
