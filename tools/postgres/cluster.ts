import { execFileSync, spawn, spawnSync, type ChildProcessByStdio } from 'node:child_process';
import { createHash } from 'node:crypto';
import {
  chmodSync,
  chownSync,
  existsSync,
  mkdirSync,
  mkdtempSync,
  readdirSync,
  readFileSync,
  rmSync,
} from 'node:fs';
import { createServer, type AddressInfo } from 'node:net';
import { tmpdir } from 'node:os';
import { join, resolve } from 'node:path';
import type { Readable } from 'node:stream';

/** A private PostgreSQL: on a socket that only we reach, or (for tests) on loopback. */
export interface Cluster {
  readonly port: number;
  /** The folder of its socket. */
  readonly sockets: string;
  readonly pid: number;
  /** Whether it was found running, left by a process that is gone. */
  readonly found: boolean;
  /** The folder its data lies in. */
  readonly dir: string;
  /** The address of a database for a role; for the superuser when none is named. */
  readonly url: (database: string, role?: string) => string;
  /** Resolves when the server process has ended, by whatever hand. */
  readonly ended: Promise<void>;
  readonly stop: () => Promise<void>;
}

interface Account {
  readonly uid: number;
  readonly gid: number;
}

const superuser = 'choir';
const debianRoot = '/usr/lib/postgresql';

/** The newest PostgreSQL of Debian's packages, or undefined when none is installed. */
export function findPostgres(): string | undefined {
  if (process.env.PG_BIN) return process.env.PG_BIN;
  if (!existsSync(debianRoot)) return undefined;
  return readdirSync(debianRoot)
    .sort((a, b) => Number(b) - Number(a))
    .map((version) => join(debianRoot, version, 'bin'))
    .find((bin) => existsSync(join(bin, 'initdb')) && existsSync(join(bin, 'postgres')));
}

/** Whom PostgreSQL runs as: it refuses to run as root, so there the unprivileged user of its package. */
function serverAccount(): Account | undefined {
  if (process.getuid?.() !== 0) return undefined;
  const [uid, gid] = ['-u', '-g'].map((flag) =>
    Number(execFileSync('id', [flag, 'postgres'], { encoding: 'utf8' })),
  );
  return { uid: uid!, gid: gid! };
}

/** The folder itself, or one elsewhere when the account may not walk there (a project below a closed home). */
function reachable(dir: string, who: Account | undefined, durable: boolean): string {
  mkdirSync(dir, { recursive: true });
  if (!who) return dir;
  chmodSync(dir, 0o755);
  if (spawnSync('/usr/bin/test', ['-x', dir], { ...who, cwd: '/' }).status === 0) return dir;
  const name = createHash('sha256').update(dir).digest('hex').slice(0, 12);
  const elsewhere = durable ? join('/var/lib/wide-fern', name) : join(tmpdir(), `pg-${name}`);
  mkdirSync(elsewhere, { recursive: true, mode: 0o755 });
  return elsewhere;
}

export const freePort = (): Promise<number> =>
  new Promise((done, fail) => {
    const probe = createServer()
      .once('error', fail)
      .listen(0, '127.0.0.1', () => {
        const { port } = probe.address() as AddressInfo;
        probe.close(() => done(port));
      });
  });

/** What postmaster.pid tells: a server that lives, or nothing, after a stale file was taken away. */
function running(data: string): { pid: number; port: number; sockets: string } | undefined {
  const file = join(data, 'postmaster.pid');
  if (!existsSync(file)) return undefined;
  const lines = readFileSync(file, 'utf8').split('\n');
  const [pid = 0, , , port = 0] = lines.map(Number);
  const sockets = lines[4] ?? '';
  let command = '';
  try {
    command = readFileSync(`/proc/${pid}/cmdline`, 'utf8');
  } catch {
    // The process is gone.
  }
  if (command.includes(data) && port > 0) return { pid, port, sockets };
  // PostgreSQL clears the file of a dead process itself, but not one whose number another process has now.
  rmSync(file);
  return undefined;
}

/** Whether a process goes on; one that ended and that nobody took note of (where nothing does) is gone. */
const isAlive = (pid: number): boolean => {
  try {
    process.kill(pid, 0);
    return !/^State:\s+[ZX]/m.test(readFileSync(`/proc/${pid}/status`, 'utf8'));
  } catch {
    return false;
  }
};

const pause = (ms: number) => new Promise<void>((done) => setTimeout(done, ms));

async function gone(pid: number): Promise<void> {
  while (isAlive(pid)) await pause(50);
}

/** Makes an empty cluster in a folder of its own. */
function makeCluster(
  bin: string,
  data: string,
  as: Partial<Account> & { readonly cwd: string; readonly env: NodeJS.ProcessEnv },
  durable: boolean,
): void {
  // What an interrupted first start left is no cluster yet.
  rmSync(data, { recursive: true, force: true });
  // Not recursive: the mode would fall on the parents too.
  mkdirSync(data, { mode: 0o700 });
  if (as.uid !== undefined && as.gid !== undefined) chownSync(data, as.uid, as.gid);
  const init = ['-D', data, '-U', superuser, '-A', 'trust', '-E', 'UTF8', '--locale=C.UTF-8'];
  if (!durable) init.push('--no-sync');
  const made = spawnSync(join(bin, 'initdb'), [...init, '--no-instructions'], {
    ...as,
    encoding: 'utf8',
  });
  if (made.status !== 0) {
    rmSync(data, { recursive: true, force: true });
    throw new Error(`The database could not be made: ${made.stderr}`);
  }
}

