import { get, type IncomingMessage, type Server } from 'node:http';
import type { AddressInfo } from 'node:net';
import { randomUUID } from 'node:crypto';
import {
  choirEventSchema,
  happenedSchema,
  type ChoirEvent,
  type SentAct,
  type SentEvent,
} from '@wide-fern/contract';
import type { Express } from 'express';
import { createApp } from '../app';
import { testDatabase } from '../testing/database';
import {
  addEvening,
  documentOf,
  keptLog,
  planPath,
  signUp,
  testApp,
  type Person,
  testSettings,
} from '../testing/people';
import { changeHub } from './hub';

const database = testDatabase();

/** A stream that is read event by event. */
class Stream {
  private text = '';
  private wake: () => void = () => undefined;

  constructor(
    readonly response: IncomingMessage,
    readonly close: () => void,
  ) {
    response.setEncoding('utf8');
    response.on('data', (part: string) => {
      this.text += part;
      this.wake();
    });
    response.on('close', () => this.wake());
  }

  /** The next block that is an event: its name and what it says. */
  async next(): Promise<{ event: string; data: string; id: string | undefined }> {
    for (;;) {
      const end = this.text.indexOf('\n\n');
      if (end < 0) {
        if (this.response.closed) throw new Error('The stream has ended.');
        await new Promise<void>((done) => (this.wake = done));
        continue;
      }
      const lines = this.text.slice(0, end).split('\n');
      this.text = this.text.slice(end + 2);
      const field = (name: string) =>
        lines.find((line) => line.startsWith(`${name}: `))?.slice(name.length + 2);
      const event = field('event');
      if (event) return { event, data: field('data') ?? '', id: field('id') };
    }
  }

  async change(): Promise<ChoirEvent> {
    const { event, data, id } = await this.next();
    expect(event).toBe('change');
    const change = choirEventSchema.parse(JSON.parse(data));
    expect(id).toBe(String(change.id));
    return change;
  }
}

