import { spawn, type ChildProcess } from 'node:child_process';
import { chmodSync, existsSync, mkdtempSync, readFileSync, rmSync, writeFileSync } from 'node:fs';
import { createServer } from 'node:net';
import { tmpdir } from 'node:os';
import { join } from 'node:path';
import { expect, request, type APIRequestContext } from '@playwright/test';
import type { Evening, EveningSummary, Plan, Session } from '@wide-fern/contract';
import { emptyDocument } from '@wide-fern/plan';
import { freePort } from '../../../tools/postgres/cluster';
import { test } from './test';

const root = join(import.meta.dirname, '..', '..', '..');

/** npm start's second half, on data and a port of its own. */
class Started {
  said = '';
  readonly child: ChildProcess;
  readonly ended: Promise<number | null>;

  constructor(
    readonly data: string,
    readonly port: number,
  ) {
    this.child = spawn(process.execPath, ['--import', 'tsx', 'tools/start/main.ts'], {
      cwd: root,
      env: { ...process.env, DATA_DIR: data, PORT: String(port) },
      stdio: ['ignore', 'pipe', 'pipe'],
    });
    for (const stream of [this.child.stdout!, this.child.stderr!]) {
      stream.setEncoding('utf8');
      stream.on('data', (text: string) => (this.said += text));
    }
    this.ended = new Promise((done) => this.child.once('exit', done));
  }

  get address(): string {
    return `http://127.0.0.1:${this.port}`;
  }
  /** Waits until it says this; with all it said, at once when it ended without. */
  async says(words: string | RegExp): Promise<void> {
    await Promise.race([
      expect.poll(() => this.said, { timeout: 90_000 }).toMatch(words),
      this.ended.then((code) => {
        expect(this.said, `it ended with ${code} before it said so`).toMatch(words);
      }),
    ]);
  }
  /** How it ended; with all it said when it goes on for much too long. */
  async ends(): Promise<number | null> {
    let late: NodeJS.Timeout | undefined;
    const overdue = new Promise<never>((_, fail) => {
      late = setTimeout(() => fail(new Error(`It does not end. It said:\n${this.said}`)), 60_000);
    });
    try {
      return await Promise.race([this.ended, overdue]);
    } finally {
      clearTimeout(late);
    }
  }
  async stop(): Promise<void> {
    this.child.kill('SIGINT');
    try {
      await this.ends();
    } finally {
      this.child.kill('SIGKILL');
    }
  }
  /** The number of the server process: our child whose program is the bundle. */
  serverPid(): number {
    const children = readFileSync(
      `/proc/${this.child.pid}/task/${this.child.pid}/children`,
      'utf8',
    );
    const pid = children
      .trim()
      .split(' ')
      .map(Number)
      .find((one) => readFileSync(`/proc/${one}/cmdline`, 'utf8').includes('server.mjs'));
    return pid!;
  }
  postgresPid(): number {
    const file = join(this.data, 'postgres', 'data', 'postmaster.pid');
    return Number(readFileSync(file, 'utf8').split('\n')[0]);
  }
}

/** Whether a process goes on: of one that ended, unnoticed by who has to take note, no command is left. */
function runs(pid: number): boolean {
  try {
    return readFileSync(`/proc/${pid}/cmdline`, 'utf8') !== '';
  } catch {
    return false;
  }
}

/** A folder that PostgreSQL's own account can walk too. */
function dataFolder(): string {
  const folder = mkdtempSync(join(tmpdir(), 'wide-fern-start-'));
  chmodSync(folder, 0o755);
  return folder;
}

/** One evening of the demo, and a way to save numbered plans to it. */
async function openPlan(api: APIRequestContext) {
  const session = (await (await api.post('/api/session/demo')).json()) as Session;
  const choir = session.choirs[0]!.id;
  const { items } = (await (await api.get(`/api/choirs/${choir}/evenings`)).json()) as {
    items: EveningSummary[];
  };
  const { id } = items.at(-1)!;
  const evening = (await (await api.get(`/api/choirs/${choir}/evenings/${id}`)).json()) as Evening;
  const path = `/api/choirs/${choir}/evenings/${id}/plans/warm-up`;
  const read = async (): Promise<Plan | null> => {
    const answer = await api.get(path);
    return ((await answer.json()) as { plan: Plan | null }).plan;
  };
  /** Saves until the connection breaks; answers with the last version that was acknowledged. */
  const saveUntilItBreaks = async (from: number, afterFirst: () => void): Promise<number> => {
    let acknowledged = from;
    for (let i = 0; i < 2000; i += 1) {
      try {
        const answer = await api.put(path, {
          data: {
            version: acknowledged,
            document: emptyDocument(evening.tonight),
            edits: [],
          },
        });
        if (answer.status() !== 200) return acknowledged;
        acknowledged = ((await answer.json()) as Plan).version;
      } catch {
        return acknowledged;
      }
      if (i === 20) afterFirst();
    }
    throw new Error('Nothing broke.');
  };
  return { read, saveUntilItBreaks };
}

