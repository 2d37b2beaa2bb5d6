import { mkdtempSync, rmSync, statSync, writeFileSync } from 'node:fs';
import { tmpdir } from 'node:os';
import { join } from 'node:path';
import { Client } from 'pg';
import { findPostgres, startCluster, type Cluster } from './cluster';
import { applicationRole, ensureDatabase, ensureRole, execute } from './database';
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

  it('that has to last listens on a socket in a folder of its own, on no port at all', async () => {
    const dir = mkdtempSync(join(tmpdir(), 'wide-fern-test-'));
    const own = await startCluster({ bin, dir, durable: true });
    await ensureDatabase(own.url, 'app');
    const { rows } = await execute(own.url('app'), 'show listen_addresses');
    expect(rows).toEqual([{ listen_addresses: '' }]);
    const socket = decodeURIComponent(new URL(own.url('app')).hostname);
    expect(statSync(socket).mode & 0o077).toBe(0);
    // Taken over as it is, by its socket.
    const again = await startCluster({ bin, dir, durable: true });
    expect([again.found, again.url('app')]).toEqual([true, own.url('app')]);
    // One that ended comes back where it was: whoever used it finds it again.
    process.kill(own.pid, 'SIGKILL');
    await own.ended;
    const back = await startCluster({ bin, dir, durable: true, again: own });
    expect([back.found, back.url('app')]).toEqual([false, own.url('app')]);
    await execute(own.url('app'), 'select 1');
    await back.stop();
    rmSync(dir, { recursive: true, force: true });
  });

  it('that was killed comes back once those who worked for it have ended', async () => {
    const dir = mkdtempSync(join(tmpdir(), 'wide-fern-test-'));
    const own = await startCluster({ bin, dir });
    const client = new Client({ connectionString: own.url('postgres') });
    client.on('error', () => undefined);
    await client.connect();
    const { rows } = await client.query<{ pid: number }>('select pg_backend_pid() as pid');
    const { pid } = rows[0]!;
    // One that is kept from looking up.
    process.kill(pid, 'SIGSTOP');
    process.kill(own.pid, 'SIGKILL');
    await own.ended;
    let tried = 0;
    const back = await startCluster({
      bin,
      dir,
      again: own,
      onWait: () => {
        tried += 1;
        if (tried === 2) process.kill(pid, 'SIGCONT');
      },
    });
    expect(tried).toBeGreaterThan(1);
    await execute(back.url('postgres'), 'select 1');
    await back.stop();
    await client.end().catch(() => undefined);
    rmSync(dir, { recursive: true, force: true });
  });

  it('is used by a role that owns its tables and nothing else, those of before too', async () => {
    await ensureDatabase(cluster.url, 'owned');
    await execute(
      cluster.url('owned'),
      `create table old (id serial primary key, n int);
       create function old_one() returns int language sql as 'select 1'`,
    );
    await ensureRole(cluster.url, 'owned');
    await ensureRole(cluster.url, 'owned');
    const own = cluster.url('owned', applicationRole);
    await execute(own, 'insert into old (n) values (1)');
    await execute(own, 'alter table old add column more int');
    await execute(own, 'drop function old_one()');
    await execute(own, 'create table fresh (n int)');
    for (const act of [
      'create role another login',
      'create database another',
      "select pg_read_file('/etc/hostname')",
      "copy old to program 'cat'",
    ]) {
      await expect(execute(own, act)).rejects.toThrow(/permission denied|must be superuser/);
    }
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
