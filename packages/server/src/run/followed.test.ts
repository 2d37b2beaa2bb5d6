import {
  followedSchema,
  newPlanLinkSchema,
  runSchema,
  z,
  type Evening,
  type LinkUse,
  type SendRun,
  type SentAct,
} from '@wide-fern/contract';
import type { Express } from 'express';
import { randomUUID } from 'node:crypto';
import { get, type IncomingMessage, type Server } from 'node:http';
import type { AddressInfo } from 'node:net';
import request from 'supertest';
import { createApp } from '../app';
import { PlanLink } from '../db/entities/plan';
import { changeHub } from '../events/hub';
import { testDatabase } from '../testing/database';
import {
  addEvening,
  documentOf,
  planPath,
  signUp,
  testApp,
  type Person,
  keptLog,
  testSettings,
} from '../testing/people';

const database = testDatabase();

describe('a screen that follows by a code', () => {
  let app: Express;
  let person: Person;
  let evening: Evening;
  let path: string;
  let head: NonNullable<SendRun['head']>;
  const run = () => randomUUID();

  beforeAll(() => {
    app = testApp(database);
  });
  beforeEach(async () => {
    person = await signUp(app);
    evening = await addEvening(person);
    path = planPath(person.choir, evening.id);
    const document = documentOf(evening, ['coat-off', 'slate-steps']);
    head = { startedAt: new Date(Date.now() - 60_000).toISOString(), seconds: 895, document };
  });
  const make = async (use: LinkUse) =>
    newPlanLinkSchema.parse(
      (await person.agent.post(`${path}/links`).send({ note: '', use }).expect(201)).body,
    );
  const open = async (secret: string) =>
    z
      .object({ link: z.uuid() })
      .parse((await request(app).post('/api/run-link').send({ secret }).expect(200)).body).link;
  const show = async (link: string) =>
    followedSchema.parse((await request(app).get(`/api/followed/${link}`).expect(200)).body);
  const send = (id: string, acts: readonly SentAct[]) =>
    person.agent
      .put(`${path}/runs/${id}`)
      .send({ head, events: acts.map((act, n) => ({ id: `e${n}`, n, at: 1000 * n, act })) })
      .expect(200);
  const opened = (i: number): SentAct => ({
    ...{ kind: 'opened', segment: head.document.segments[i]!.id },
  });
  const step = (link: string, of: string, touch: string, id = randomUUID().slice(0, 20)) =>
    request(app).post(`/api/followed/${link}/runs/${of}/steps`).send({ id, touch });

  it('is let in by a short code however it is typed, and waits until it is begun', async () => {
    const { code } = await make('follow');
    expect(code).toMatch(/^[A-Z2-9]{4}-[A-Z2-9]{4}$/);
    const link = await open(` ${code.toLowerCase().replace('-', ' ')}`);
    expect(await show(link)).toMatchObject({ run: null, mayStep: false });
    const id = run();
    await send(id, [opened(0)]);
    expect((await show(link)).run).toMatchObject({ id, ledBy: '', endedAt: null });
    // The one that was begun last is shown.
    head = { ...head, startedAt: new Date().toISOString() };
    const later = run();
    await send(later, []);
    expect((await show(link)).run!.id).toBe(later);
  });

  it('is told nothing of single singers, and not what was noticed of whom', async () => {
    const { code } = await make('follow');
    const link = await open(code);
    const id = run();
    await send(id, [opened(0), { kind: 'marked', part: 'S', word: 'strained' }]);
    const seen = (await show(link)).run!;
    expect(seen.events.map(({ act }) => act.kind)).toEqual(['opened']);
    const { body } = (await request(app)
      .get(`/api/followed/${link}/run-events/${id}`)
      .expect(200)) as { body: unknown };
    const { events } = runSchema.pick({ events: true }).parse(body);
    expect(events.map(({ act }) => act.kind)).toEqual(['opened']);
  });

  it('may step only where it was allowed to, once for each touch, and never ends it', async () => {
    const looks = await open((await make('follow')).code);
    const steps = await open((await make('step')).code);
    const id = run();
    await send(id, [opened(0)]);
    await step(looks, id, 'next').expect(403);
    await step(steps, id, 'stop').expect(400);
    await step(steps, id, 'next', 'one').expect(200, { done: true });
    await step(steps, id, 'next', 'one').expect(200, { done: true });
    const { events } = (await show(steps)).run!;
    expect(events.map(({ id: named, act }) => [named, act.kind])).toEqual([
      ['e0', 'opened'],
      ['step-one', 'began'],
    ]);
    expect(events[1]!.at).toBeGreaterThan(50_000);
    // Whoever leads has it too.
    const led = (await person.agent.get(`${path}/runs/${id}`).expect(200)) as { body: unknown };
    expect(runSchema.parse(led.body).events).toHaveLength(2);
    await send(id, [opened(0), opened(1), { kind: 'began', key: 0 }]);
    for (let i = 0; i < 12; i += 1) await step(steps, id, 'next').expect(200);
    const after = (await show(steps)).run!;
    expect(after.endedAt).toBeNull();
    expect(after.events.at(-1)!.act.kind).toBe('began');
    await step(steps, randomUUID(), 'next').expect(404);
  });

  it('leads nowhere by a wrong code, by that of a sheet, when it was taken back and when it is over', async () => {
    const knock = (secret: string) => request(app).post('/api/run-link').send({ secret });
    await knock('AAAA-AAAA').expect(404);
    await knock((await make('sheet')).code).expect(404);
    const { id, code } = await make('follow');
    const link = await open(code);
    await request(app).post('/api/plan-link').send({ secret: code }).expect(404);
    await person.agent.delete(`${path}/links/${id}`).expect(204);
    await request(app).get(`/api/followed/${link}`).expect(404);
    await knock(code).expect(404);
    const other = await make('step');
    const em = database.orm.em.fork();
    await em.nativeUpdate(PlanLink, { id: other.id }, { expiresAt: new Date(Date.now() - 1) });
    await knock(other.code).expect(404);
    await request(app).get(`/api/followed/${other.id}`).expect(404);
  });

  it('is told when its run changes, and of nothing else, also by another process of the server', async () => {
    const link = await open((await make('follow')).code);
    const hub = changeHub(database.url, keptLog().log);
    const other = createApp({ ...testSettings(database), hub });
    const server = await new Promise<Server>((done) => {
      const one = other.listen(0, '127.0.0.1', () => done(one));
    });
    const { port } = server.address() as AddressInfo;
    const stream = await new Promise<IncomingMessage>((done, failed) => {
      get({ host: '127.0.0.1', port, path: `/api/followed/${link}/events` }, done).on(
        'error',
        failed,
      );
    });
    stream.setEncoding('utf8');
    try {
      await addEvening(person, '2030-06-01');
      const id = run();
      await send(id, [opened(0)]);
      await send(id, [opened(0), opened(1)]);
      let text = '';
      for await (const part of stream) {
        text += String(part);
        if (/event: change[^]*event: change[^]*\n\n/.test(text)) break;
      }
      const told = [...text.matchAll(/data: (.*)/g)].map(([, data]) => JSON.parse(data!) as object);
      const change = { id: expect.any(Number) as number, kind: 'run' };
      const happened = { evening: evening.id, item: 'warm-up', run: id, from: 1, to: 2 };
      expect(told).toMatchObject([
        change,
        { kind: 'happened', ...happened, events: [{ id: 'e0' }, { id: 'e1' }] },
        { ...change, run: id, events: 2 },
      ]);
      expect(Object.keys(told[0]!)).toEqual(['id', 'kind']);
      expect(Object.keys(told[2]!)).toEqual(['id', 'kind', 'run', 'events']);
    } finally {
      stream.destroy();
      server.close();
      await hub.close();
    }
  });
});
