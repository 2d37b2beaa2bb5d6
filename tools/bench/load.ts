/** How many answers a second the server gives, beside an empty answer of the same kind of server. */
import { Agent, createServer, request, type Server } from 'node:http';
import type { AddressInfo } from 'node:net';
import type { Evening, EveningSummary, Plan, Session, StoredPlan } from '@wide-fern/contract';
import autocannon, { type Options } from 'autocannon';
import { throwawayCluster } from '../postgres/throwaway';
import { ensureDatabase, execute } from '../postgres/database';
import { freePort } from '../postgres/cluster';
import { root } from '../root';
import { memoryOf } from './memory';
import { startServer } from '../start/server';

/** So many connections ask at once, each again as soon as it is answered. */
const connections = 20;
const seconds = 8;

/** Answers a second, and within how long 97 of 100 came (95 of saves), in ms. */
export interface Rate {
  readonly perSecond: number;
  readonly p95: number;
}

async function rate(options: Options): Promise<Rate> {
  const result = await autocannon({ connections, duration: seconds, ...options });
  if (result.errors + result.non2xx > 0) {
    throw new Error(`${result.non2xx} answers were none, ${result.errors} failed.`);
  }
  return { perSecond: result.requests.average, p95: result.latency.p97_5 };
}

/** An Express application that answers nothing, in a process of its own. */
async function emptyAnswer(): Promise<Rate> {
  const { default: express } = await import('express');
  const app = express();
  app.get('/', (_request, response) => {
    response.json({});
  });
  const server: Server = createServer(app);
  await new Promise<void>((done) => server.listen(0, '127.0.0.1', done));
  const { port } = server.address() as AddressInfo;
  try {
    return await rate({ url: `http://127.0.0.1:${port}/` });
  } finally {
    server.closeAllConnections();
    server.close();
  }
}

/** Choirs that are only there, with their parts and members, so that tables are long. */
const manyChoirs = `
  insert into account (id, email, name, password_hash, created_at)
    select gen_random_uuid(), 'many-' || n || '@example.org', 'Many', 'x', now()
    from generate_series(1, 10000) n;
  insert into choir (id, name, time_zone, created_at)
    select id, name, 'UTC', now() from account where email like 'many-%';
  insert into member (id, choir_id, account_id, role, created_at)
    select gen_random_uuid(), id, id, 'director', now() from choir where name = 'Many';
  insert into voice_part (id, choir_id, code, one, many, position, octave,
      comfort_low, comfort_high, reach_low, reach_high, change_low, change_high)
    select gen_random_uuid(), choir.id, code, code, code, position, 0, 60, 72, 58, 74, 64, 66
    from choir, (values ('S', 0), ('A', 1), ('T', 2), ('B', 3)) part (code, position)
    where name = 'Many';
  insert into evening (id, choir_id, version, starts_at, ends_at, place, agenda, created_at)
    select gen_random_uuid(), id, 1, now(), now() + interval '2 hours', 'x', '[]', now()
    from choir where name = 'Many';
  analyze;`;

/** What is measured of the server. */
export interface Load {
  readonly empty: Rate;
  readonly session: Rate;
  readonly evening: Rate;
  /** What is chosen for a segment, stored as the page does. */
  readonly save: Rate;
  /** The whole document, as where segments come and go. */
  readonly whole: Rate;
}

async function measured(url: string): Promise<Omit<Load, 'empty'>> {
  const entered = await fetch(`${url}/api/session/demo`, { method: 'POST' });
  const cookie = entered.headers.getSetCookie()[0]!.split(';')[0]!;
  const headers = { cookie, 'content-type': 'application/json' };
  const { choirs } = (await entered.json()) as Session;
  const at = `${url}/api/choirs/${choirs[0]!.id}`;
  const get = async <T>(address: string): Promise<T> =>
    (await (await fetch(address, { headers })).json()) as T;
  const { items } = await get<{ items: EveningSummary[] }>(`${at}/evenings`);
  const coming = items.find(({ endsAt }) => Date.parse(endsAt) > Date.now())!;
  const evening = await get<Evening>(`${at}/evenings/${coming.id}`);
  const session = await rate({ url: `${url}/api/session`, headers });
  const read = await rate({ url: `${at}/evenings/${coming.id}`, headers });
  // Each connection saves a plan of its own, over the version before, as windows do.
  const evenings = items.slice(0, connections);
  const { plan } = await get<{ plan: Plan }>(`${at}/evenings/${coming.id}/plans/warm-up`);
  const document = { ...plan.document, tonight: evening.tonight };
  const plans = evenings.map(({ id }) => `${at}/evenings/${id}/plans/warm-up`);
  // Written once: whoever asks takes as little of the machine as possible.
  const all = `,"edits":[],"document":${JSON.stringify(document)}}`;
  const whole = await savesPerSecond(plans, headers, (path, version) => ({
    ...{ path, method: 'PUT' },
    body: `{"version":${version}${all}`,
  }));
  const { id, exercise } = document.segments[0]!;
  const choosing = (path: string, version: number): Saving => {
    const value = version % 60;
    return {
      ...{ path: `${path}/changes`, method: 'POST' },
      body: JSON.stringify({
        version,
        changes: [{ kind: 'choose', id, choices: { talk: value } }],
        edits: [{ code: 'chosen', name: exercise.name, field: 'talk', value }],
      }),
    };
  };
  // A server that has run for a while, as it does: the first seconds are not counted.
  await savesPerSecond(plans, headers, choosing);
  const save = await savesPerSecond(plans, headers, choosing);
  return { session, evening: read, save, whole };
}

