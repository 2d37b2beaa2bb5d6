import { answerSchema, newPlanLinkSchema, z, type SaidAtHome } from '@wide-fern/contract';
import type { Express } from 'express';
import { randomUUID } from 'node:crypto';
import request from 'supertest';
import { SingerAnswer } from '../db/entities/plan';
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
import { tidyUp } from '../upkeep';

const database = testDatabase();
const helped: SaidAtHome = { kind: 'exercise', exercise: 'slate-steps', words: 'it helped' };
const easy: SaidAtHome = { kind: 'range', name: 'Branwen Tulley', low: 55, high: 74 };

describe('what singers send from home', () => {
  let app: Express;
  let person: Person;
  let path: string;

  beforeAll(() => {
    app = testApp(database);
  });
  beforeEach(async () => {
    person = await signUp(app);
    const evening = await addEvening(person);
    path = planPath(person.choir, evening.id);
    const document = documentOf(evening, ['slate-steps']);
    await person.agent.put(path).send({ version: 0, document, edits: [] }).expect(200);
  });
  const link = async (asks: boolean, part: string | null = null) =>
    newPlanLinkSchema.parse(
      (
        await person.agent
          .post(`${path}/links`)
          .send({ note: '', use: 'practice', part, asks })
          .expect(201)
      ).body,
    );
  const send = (secret: string, said: SaidAtHome, id = randomUUID(), part: string | null = null) =>
    request(app).put(`/api/practice/answers/${id}`).send({ secret, part, said });
  const answers = async () =>
    z
      .array(answerSchema)
      .parse((await person.agent.get(`/api/choirs/${person.choir}/answers`).expect(200)).body);

  it('is kept where their link asks, without anything of who it was but what they typed', async () => {
    const { code } = await link(true, 'A');
    await send(code, helped).expect(204);
    // Whatever is said of the part, it is that of the link.
    await send(code, easy, randomUUID(), 'B').expect(204);
    const kept = await answers();
    expect(kept.map(({ part }) => part)).toEqual(['A', 'A']);
    expect(kept.map(({ said }) => said)).toEqual(expect.arrayContaining([helped, easy]));
    expect(Object.keys(kept[0]!).sort()).toEqual(['id', 'part', 'said', 'sentAt']);
  });

  it('takes the place of what was sent before under its id, and of no other choir’s', async () => {
    const { code } = await link(true);
    const id = randomUUID();
    await send(code, helped, id, 'T').expect(204);
    await send(code, { ...helped, words: 'too high' }, id, 'T').expect(204);
    expect(await answers()).toMatchObject([{ id, part: 'T', said: { words: 'too high' } }]);
    const stranger = await signUp(app);
    const elsewhere = await addEvening(stranger);
    const there = planPath(stranger.choir, elsewhere.id);
    const document = documentOf(elsewhere, ['slate-steps']);
    await stranger.agent.put(there).send({ version: 0, document, edits: [] }).expect(200);
    const other = newPlanLinkSchema.parse(
      (await stranger.agent.post(`${there}/links`).send({ note: '', use: 'practice', asks: true }))
        .body,
    );
    await send(other.code, helped, id).expect(404);
    expect(await answers()).toMatchObject([{ said: { words: 'too high' } }]);
  });

  it('is refused where nobody asks, by a link that was taken back, and where it cannot be', async () => {
    await send((await link(false)).code, helped).expect(404);
    const asking = await link(true);
    await send(asking.code, { ...easy, low: 74, high: 74 }).expect(400);
    await send(asking.code, { ...easy, name: ' ' }).expect(400);
    await person.agent.delete(`${path}/links/${asking.id}`).expect(204);
    await send(asking.code, helped).expect(404);
    // A sheet asks nothing, whatever its maker says.
    const { body } = (await person.agent
      .post(`${path}/links`)
      .send({ note: '', use: 'sheet', asks: true })
      .expect(201)) as { body: unknown };
    expect(newPlanLinkSchema.parse(body).asks).toBe(false);
    expect(await answers()).toEqual([]);
  });

  it('is read and thrown away by who leads, never by a reader', async () => {
    const { code } = await link(true);
    await send(code, easy).expect(204);
    const reader = await signUp(app);
    await join(person, reader, 'reader');
    await reader.agent.get(`/api/choirs/${person.choir}/answers`).expect(403);
    const [one] = await answers();
    const at = `/api/choirs/${person.choir}/answers/${one!.id}`;
    await reader.agent.delete(at).expect(403);
    await person.agent.delete(at).expect(204);
    await person.agent.delete(at).expect(404);
    expect(await answers()).toEqual([]);
  });

  it('is forgotten with the singer whose name it bears', async () => {
    const { code } = await link(true);
    await send(code, easy).expect(204);
    await send(code, { ...easy, name: 'Somebody else' }).expect(204);
    await send(code, helped).expect(204);
    const singer = {
      ...{ name: 'BRANWEN Tulley', part: 'A', also: [], comfort: null, reach: null },
      ...{ lightTop: null, states: [], onLeave: false, notes: '' },
    };
    const added = await person.agent
      .post(`/api/choirs/${person.choir}/singers`)
      .send({ add: [singer], change: [] })
      .expect(201);
    const [{ id }] = added.body as [{ id: string }];
    await person.agent.delete(`/api/choirs/${person.choir}/singers/${id}`).expect(204);
    expect((await answers()).map(({ said }) => (said.kind === 'range' ? said.name : ''))).toEqual(
      expect.arrayContaining(['Somebody else', '']),
    );
    expect(await answers()).toHaveLength(2);
  });

  it('is bounded, and gone after sixty days', async () => {
    const { code } = await link(true);
    const em = database.orm.em.fork();
    const sentAt = new Date(Date.now() - 61 * 86_400_000);
    for (let i = 0; i < 599; i += 1) {
      em.create(SingerAnswer, {
        ...{ id: randomUUID(), choir: person.choir, part: null, said: helped, sentAt },
      });
    }
    await em.flush();
    const last = randomUUID();
    await send(code, helped, last).expect(204);
    const refused = await send(code, helped).expect(409);
    expect((refused.body as { error: { message: string } }).error.message).toContain(
      'nothing more is kept',
    );
    // What is here can still be said otherwise.
    await send(code, { ...helped, words: 'it was hard' }, last).expect(204);
    await tidyUp(database.orm);
    expect(await answers()).toMatchObject([{ id: last, said: { words: 'it was hard' } }]);
  });
});
