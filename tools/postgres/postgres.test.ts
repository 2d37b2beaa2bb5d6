import { rmSync, writeFileSync } from 'node:fs';
import { join } from 'node:path';
import { findPostgres, startCluster, type Cluster } from './cluster';
import { ensureDatabase, execute } from './database';
import { throwawayCluster } from './throwaway';

describe('the private database', () => {
  let cluster: Cluster;
  const bin = findPostgres()!;
  beforeAll(async () => {
    cluster = await throwawayCluster();
  });
  afterAll(() => cluster.stop());

  it('listens on loopback only, never as root', async () => {
    const { rows } = await execute(cluster.url('postgres'), 'show listen_addresses');
    expect(rows).toEqual([{ listen_addresses: '127.0.0.1' }]);
    const status = await execute(
      cluster.url('postgres'),
      "select pg_read_file('/proc/self/status') as text",
    );
    const [, uid] = /^Uid:\s+(\d+)/m.exec((status.rows as { text: string }[])[0]!.text)!;
    expect(uid).not.toBe('0');
  });

  it('makes a database once', async () => {
    await ensureDatabase(cluster.url, 'once');
    await ensureDatabase(cluster.url, 'once');
    const { rowCount } = await execute(cluster.url('once'), 'select 1');
    expect(rowCount).toBe(1);
  });

  it('is taken over when it runs already', async () => {
    const again = await startCluster({ bin, dir: cluster.dir });
    expect(again).toMatchObject({ found: true, pid: cluster.pid, port: cluster.port });
  });

  it('comes back after it was killed, and clears what a dead process left', async () => {
    const own = await throwawayCluster();
    await execute(own.url('postgres'), 'create table kept (n int)');
    await execute(own.url('postgres'), 'checkpoint');
    process.kill(own.pid, 'SIGKILL');
    await own.ended;
    // The number in the file belongs to another program by now: to this one.
    writeFileSync(join(own.dir, 'data', 'postmaster.pid'), `${process.pid}\nx\n0\n${own.port}\n`);
    const back = await startCluster({ bin, dir: own.dir });
    expect(back.found).toBe(false);
    const { rowCount } = await execute(back.url('postgres'), 'select * from kept');
    expect(rowCount).toBe(0);
    await back.stop();
    rmSync(own.dir, { recursive: true, force: true });
  });
});
