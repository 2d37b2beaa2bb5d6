/**
 * npm start, second half: database, build, server, and an orderly end. Everything that can be
 * expected to go wrong has a sentence of its own.
 */
import { mkdirSync, rmSync, statfsSync, writeFileSync } from 'node:fs';
import { createServer } from 'node:net';
import { join } from 'node:path';
import { isBuilt } from '../build/built';
import { findPostgres, startCluster, type Cluster } from '../postgres/cluster';
import { applicationRole, ensureDatabase, ensureRole } from '../postgres/database';
import { root } from '../root';
import { installPostgres } from '../setup/debian.mjs';
import { run } from '../setup/run.mjs';
import { endWith, say, showing, Trouble } from '../setup/say.mjs';
import { takeLock } from './lock';
import { databaseTrouble, folderTrouble, trustedProxies } from './troubles';
import { startServer, type RunningServer } from './server';

const dataFolder = process.env.DATA_DIR ?? join(root, '.data');
const databaseName = 'wide_fern';
const leastDisk = 300_000_000;

function wantedPort(): number {
  const port = Number(process.env.PORT ?? 4600);
  if (Number.isInteger(port) && port > 0 && port < 65_536) return port;
  throw new Trouble(`PORT is “${process.env.PORT}”; it has to be a number from 1 to 65535.`);
}

const isFree = (port: number): Promise<boolean> =>
  new Promise((done) => {
    const probe = createServer()
      .once('error', () => done(false))
      .listen(port, '127.0.0.1', () => probe.close(() => done(true)));
  });

/** A server whose starter was killed ends by itself, after what it was answering: that long it may hold the port. */
async function becomesFree(port: number, ms: number): Promise<boolean> {
  const until = Date.now() + ms;
  while (!(await isFree(port))) {
    if (Date.now() > until) return false;
    await new Promise((done) => setTimeout(done, 100));
  }
  return true;
}

/** Whatever is wrong with the data's folder is said before anything is tried in it. */
function checkFolder(): void {
  try {
    mkdirSync(dataFolder, { recursive: true });
    const probe = join(dataFolder, '.write-test');
    writeFileSync(probe, '');
    rmSync(probe);
  } catch (error) {
    throw folderTrouble(dataFolder, error);
  }
}

function checkDisk(): void {
  const { bavail, bsize } = statfsSync(dataFolder);
  if (bavail * bsize >= leastDisk) return;
  const left = Math.floor((bavail * bsize) / 1_000_000);
  throw new Trouble(
    `The disk is nearly full: ${left} MB are left, ${leastDisk / 1_000_000} MB are needed. ` +
      'Free some space and start again; nothing was changed.',
  );
}

async function postgresProgram(): Promise<string> {
  const found = findPostgres();
  if (found) return found;
  await installPostgres();
  const installed = findPostgres();
  if (installed) return installed;
  throw new Trouble('PostgreSQL was installed but cannot be found. Set PG_BIN to its bin folder.');
}

async function openDatabase(bin: string, again?: Cluster): Promise<Cluster> {
  const dir = join(dataFolder, 'postgres');
  try {
    const options = { bin, dir, durable: true, ...(again ? { again } : {}) };
    const cluster = await startCluster(options);
    if (cluster.found) say('A database left running by an earlier start is taken over.');
    if (cluster.dir !== dir) say(`The data lies in ${cluster.dir}.`);
    return cluster;
  } catch (error) {
    const text = String(error);
    throw databaseTrouble(dir, text);
  }
}

/** Keeps database and server up until told to stop. */
class Running {
  private stopping: Promise<void> | undefined;
  private restarts: number[] = [];

  constructor(
    private readonly bin: string,
    private cluster: Cluster,
    private server: RunningServer,
    private readonly port: number,
    private readonly release: () => void,
  ) {
    this.watchDatabase();
    this.watchServer();
  }