test('killed in the middle of saving, server or database, what was acknowledged is there', async () => {
  const data = dataFolder();
  const started = new Started(data, await freePort());
  let again: Started | undefined;
  try {
    await started.says('Wide Fern is ready');
    const api = await request.newContext({ baseURL: started.address });
    const plan = await openPlan(api);

    const first = await plan.saveUntilItBreaks(0, () =>
      process.kill(started.serverPid(), 'SIGKILL'),
    );
    expect(first).toBeGreaterThan(20);
    await started.says('The server is back');
    const afterServer = (await plan.read())!.version;
    // The last save may have been stored without its answer getting through; none may be missing.
    expect([first, first + 1]).toContain(afterServer);

    const second = await plan.saveUntilItBreaks(afterServer, () =>
      process.kill(started.postgresPid(), 'SIGKILL'),
    );
    expect(second).toBeGreaterThan(afterServer + 20);
    await started.says('The database is back');
    await expect
      .poll(async () => (await api.get('/api/health')).status(), { timeout: 15_000 })
      .toBe(200);
    const afterDatabase = (await plan.read())!.version;
    expect([second, second + 1]).toContain(afterDatabase);

    // The starter itself is killed: the next start takes over, and everything is there.
    const orphan = started.postgresPid();
    process.kill(started.child.pid!, 'SIGKILL');
    await started.ends();
    again = new Started(data, started.port);
    await again.says('Wide Fern is ready');
    expect(again.said).toMatch(/without tidying up; that is repaired/);
    expect(again.said).toMatch(/left running by an earlier start is taken over/);
    expect(again.postgresPid()).toBe(orphan);
    expect((await plan.read())!.version).toBe(afterDatabase);

    // A second start says where it runs already.
    const twin = new Started(data, started.port);
    expect(await twin.ends()).toBe(1);
    expect(twin.said).toContain(`Wide Fern runs already, at ${again.address}`);

    // Ctrl-C stops everything; nothing stays behind.
    again.child.kill('SIGINT');
    expect(await again.ends()).toBe(0);
    expect(again.said).toContain('Everything is saved');
    expect(existsSync(join(data, 'start.lock'))).toBe(false);
    expect(existsSync(join(data, 'postgres', 'data', 'postmaster.pid'))).toBe(false);
    expect(runs(orphan)).toBe(false);
    await api.dispose();
  } finally {
    await started.stop();
    await again?.stop();
    rmSync(data, { recursive: true, force: true });
  }
});

test('a taken port and a wrong one get a sentence; an unfinished first start repairs itself', async () => {
  const data = dataFolder();
  const port = await freePort();
  const other = createServer().listen(port, '127.0.0.1');
  try {
    const taken = new Started(data, port);
    expect(await taken.ends()).toBe(1);
    expect(taken.said).toContain(`Port ${port} is taken by another program.`);
    expect(taken.said).not.toContain('    at ');
    const wrong = new Started(data, 123_456);
    expect(await wrong.ends()).toBe(1);
    expect(wrong.said).toContain('has to be a number from 1 to 65535');

    // What an interrupted first start leaves: a data folder that is no cluster yet, and a lock.
    const started = new Started(data, await freePort());
    await started.says('Wide Fern is ready');
    started.child.kill('SIGTERM');
    expect(await started.ends()).toBe(0);
    rmSync(join(data, 'postgres', 'data', 'PG_VERSION'));
    writeFileSync(join(data, 'start.lock'), '{"pid":');
    const again = new Started(data, await freePort());
    await again.says('Wide Fern is ready');
    again.child.kill('SIGINT');
    expect(await again.ends()).toBe(0);
  } finally {
    other.close();
    rmSync(data, { recursive: true, force: true });
  }
});
