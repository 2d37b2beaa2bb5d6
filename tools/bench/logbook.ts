/** Reading a logbook of ten years: from the server with 10,000 choirs in its database, and on the device. */
import { logbookSchema, type Session } from '@wide-fern/contract';
import { MikroORM } from '@mikro-orm/postgresql';
import { ormConfig } from '../../packages/server/src/db/orm.config';
import { showLogbook } from '../../packages/server/src/run/logbook';
import { readLogbook } from '@wide-fern/plan';
import { execute } from '../postgres/database';
import { throwawayCluster } from '../postgres/throwaway';
import { ensureDatabase } from '../postgres/database';
import { freePort } from '../postgres/cluster';
import { root } from '../root';
import { startServer } from '../start/server';
import { median, medianTime } from './median';

/** Milliseconds, medians. */
export interface LogbookFigures {
  readonly evenings: number;
  readonly segments: number;
  readonly kilobytes: number;
  /** From asking the server until all of it is here, and the database's part of it. */
  readonly fetched: number;
  readonly queried: number;
  /** From the data to what is shown, by weeks and by years. */
  readonly weeks: number;
  readonly years: number;
}

const asks = 21;

/** What was led on evenings that are there: one run each, and so many exercises in it. */
const ledOn = (name: string, exercises: number): string => `
  insert into run (id, choir_id, evening_id, item, started_at, ended_at, head, events, planned, allotted, real, created_at)
    select gen_random_uuid(), choir_id, id, 'warm-up', starts_at, starts_at + interval '15 minutes',
           '{}', 0, 880, 900, 910, now()
      from evening where name = '${name}';
  insert into led_once (run_id, place, choir_id, exercise, name, phase, purposes, top, managed,
      led_at, talk, coach, after, singing, planned)
    select r.id, n, r.choir_id, 'exercise-' || ((n * 7 + extract(doy from r.started_at)::int) % 60),
           'Exercise ' || n, (array['release','breath','onset','resonance','range','agility'])[1 + n % 6],
           '["low breath","long outflow"]', 62, 'most', r.started_at, 20, 5, 5, 60, 60
      from run r join evening e on e.id = r.evening_id, generate_series(0, ${exercises - 1}) n
     where e.name = '${name}';`;

/** Ten years of one choir, and 10,000 others with two evenings each. */
const written = (choir: string): string => `
  insert into choir (id, name, time_zone, created_at)
    select gen_random_uuid(), 'Many', 'UTC', now() from generate_series(1, 10000);
  insert into evening (id, choir_id, version, name, starts_at, ends_at, place, agenda, created_at)
    select gen_random_uuid(), choir.id, 1, 'many', now() - n * interval '7 days',
           now() - n * interval '7 days' + interval '2 hours', 'x', '[]', now()
      from choir, generate_series(1, 2) n where choir.name = 'Many';
  insert into evening (id, choir_id, version, name, starts_at, ends_at, place, agenda, created_at)
    select gen_random_uuid(), '${choir}', 1, 'ten years', now() - n * interval '7 days',
           now() - n * interval '7 days' + interval '2 hours', 'x', '[]', now()
      from generate_series(8, 507) n;
  ${ledOn('many', 12)}
  ${ledOn('ten years', 12)}
  analyze;`;

/** Measures the built server and what the page does with its answer. */
export async function measureLogbook(): Promise<LogbookFigures> {
  const cluster = await throwawayCluster();
  await ensureDatabase(cluster.url, 'bench');
  const port = await freePort();
  const server = await startServer(root, {
    DATABASE_URL: cluster.url('bench'),
    PORT: String(port),
    LOG_LEVEL: 'warn',
  });
  try {
    const url = `http://127.0.0.1:${port}`;
    const entered = await fetch(`${url}/api/session/demo`, { method: 'POST' });
    const headers = { cookie: entered.headers.getSetCookie()[0]!.split(';')[0]! };
    const { choirs } = (await entered.json()) as Session;
    const [{ id: choir } = { id: '' }] = choirs;
    await execute(cluster.url('bench'), written(choir));
    const times: number[] = [];
    let text = '';
    for (let i = 0; i < asks; i += 1) {
      const began = performance.now();
      const answer = await fetch(`${url}/api/choirs/${choir}/logbook?weeks=530`, { headers });
      text = await answer.text();
      times.push(performance.now() - began);
    }
    const orm = await MikroORM.init(ormConfig(cluster.url('bench')));
    const queries: number[] = [];
    for (let i = 0; i < asks; i += 1) {
      const began = performance.now();
      await showLogbook(orm.em.fork(), { id: choir }, 530);
      queries.push(performance.now() - began);
    }
    await orm.close(true);
    const book = logbookSchema.parse(JSON.parse(text));
    const today = new Date().toISOString().slice(0, 10);
    const dayOf = (moment: string): string => moment.slice(0, 10);
    const read = (span: 'week' | 'year', count: number) =>
      medianTime(asks, () => readLogbook(book, { span, count, today, dayOf }));
    return {
      evenings: book.runs.length,
      segments: book.led.length,
      kilobytes: Math.round(text.length / 1000),
      fetched: median(times),
      queried: median(queries),
      weeks: read('week', 8),
      years: read('year', 10),
    };
  } finally {
    await server.stop();
    await cluster.stop();
  }
}
