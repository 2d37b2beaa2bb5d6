import { logbookSchema, type Evening, type SendRun, type SentAct } from '@wide-fern/contract';
import { ledSeconds } from '@wide-fern/core';
import { ledSegments } from '@wide-fern/plan';
import type { Express } from 'express';
import { randomUUID } from 'node:crypto';
import { testDatabase } from '../testing/database';
import {
  addEvening,
  documentOf,
  join,
  planPath,
  signUp,
  testApp,
  typedPiece,
  type Person,
} from '../testing/people';
import { endLeftRuns, workOutRuns } from './leftRuns';

const database = testDatabase();
const week = 7 * 86_400_000;

describe('the logbook', () => {
  let app: Express;
  let person: Person;
  let evening: Evening;
  /** A day of last week. */
  const day = new Date(Date.now() - week).toISOString().slice(0, 10);

  beforeAll(() => {
    app = testApp(database);
  });
  beforeEach(async () => {
    person = await signUp(app);
    evening = await addEvening(person, day);
  });

  async function lead(acts: readonly (readonly [number, SentAct])[], startedAt: string) {
    const run = randomUUID();
    const document = documentOf(evening, ['coat-off', 'slate-steps']);
    const body: SendRun = {
      head: { startedAt, seconds: 895, document },
      events: acts.map(([at, act], n) => ({
        id: `${run.slice(0, 8)}-${n}`,
        n,
        at: 1000 * at,
        act,
      })),
    };
    await person.agent
      .put(`${planPath(person.choir, evening.id)}/runs/${run}`)
      .send(body)
      .expect(200);
    return { run, document };
  }
  const acts = ({ segments }: ReturnType<typeof documentOf>): (readonly [number, SentAct])[] => [
    [0, { kind: 'opened', segment: segments[0]!.id }],
    [20, { kind: 'began', key: 0 }],
    [90, { kind: 'opened', segment: segments[1]!.id }],
    [100, { kind: 'began', key: 0 }],
    [115, { kind: 'began', key: 1 }],
    [130, { kind: 'managed', how: 'most' }],
  ];
  const ended = [140, { kind: 'ended' }] as const;
  const read = async (weeks?: number, who = person) =>
    logbookSchema.parse(
      (
        await who.agent
          .get(`/api/choirs/${person.choir}/logbook`)
          .query(weeks === undefined ? {} : { weeks })
          .expect(200)
      ).body,
    );

  it('tells what was led on which evening, for how long, how high, and how it went', async () => {
    const document = documentOf(evening, ['coat-off', 'slate-steps']);
    const { run } = await lead([...acts(document), ended], evening.startsAt);
    const book = await read();
    expect(book.evenings).toEqual([{ id: evening.id, startsAt: evening.startsAt, name: null }]);
    const planned = ledSegments(document).reduce((sum, one) => sum + ledSeconds(one), 0);
    expect(book.runs).toEqual([
      {
        ...{ id: run, evening: evening.id, item: 'warm-up', startedAt: evening.startsAt },
        ...{ allotted: 895, planned: expect.closeTo(planned, 6) as number, real: 140 },
      },
    ]);
    const tonic = ledSegments(document)[1]!.keys[1]!.tonic;
    expect(book.led).toMatchObject([
      { run, exercise: 'coat-off', name: 'Coat off', phase: 'release', top: null, managed: null },
      { run, exercise: 'slate-steps', managed: 'most', top: tonic },
    ]);
    // Every second is talk or is sung.
    expect(book.led.map(({ talk, singing }) => talk + singing)).toEqual([90, 50]);
    expect(book.lastLed.map(({ exercise }) => exercise)).toEqual(['coat-off', 'slate-steps']);
    const reader = await signUp(app);
    await join(person, reader, 'reader');
    expect(await read(10, reader)).toEqual(book);
  });

  it('looks back as far as it is asked; what was led last is known however long ago', async () => {
    const long = new Date(Date.now() - 12 * week).toISOString();
    const document = documentOf(evening, ['coat-off', 'slate-steps']);
    await lead([...acts(document), ended], long);
    const book = await read();
    expect([book.runs.length, book.led.length, book.lastLed.length]).toEqual([0, 0, 2]);
    expect((await read(13)).led).toHaveLength(2);
    await person.agent.get(`/api/choirs/${person.choir}/logbook?weeks=0`).expect(400);
    await person.agent.get(`/api/choirs/${person.choir}/logbook?weeks=many`).expect(400);
  });

  it('has an evening that was led before its time, and no other that is still to come', async () => {
    const last = evening;
    await addEvening(person, '2030-05-14');
    evening = await addEvening(person, '2030-05-21');
    const document = documentOf(evening, ['coat-off', 'slate-steps']);
    await lead([...acts(document), ended], new Date(Date.now() - 60_000).toISOString());
    expect((await read()).evenings.map(({ id }) => id)).toEqual([last.id, evening.id]);
  });

  it('has how pieces were judged, without what was noted beside it', async () => {
    const piece = await person.agent
      .post(`/api/choirs/${person.choir}/pieces`)
      .send(typedPiece())
      .expect(201);
    const { id } = piece.body as { id: string };
    const scores = [{ skill: 'tuning', score: 2, note: 'the second tenors' }];
    await person.agent
      .post(`/api/choirs/${person.choir}/pieces/${id}/judgements`)
      .send({ judgedOn: day, scores, target: 'tuning' })
      .expect(201);
    const { judged, pieces } = await read();
    expect(judged).toEqual([
      { piece: id, judgedOn: day, scores: [{ skill: 'tuning', score: 2 }], target: 'tuning' },
    ]);
    expect(pieces).toEqual([{ id, title: typedPiece().title }]);
  });

  it('a run that nobody ended is over when something happened in it last, and goes on when more comes', async () => {
    const document = documentOf(evening, ['coat-off', 'slate-steps']);
    await lead(acts(document), evening.startsAt);
    expect((await read()).runs).toEqual([]);
    await endLeftRuns(database.orm.em.fork());
    const book = await read();
    expect(book.runs).toMatchObject([{ real: 130 }]);
    expect(book.led).toHaveLength(2);
    // One that is being led is left alone.
    await lead(acts(document), new Date(Date.now() - 60_000).toISOString());
    await endLeftRuns(database.orm.em.fork());
    expect((await read()).runs).toHaveLength(1);
  });

  it('what ended before this was asked of it is worked out', async () => {
    const document = documentOf(evening, ['coat-off', 'slate-steps']);
    await lead([...acts(document), ended], evening.startsAt);
    const before = await read();
    await database.orm.em.fork().execute('delete from led_once; update run set planned = null');
    expect((await read()).led).toEqual([]);
    await workOutRuns(database.orm.em.fork());
    expect(await read()).toEqual(before);
  });
});