describe('changes of a choir', () => {
  const servers: Server[] = [];
  const streams: Stream[] = [];
  let app: Express;
  let person: Person;
  let cookie: string;

  const listen = async (one: Express): Promise<number> => {
    const server = await new Promise<Server>((done) => {
      const opened = one.listen(0, '127.0.0.1', () => done(opened));
    });
    servers.push(server);
    return (server.address() as AddressInfo).port;
  };
  const follow = async (
    port: number,
    { after, headers = {}, as = cookie }: { after?: number; headers?: object; as?: string } = {},
  ): Promise<Stream> => {
    const query = after === undefined ? '' : `?after=${after}`;
    const path = `/api/choirs/${person.choir}/events${query}`;
    const stream = await new Promise<Stream>((done, failed) => {
      const request = get(
        { host: '127.0.0.1', port, path, headers: { cookie: as, ...headers } },
        (response) => done(new Stream(response, () => request.destroy())),
      ).on('error', failed);
    });
    streams.push(stream);
    const isMember = stream.response.statusCode === 200;
    if (isMember && after === undefined && !('last-event-id' in headers)) {
      // Nobody knows what was stored since the page was fetched: it is fetched anew, and goes on from there.
      expect(await stream.next()).toMatchObject({ event: 'missed', id: await latest() });
    }
    return stream;
  };
  const latest = async (): Promise<string> => {
    const [row] = await database.orm.em.execute<{ last: string | null }[]>(
      'select max(id) as last from choir_change where choir_id = ?',
      [person.choir],
    );
    return row?.last ?? '0';
  };
  const cookieOf = async (one: Person): Promise<string> => {
    const { headers } = await one.agent.post('/api/session').send({
      email: one.email,
      password: 'a long enough password',
    });
    return String(headers['set-cookie']).split(';')[0]!;
  };

  beforeEach(async () => {
    app = testApp(database);
    person = await signUp(app);
    cookie = await cookieOf(person);
  });
  afterEach(() => {
    for (const stream of streams.splice(0)) stream.close();
    for (const server of servers.splice(0)) server.close();
  });

  it('are told as they are stored: what kind of thing, which one, once a transaction, in order', async () => {
    const stream = await follow(await listen(app));
    expect(stream.response.headers['content-type']).toBe('text/event-stream');
    const evening = await addEvening(person);
    const first = await stream.change();
    expect(first).toMatchObject({ kind: 'evening', evening: evening.id });
    await person.agent
      .put(planPath(person.choir, evening.id))
      .send({ version: 0, document: documentOf(evening, ['pulley']), edits: [] })
      .expect(200);
    const second = await stream.change();
    expect(second).toMatchObject({ kind: 'plan', evening: evening.id, item: 'warm-up' });
    expect(second.id).toBeGreaterThan(first.id);
    // Two thousand singers are one change.
    const singers = Array.from({ length: 2000 }, (_, i) => ({
      name: `Singer ${i}`,
      part: 'S',
      also: [],
      comfort: null,
      reach: null,
      lightTop: null,
      states: [],
      onLeave: false,
      notes: '',
    }));
    await person.agent
      .post(`/api/choirs/${person.choir}/singers`)
      .send({ add: singers, change: [] })
      .expect(201);
    await person.agent.put(`/api/choirs/${person.choir}`).send({ phraseSeconds: 11 }).expect(200);
    expect((await stream.change()).kind).toBe('singers');
    expect((await stream.change()).kind).toBe('choir');
  });

  it('of a run that goes on come with what happened, but for what not everybody may know', async () => {
    const evening = await addEvening(person);
    const document = documentOf(evening, ['coat-off', 'slate-steps']);
    const run = randomUUID();
    const of = (n: number, act: SentAct): SentEvent => ({ id: `e${n}`, n, at: 1000 * n, act });
    const send = (...events: readonly SentEvent[]) =>
      person.agent
        .put(`${planPath(person.choir, evening.id)}/runs/${run}`)
        .send({
          head: { startedAt: '2026-12-01T18:30:05.000Z', seconds: 895, document },
          events,
        })
        .expect(200);
    const first = of(0, { kind: 'opened', segment: document.segments[0]!.id });
    await send(first);
    const stream = await follow(await listen(app));
    const happened = async () => {
      const { event, data, id } = await stream.next();
      // It is no change of its own: whoever comes back goes on from the last change.
      expect([event, id]).toEqual(['happened', undefined]);
      return happenedSchema.parse(JSON.parse(data));
    };
    const place = { evening: evening.id, item: 'warm-up', run };

    const second = of(1, { kind: 'began', key: 0 });
    await send(first, second);
    expect(await happened()).toEqual({
      ...{ kind: 'happened', ...place, from: 1, to: 2, events: [first, second] },
    });
    expect(await stream.change()).toMatchObject({ kind: 'run', ...place, events: 2 });
    // What was noticed of whom is asked for by whoever may know it.
    await send(of(2, { kind: 'marked', part: 'S', word: 'strained here' }));
    expect(await stream.change()).toMatchObject({ kind: 'run', ...place, events: 3 });
    // Over: the list of runs is another too.
    await send(of(3, { kind: 'ended' }));
    const over = await stream.change();
    expect(over).toMatchObject({ kind: 'run', evening: evening.id });
    expect(over.run).toBeUndefined();
  });

  it('are heard from every server process, and not by another choir', async () => {
    const otherHub = changeHub(database.url, keptLog().log);
    const other = createApp({ ...testSettings(database), hub: otherHub });
    const there = await follow(await listen(other));
    const stranger = await signUp(app);
    await addEvening(stranger);
    const own = await addEvening(person);
    expect(await there.change()).toMatchObject({ kind: 'evening', evening: own.id });
    there.close();
    await otherHub.close();
  });

  it('that were missed in a break are told afterwards, from the last one seen', async () => {
    const port = await listen(app);
    const before = await follow(port);
    await addEvening(person);
    const seen = await before.change();
    before.close();
    const missed = await addEvening(person, '2030-06-04');
    const byAddress = await follow(port, { after: seen.id });
    expect(await byAddress.change()).toMatchObject({ evening: missed.id });
    const byHeader = await follow(port, {
      after: 1,
      headers: { 'last-event-id': String(seen.id) },
    });
    expect(await byHeader.change()).toMatchObject({ evening: missed.id });
  });

  it('that are not kept any more are told as missed, and then go on', async () => {
    const port = await listen(app);
    await addEvening(person);
    const first = Number(await latest());
    await addEvening(person, '2030-06-04');
    const last = await latest();
    await database.orm.em.execute(
      `update choir_change set at = now() - interval '2 days' where choir_id = ?`,
      [person.choir],
    );
    const stream = await follow(port, { after: first });
    expect(await stream.next()).toMatchObject({ event: 'missed', id: last });
    // Whoever saw the last one has missed nothing, however long ago it was.
    const quiet = await follow(port, { after: Number(last) });
    const evening = await addEvening(person, '2030-06-11');
    expect(await stream.change()).toMatchObject({ evening: evening.id });
    expect(await quiet.change()).toMatchObject({ evening: evening.id });
  });

  it('in a break before any was heard are told too', async () => {
    const port = await listen(app);
    const fresh = await follow(port);
    fresh.close();
    const from = await latest();
    const evening = await addEvening(person);
    const back = await follow(port, { headers: { 'last-event-id': from } });
    expect(await back.change()).toMatchObject({ kind: 'evening', evening: evening.id });
  });

  it('are told again after the connection to the database broke: some may have been missed', async () => {
    const stream = await follow(await listen(app));
    await database.orm.em.execute(
      `select pg_terminate_backend(pid) from pg_stat_activity where datname = current_database() and query = 'listen choir_change'`,
    );
    expect((await stream.next()).event).toBe('missed');
    const evening = await addEvening(person);
    expect(await stream.change()).toMatchObject({ evening: evening.id });
  });

  it('are for members only', async () => {
    const port = await listen(app);
    const stranger = await signUp(app);
    const { response } = await follow(port, { as: await cookieOf(stranger) });
    expect(response.statusCode).toBe(404);
    expect((await follow(port, { as: '' })).response.statusCode).toBe(401);
  });
});
