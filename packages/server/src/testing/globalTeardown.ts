import type { Shared } from './database';

export default async function teardown(): Promise<void> {
  await (globalThis as Shared).testCluster?.stop();
}