interface Saving {
  readonly path: string;
  readonly method: string;
  readonly body: string;
}

/** Asks with as little of the machine as possible; answers with what was answered. */
const sent = <T>(
  agent: Agent,
  headers: Record<string, string>,
  { path, method, body }: Saving,
): Promise<T> =>
  new Promise((done, failed) => {
    const length = String(Buffer.byteLength(body));
    const asked = request(
      path,
      { agent, method, headers: { ...headers, 'content-length': length } },
      (answer) => {
        let text = '';
        answer.setEncoding('utf8').on('data', (chunk: string) => {
          text += chunk;
        });
        answer.on('end', () => {
          if (answer.statusCode === 200) done(JSON.parse(text) as T);
          else failed(new Error(`A save was answered with ${answer.statusCode}: ${text}`));
        });
      },
    );
    asked.on('error', failed);
    asked.end(body);
  });

/** Saves to several plans at once, each over its own last version. */
async function savesPerSecond(
  plans: readonly string[],
  headers: Record<string, string>,
  saving: (plan: string, version: number) => Saving,
): Promise<Rate> {
  const agent = new Agent({ keepAlive: true });
  const until = performance.now() + seconds * 1000;
  const times: number[] = [];
  await Promise.all(
    plans.map(async (plan) => {
      const stored = (await (await fetch(plan, { headers })).json()) as { plan: Plan | null };
      let version = stored.plan?.version ?? 0;
      while (performance.now() < until) {
        const began = performance.now();
        ({ version } = await sent<StoredPlan>(agent, headers, saving(plan, version)));
        times.push(performance.now() - began);
      }
    }),
  );
  agent.destroy();
  times.sort((a, b) => a - b);
  return {
    perSecond: times.length / seconds,
    p95: times[Math.floor(times.length * 0.95)] ?? Infinity,
  };
}

/** Thirty files of 20 MB at the same time, from fifteen choirs: the most memory the server held, in MB. */
async function uploadsAtOnce(url: string, pid: number): Promise<number> {
  const bytes = new Uint8Array(20_000_000);
  const doors = await Promise.all(
    Array.from({ length: 15 }, async () => {
      const entered = await fetch(`${url}/api/session/demo`, { method: 'POST' });
      const { choirs } = (await entered.json()) as Session;
      return {
        cookie: entered.headers.getSetCookie()[0]!.split(';')[0]!,
        at: `${url}/api/choirs/${choirs[0]!.id}/score-files?name=large.musicxml`,
      };
    }),
  );
  let most = 0;
  const watch = setInterval(() => {
    most = Math.max(most, memoryOf(pid));
  }, 20);
  const answers = await Promise.all(
    [...doors, ...doors].map(({ at, cookie }) =>
      fetch(at, {
        method: 'POST',
        headers: { cookie, 'content-type': 'application/octet-stream' },
        body: bytes,
      }),
    ),
  );
  clearInterval(watch);
  const wrong = answers.find(({ status }) => status !== 201);
  if (wrong) throw new Error(`An upload was answered with ${wrong.status}.`);
  return most;
}

/** Measures the built server on an empty database, and again with 10,000 choirs in it. */
export async function measureLoad(): Promise<{
  readonly few: Load;
  readonly many: Load;
  readonly uploads: number;
}> {
  const cluster = await throwawayCluster();
  await ensureDatabase(cluster.url, 'bench');
  const port = await freePort();
  process.env.MOST_CALLS = '100000';
  const server = await startServer(root, {
    DATABASE_URL: cluster.url('bench'),
    PORT: String(port),
    LOG_LEVEL: 'warn',
  });
  try {
    const url = `http://127.0.0.1:${port}`;
    const few = { empty: await emptyAnswer(), ...(await measured(url)) };
    await execute(cluster.url('bench'), manyChoirs);
    const many = { empty: await emptyAnswer(), ...(await measured(url)) };
    const uploads = await uploadsAtOnce(url, server.child.pid!);
    return { few, many, uploads };
  } finally {
    await server.stop();
    await cluster.stop();
  }
}
