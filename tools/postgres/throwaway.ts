import { mkdtempSync, rmSync } from 'node:fs';
import { tmpdir } from 'node:os';
import { join } from 'node:path';
import { findPostgres, startCluster, type Cluster } from './cluster';

/** A fast cluster in the temporary folder that leaves nothing behind; for tests. */
export async function throwawayCluster(): Promise<Cluster> {
  const bin = findPostgres();
  if (!bin) throw new Error('PostgreSQL is not installed; npm test does that.');
  const dir = mkdtempSync(join(tmpdir(), 'wide-fern-test-'));
  const cluster = await startCluster({ bin, dir });
  return {
    ...cluster,
    stop: async () => {
      await cluster.stop();
      rmSync(dir, { recursive: true, force: true });
    },
  };
}
