import {
  ledOnceSchema,
  runSchema,
  runSummarySchema,
  z,
  type Evening,
  type SendRun,
  type SentAct,
  type SentEvent,
} from '@wide-fern/contract';
import { runState } from '@wide-fern/core';
import { ledSegments } from '@wide-fern/plan';
import type { Express } from 'express';
import { randomUUID } from 'node:crypto';
import { ChoirChange } from '../db/entities/change';
import { testDatabase } from '../testing/database';
import {
  addEvening,
  documentOf,
  join,
  planPath,
  signUp,
  testApp,
  type Person,
} from '../testing/people';

const database = testDatabase();
const event = (n: number, seconds: number, act: SentAct): SentEvent => ({
  ...{ id: `e${n}`, n, at: 1000 * seconds, act },
});

describe('a run', () => {
  let app: Express;
  let person: Person;
  let evening: Evening;
  let path: string;
  let run: string;
  let head: NonNullable<SendRun['head']>;

  beforeAll(() => {
    app = testApp(database);
  });
  beforeEach(async () => {
    person = await signUp(app);
    evening = await addEvening(person);
    path = `${planPath(person.choir, evening.id)}/runs`;
    run = randomUUID();
    const document = documentOf(evening, ['coat-off', 'slate-steps']);
    head = { startedAt: '2026-12-01T18:30:05.000Z', seconds: 895, document };
  });
  const [first, second] = [0, 1].map((i) => () => head.document.segments[i]!.id) as [
    () => string,
    () => string,
  ];
  const events = (): SentEvent[] => [
    event(0, 0, { kind: 'opened', segment: first() }),
    event(1, 20, { kind: 'began', key: 0 }),
    event(2, 90, { kind: 'opened', segment: second() }),
    event(3, 95, { kind: 'marked', part: 'S', word: 'strained here' }),
    event(4, 100, { kind: 'ended' }),
  ];
  const send = (body: SendRun, who = person, at = run) => who.agent.put(`${path}/${at}`).send(body);
  const show = async (who = person) =>
    runSchema.parse((await who.agent.get(`${path}/${run}`).expect(200)).body);

  it('is kept as it came, whichever way it came: in parts, twice, the last first', async () => {
    const all = events();
    await send({ head, events: [all[3]!, all[0]!] }).expect(200, { events: 2 });
    await send({ events: [all[1]!, all[0]!] }).expect(200, { events: 3 });
    await Promise.all([send({ events: all }).expect(200), send({ events: all }).expect(200)]);
    await send({ events: [] }).expect(200, { events: 5 });
    const kept = await show();
    expect(kept.events).toEqual(all);
    const led = ledSegments(kept.head.document);
    expect(runState(led, kept.events)).toEqual(runState(ledSegments(head.document), all));
  });

  it('tells others of each touch, and that something was learned only once it is over', async () => {
    const told = async () =>
      (
        await database.orm.em
          .fork()
          .find(ChoirChange, { choir: person.choir }, { orderBy: { id: 'asc' } })
      ).map(({ kind }) => kind);
    const before = (await told()).length;
    const since = async () => (await told()).slice(before);
    const all = events();
    await send({ head, events: all.slice(0, 2) }).expect(200);
    await send({ events: all.slice(2, 4) }).expect(200);
    expect(await since()).toEqual(['run', 'run']);
    await send({ events: all.slice(4) }).expect(200);
    expect(await since()).toEqual(['run', 'run', 'run', 'led']);
    // What is said afterwards, in its review, is learned too.
    await send({
      events: [event(5, 130, { kind: 'managed', how: 'all', segment: second() })],
    }).expect(200);
    expect((await since()).slice(4)).toEqual(['run', 'led']);
    // The end is taken back: what was learned is not any more.
    await send({ events: [event(6, 140, { kind: 'undone', event: 'e4' })] }).expect(200);
    expect((await since()).slice(6)).toEqual(['run', 'led']);
  });

  it('says when it began, when it ended and who led it', async () => {
    const summary = async () =>
      z.array(runSummarySchema).parse((await person.agent.get(path).expect(200)).body);
    expect(await summary()).toEqual([]);
    await send({ head, events: events().slice(0, 3) }).expect(200);
    expect(await summary()).toEqual([
      { id: run, startedAt: head.startedAt, endedAt: null, ledBy: 'Wren Aldous' },
    ]);
    await send({ events: events() }).expect(200);
    expect((await summary())[0]!.endedAt).toBe('2026-12-01T18:31:45.000Z');
    // An end that was undone is none.
    await send({ events: [event(5, 101, { kind: 'undone', event: 'e4' })] }).expect(200);
    expect((await summary())[0]!.endedAt).toBeNull();
  });

  it('keeps what it began with: a later beginning changes nothing', async () => {
    await send({ head, events: [] }).expect(200);
    const other = documentOf(evening, ['pulley']);
    await send({ head: { ...head, document: other }, events: [] }).expect(200);
    expect((await show()).head).toEqual(head);
  });

  it('is not here for whoever sends only what is new of one that is not here', async () => {
    await send({ events: events() }).expect(404);
    await send({ head, events: [] }).expect(200);
    // The same id under another warm-up is another's.
    const other = await addEvening(person);
    await person.agent
      .put(`${planPath(person.choir, other.id)}/runs/${run}`)
      .send({ head, events: [] })
      .expect(404);
  });

  it('is sent by those who lead, and seen by a reader without what was noticed of whom', async () => {
    await send({ head, events: events() }).expect(200);
    const reader = await signUp(app);
    await join(person, reader, 'reader');
    await send({ events: [] }, reader).expect(403);
    const seen = await show(reader);
    expect(seen.events.map(({ act }) => act.kind)).toEqual(['opened', 'began', 'opened', 'ended']);
    await (await signUp(app)).agent.get(`${path}/${run}`).expect(404);
  });

  it('tells what each exercise took, once it is over, and anew when that changes', async () => {
    const took = async () =>
      z
        .array(ledOnceSchema)
        .parse((await person.agent.get(`/api/choirs/${person.choir}/led`).expect(200)).body)
        .map(({ exercise, talk, singing, after }) => ({ exercise, talk, done: singing + after }));
    await send({ head, events: events().slice(0, 4) }).expect(200);
    expect(await took()).toEqual([]);
    await send({ events: events() }).expect(200);
    // Of what was opened, what was done too.
    expect(await took()).toEqual([{ exercise: 'coat-off', talk: 20, done: 70 }]);
    await send({ events: [event(5, 101, { kind: 'undone', event: 'e1' })] }).expect(200);
    expect(await took()).toEqual([]);
  });

  it('is bounded: events of one, and runs of one warm-up', async () => {
    await send({ head, events: [] }).expect(200);
    const many = (from: number) =>
      Array.from({ length: 1500 }, (_, i) => event(i, i, { kind: 'again' })).map((one) => ({
        ...one,
        id: `m${from + Number(one.n)}`,
      }));
    await send({ events: many(0) }).expect(200);
    const { body } = await send({ events: many(1500) }).expect(409);
    expect(JSON.stringify(body)).toContain('2000 touches');
    await send({ events: [] }).expect(200, { events: 1500 });
    for (let i = 1; i < 40; i += 1)
      await send({ head, events: [] }, person, randomUUID()).expect(200);
    await send({ head, events: [] }, person, randomUUID()).expect(409);
  });

  it('is refused where what happened is not known', async () => {
    const wrong = [
      { ...event(0, 0, { kind: 'again' }), at: -1 },
      { ...event(0, 0, { kind: 'again' }), act: { kind: 'flown' } },
      { ...event(0, 0, { kind: 'again' }), id: '' },
    ];
    for (const one of wrong) {
      await person.agent
        .put(`${path}/${run}`)
        .send({ head, events: [one] })
        .expect(400);
    }
  });
});