/** Where a server listens: a folder with its socket, or loopback. */
const addressOf =
  (port: number, sockets: string | undefined) =>
  (database: string, role = superuser): string => {
    const host = sockets === undefined ? '127.0.0.1' : encodeURIComponent(sockets);
    return `postgresql://${role}@${host}:${port}/${database}`;
  };

type ServerProcess = ChildProcessByStdio<null, null, Readable>;

const hasEnded = (server: ServerProcess): boolean =>
  server.exitCode !== null || server.signalCode !== null;

/** What a server says when those who worked for the one before it have not all ended. */
const stillUsed = /pre-existing shared memory block|is another postmaster .* running/;

/** How long what was left of a server that was killed may take to end, in milliseconds. */
const patience = 60_000;

/**
 * Starts a server and waits until it takes connections. After one that was killed, those who worked for
 * it end by themselves when they next look up; until then no other may start, and it is tried again.
 */
async function ready(
  begin: () => ServerProcess,
  onWait: () => void,
  since = Date.now(),
): Promise<ServerProcess> {
  const server = begin();
  let log = '';
  server.stderr.setEncoding('utf8');
  const up = await new Promise<boolean>((done, fail) => {
    server.stderr.on('data', (text: string) => {
      log = (log + text).slice(-8000);
      if (log.includes('ready to accept connections')) done(true);
    });
    server.once('error', fail);
    server.once('close', (code) => {
      if (stillUsed.test(log) && Date.now() - since < patience) done(false);
      else fail(new Error(`PostgreSQL ended with ${code}:\n${log}`));
    });
  });
  if (up) return server;
  onWait();
  await pause(200);
  return ready(begin, onWait, since);
}

/**
 * Makes the cluster when there is none, and starts it; a server that an earlier process left running
 * is taken over.
 * @param options.durable whether an acknowledged write has to survive a power cut; without, it is faster.
 *   What is durable listens on a socket in a folder of its own only: no other account of the machine
 *   reaches it.
 */
export async function startCluster(options: {
  readonly bin: string;
  readonly dir: string;
  readonly durable?: boolean;
  /** Where one that ended listened, so that whoever used it finds the new one. */
  readonly again?: Pick<Cluster, 'port' | 'sockets'>;
  /** Called each time it could not start yet, as something of the one before goes on. */
  readonly onWait?: () => void;
}): Promise<Cluster> {
  const { bin, durable = false, onWait = () => undefined } = options;
  const who = serverAccount();
  const dir = reachable(resolve(options.dir), who, durable);
  const as = {
    ...who,
    cwd: '/',
    env: { PATH: process.env.PATH, LC_ALL: 'C.UTF-8', TZ: 'UTC' },
  };
  const data = join(dir, 'data');
  if (!existsSync(join(data, 'PG_VERSION'))) makeCluster(bin, data, as, durable);
  const found = running(data);
  if (found) {
    const ended = gone(found.pid);
    const stop = () => {
      if (isAlive(found.pid)) process.kill(found.pid, 'SIGINT');
      return ended;
    };
    const { pid, port, sockets } = found;
    const url = addressOf(port, durable ? sockets : undefined);
    return { pid, port, sockets, dir, found: true, url, ended, stop };
  }
  // A socket path may have at most 107 bytes, so it never lies inside the project.
  const { again } = options;
  const sockets = again?.sockets ?? mkdtempSync(join(tmpdir(), 'pg-'));
  mkdirSync(sockets, { recursive: true });
  chmodSync(sockets, 0o700);
  if (who) chownSync(sockets, who.uid, who.gid);
  const port = again?.port ?? (await freePort());
  const settings = [
    'max_connections=100',
    'shared_buffers=64MB',
    'timezone=UTC',
    'logging_collector=off',
  ];
  const quick = ['fsync=off', 'synchronous_commit=off', 'full_page_writes=off', 'autovacuum=off'];
  const flags = [...settings, ...(durable ? [] : quick)].flatMap((setting) => ['-c', setting]);
  // A group of its own: Ctrl-C at the terminal reaches us, and we stop it in order.
  const begin = () =>
    spawn(
      join(bin, 'postgres'),
      ['-D', data, '-h', durable ? '' : '127.0.0.1', '-p', String(port), '-k', sockets, ...flags],
      { ...as, stdio: ['ignore', 'ignore', 'pipe'], detached: true },
    );
  const server = await ready(begin, onWait);
  const ended = new Promise<void>((done) => {
    const over = () => {
      rmSync(sockets, { recursive: true, force: true });
      done();
    };
    if (hasEnded(server)) over();
    else server.once('exit', over);
  });
  const stop = () => {
    // «Fast»: ends connections, writes a checkpoint.
    if (!hasEnded(server)) server.kill('SIGINT');
    return ended;
  };
  const url = addressOf(port, durable ? sockets : undefined);
  return { port, sockets, pid: server.pid!, dir, found: false, url, ended, stop };
}
