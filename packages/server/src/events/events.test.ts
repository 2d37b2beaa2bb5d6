import { get, type IncomingMessage, type Server } from 'node:http';
import type { AddressInfo } from 'node:net';
import { choirEventSchema, type ChoirEvent } from '@wide-fern/contract';
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
    return stream;
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
    await database.orm.em.execute(
      `update choir_change set at = now() - interval '2 days' where choir_id = ?`,
      [person.choir],
    );
    const stream = await follow(port, { after: 1 });
    expect((await stream.next()).event).toBe('missed');
    const evening = await addEvening(person, '2030-06-11');
    expect(await stream.change()).toMatchObject({ evening: evening.id });
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