  /** Stops the server, then the database; a second time it does not wait. */
  stop(): Promise<void> {
    if (this.stopping) {
      this.server.child.kill('SIGKILL');
      return this.stopping;
    }
    say('\nStopping …');
    this.stopping = (async () => {
      await this.server.stop();
      await this.cluster.stop();
      this.release();
      say('Stopped. Everything is saved.');
    })();
    return this.stopping;
  }

  private watchDatabase(): void {
    void this.cluster.ended
      .then(async () => {
        if (this.stopping) return;
        this.countRestart('The database');
        say('The database ended unexpectedly; starting it again …');
        this.cluster = await openDatabase(this.bin, this.cluster);
        say('The database is back. What was acknowledged is there.');
        this.watchDatabase();
      })
      .catch((error: unknown) => this.giveUp(error));
  }

  private watchServer(): void {
    void this.server.ended
      .then(async () => {
        if (this.stopping) return;
        this.countRestart('The server');
        say('The server ended unexpectedly; starting it again …');
        this.server = await serve(this.cluster, this.port);
        say('The server is back.');
        this.watchServer();
      })
      .catch((error: unknown) => this.giveUp(error));
  }

  private countRestart(what: string): void {
    const now = Date.now();
    this.restarts = [...this.restarts.filter((at) => now - at < 60_000), now];
    if (this.restarts.length > 5)
      throw new Trouble(`${what} keeps ending; look at the messages above.`);
  }

  private async giveUp(error: unknown): Promise<void> {
    endWith(error);
    await this.stop();
    process.exit(1);
  }
}

const serve = (cluster: Cluster, port: number): Promise<RunningServer> =>
  startServer(root, {
    DATABASE_URL: cluster.url(databaseName, applicationRole),
    PORT: String(port),
    LOG_LEVEL: process.env.LOG_LEVEL ?? 'warn',
    MAIL_FOLDER: process.env.MAIL_FOLDER ?? join(dataFolder, 'mails'),
    DATA_DISK: cluster.dir,
  });

async function start(): Promise<void> {
  const port = wantedPort();
  trustedProxies(process.env.TRUSTED_PROXIES);
  const address = `http://127.0.0.1:${port}`;
  checkFolder();
  const lock = takeLock(join(dataFolder, 'start.lock'), address);
  if (lock.kind === 'held') {
    throw new Trouble(`Wide Fern runs already, at ${lock.by.address} (process ${lock.by.pid}).`);
  }
  if (lock.repaired) say('An earlier start ended without tidying up; that is repaired.');
  let cluster: Cluster | undefined;
  try {
    if (!(await becomesFree(port, lock.repaired ? 15_000 : 0))) {
      throw new Trouble(
        `Port ${port} is taken by another program. Choose another one: PORT=${port + 10} npm start`,
      );
    }
    checkDisk();
    const bin = await postgresProgram();
    cluster = await openDatabase(bin);
    await ensureDatabase(cluster.url, databaseName);
    await ensureRole(cluster.url, databaseName);
    if (!isBuilt(root)) {
      await showing('Building the pages', async () => {
        // In a process that ends: what a build needs of memory is not kept while the server runs.
        const args = ['--import', 'tsx', 'tools/build/main.ts'];
        const { code, output } = await run(process.execPath, args, { cwd: root });
        if (code !== 0)
          throw new Trouble(`The pages could not be built. It said:\n${output.slice(-2000)}`);
      });
    }
    const server = await serve(cluster, port);
    const running = new Running(bin, cluster, server, port, lock.release);
    const stop = () => void running.stop().then(() => process.exit(0));
    for (const signal of ['SIGINT', 'SIGTERM', 'SIGHUP'] as const) process.on(signal, stop);
    say(`\nWide Fern is ready: ${address}\nCtrl-C stops it.`);
  } catch (error) {
    await cluster?.stop();
    lock.release();
    throw error;
  }
}

process.on('SIGINT', () => undefined);
start().catch(endWith);
