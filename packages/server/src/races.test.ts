import { randomUUID } from 'node:crypto';
import { exercises } from '@wide-fern/catalogue';
import { mostKept, type Piece, type Singer, type Template } from '@wide-fern/contract';
import type { Express } from 'express';
import type supertest from 'supertest';
import { EveningTemplate } from './db/entities/evening';
import { Choir } from './db/entities/choir';
import { PieceJudgement, PieceJudging, PieceMark } from './db/entities/pieces';
import { testDatabase } from './testing/database';
import {
  addEvening,
  planPath,
  documentOf,
  signUp,
  testApp,
  typedEvening,
  typedPiece,
  type Person,
} from './testing/people';

const database = testDatabase();

/** Asks for something and throws away what it is about, at once and again and again. */
describe('what is thrown away while somebody works on it', () => {
  const rounds = 8;
  let app: Express;
  let person: Person;
  let at: string;
  beforeAll(async () => {
    app = testApp(database);
    person = await signUp(app);
    at = `/api/choirs/${person.choir}`;
  });

  /** Each round: something new, the act on it and its end at the same time. Only these answers may come. */
  async function race<T>(
    make: () => Promise<T>,
    act: (made: T) => PromiseLike<supertest.Response>,
    end: (made: T) => PromiseLike<supertest.Response>,
  ): Promise<number[]> {
    const statuses: number[] = [];
    for (let i = 0; i < rounds; i += 1) {
      const made = await make();
      const both = i % 2 === 0 ? [act(made), end(made)] : [end(made), act(made)];
      for (const { status } of await Promise.all(both)) statuses.push(status);
    }
    return statuses;
  }
  const expectNoTrouble = (statuses: readonly number[]) =>
    expect(statuses.filter((status) => ![200, 201, 204, 404, 409].includes(status))).toEqual([]);

  const newPiece = async (): Promise<Piece> => {
    const piece = typedPiece();
    return (await person.agent.post(`${at}/pieces`).send(piece).expect(201)).body as Piece;
  };
  const endPiece = ({ id }: Piece) => person.agent.delete(`${at}/pieces/${id}`);
  const mark = { fromBar: 1, toBar: 2, parts: ['S'], skill: 'legato', note: '' };
  const judgement = { judgedOn: '2026-12-01', scores: [], target: null };

  it('a mark on a piece', async () => {
    expectNoTrouble(
      await race(
        newPiece,
        ({ id }) => person.agent.post(`${at}/pieces/${id}/marks`).send(mark),
        endPiece,
      ),
    );
    expect(await database.orm.em.fork().count(PieceMark)).toBe(0);
  }, 60_000);

  it('a judgement of a piece', async () => {
    const scores = [{ skill: 'legato', score: 3, note: '' }];
    const act = ({ id }: Piece) =>
      person.agent.post(`${at}/pieces/${id}/judgements`).send({ ...judgement, scores });
    expectNoTrouble(await race(newPiece, act, endPiece));
    expect(await database.orm.em.fork().count(PieceJudgement)).toBe(0);
  }, 60_000);

  it('a run to judge together: opened, judged, settled, recorded', async () => {
    const skills = ['legato'];
    const card = { scores: [{ skill: 'legato', score: 3, note: '' }], target: null };
    const make = async () => {
      const judging = `${at}/pieces/${(await newPiece()).id}/judgings/${randomUUID()}`;
      const run = { judgedOn: '2026-12-01', skills, group: '', tried: '' };
      await person.agent.put(judging).send(run).expect(200);
      await person.agent.put(`${judging}/card`).send(card).expect(200);
      return judging;
    };
    const endAll = (judging: string) => person.agent.delete(judging.split('/judgings')[0]!);
    const settle = (judging: string) =>
      person.agent.put(`${judging}/agreed`).send({ agreed: card });
    const record = (judging: string) =>
      person.agent
        .put(`${judging}/recording`)
        .type('application/octet-stream')
        .send(Buffer.from('OggS'));
    for (const act of [
      (judging: string) => person.agent.put(`${judging}/card`).send(card),
      settle,
      record,
    ]) {
      expectNoTrouble(await race(make, act, endAll));
      expectNoTrouble(await race(make, act, (judging) => person.agent.delete(judging)));
    }
    // Two who settle at once: one is told that it is agreed on.
    const judging = await make();
    const both = await Promise.all([settle(judging), settle(judging)]);
    expect(both.map(({ status }) => status).sort()).toEqual([200, 409]);
    const em = database.orm.em.fork();
    expect(await em.count(PieceJudging)).toBeGreaterThan(0);
    expect(await em.count(PieceJudgement, { id: judging.split('/').at(-1)! })).toBe(1);
  }, 60_000);

  it('a mark that is changed', async () => {
    const piece = await newPiece();
    const marks = `${at}/pieces/${piece.id}/marks`;
    const make = async () =>
      ((await person.agent.post(marks).send(mark).expect(201)).body as { id: string }).id;
    const change = (id: string) => person.agent.put(`${marks}/${id}`).send({ ...mark, note: 'x' });
    expectNoTrouble(await race(make, change, (id) => person.agent.delete(`${marks}/${id}`)));
    // What is gone is not changed, and that is said.
    const id = await make();
    await person.agent.delete(`${marks}/${id}`).expect(204);
    await change(id).expect(404);
    await person.agent.delete(`${marks}/${id}`).expect(404);
  }, 60_000);

  it('an exercise that is changed, marked, thrown away and brought back', async () => {
    let count = 0;
    const make = async () => {
      count += 1;
      const exercise = { ...exercises[3]!, id: `ours-${count}`, name: `Ours ${count}` };
      await person.agent
        .post(`${at}/exercises`)
        .send({ exercises: [exercise] })
        .expect(201);
      return exercise;
    };
    const where = ({ id }: { id: string }) => `${at}/exercises/${id}`;
    const end = (made: { id: string }) => person.agent.delete(where(made));
    expectNoTrouble(
      await race(
        make,
        (made) =>
          person.agent.put(where(made)).send({ version: 1, exercise: { ...made, cue: 'Low.' } }),
        end,
      ),
    );
    expectNoTrouble(
      await race(
        make,
        (made) =>
          person.agent
            .put(`${where(made)}/mark`)
            .send({ favourite: true, hidden: false, note: '' }),
        end,
      ),
    );
    expectNoTrouble(await race(make, (made) => person.agent.post(`${where(made)}/back`), end));
  }, 60_000);

  it('a singer who is checked, changed, and said to be away', async () => {
    const evening = await addEvening(person);
    const limits = { comfort: [62, 79], reach: [59, 81], lightTop: null };
    const fields = {
      name: 'Ash Tarn',
      part: 'S',
      also: [],
      ...limits,
      states: [],
      onLeave: false,
      notes: '',
    };
    const make = async () => {
      const { body } = await person.agent
        .post(`${at}/singers`)
        .send({ add: [fields], change: [] })
        .expect(201);
      return (body as Singer[])[0]!;
    };
    const end = ({ id }: Singer) => person.agent.delete(`${at}/singers/${id}`);
    const acts: ((made: Singer) => supertest.Test)[] = [
      ({ id }) =>
        person.agent
          .post(`${at}/singers/checks`)
          .send({ checks: [{ singer: id, ...limits, means: 'by-ear' }] }),
      ({ id, version }) =>
        person.agent
          .put(`${at}/singers/${id}`)
          .send({ version, singer: { ...fields, name: 'Ash' } }),
      ({ id }) =>
        person.agent
          .put(`${at}/evenings/${evening.id}/presence`)
          .send({ singers: [{ singer: id, away: true, states: [] }] }),
      ({ id }) => person.agent.get(`${at}/singers/${id}/export`),
    ];
    for (const act of acts) expectNoTrouble(await race(make, act, end));
  }, 60_000);

  it('an evening that is planned, changed and copied', async () => {
    const make = () => addEvening(person);
    const end = ({ id }: { id: string }) => person.agent.delete(`${at}/evenings/${id}`);
    type Made = Awaited<ReturnType<typeof make>>;
    const acts: ((made: Made) => supertest.Test)[] = [
      (made) =>
        person.agent
          .put(planPath(person.choir, made.id))
          .send({ version: 0, document: documentOf(made, ['pulley']), edits: [] }),
      ({ id, version }) =>
        person.agent
          .put(`${at}/evenings/${id}`)
          .send({ version, evening: typedEvening({ place: 'Crypt' }) }),
      ({ id }) =>
        person.agent
          .post(`${at}/evenings/${id}/copies`)
          .send({ dates: ['2031-01-07'], withPlans: true }),
      ({ id }) => person.agent.put(`${at}/evenings/${id}/presence`).send({ condition: 'cold' }),
    ];
    for (const act of acts) expectNoTrouble(await race(make, act, end));
  }, 60_000);
});

describe('what a choir keeps', () => {
  const evening = () => {
    const { date: _, ...rest } = typedEvening();
    return { ...rest, name: 'As usual' };
  };

  it('is never more than its limit, however many add at once', async () => {
    const person = await signUp(testApp(database));
    const at = `/api/choirs/${person.choir}`;
    const em = database.orm.em.fork();
    const choir = em.getReference(Choir, person.choir);
    for (let i = 0; i < mostKept.templates - 2; i += 1) {
      em.create(EveningTemplate, { choir, document: evening() });
    }
    await em.flush();
    const answers = await Promise.all(
      Array.from({ length: 6 }, () => person.agent.post(`${at}/templates`).send(evening())),
    );
    const statuses = answers.map(({ status }) => status).sort();
    expect(statuses).toEqual([201, 201, 409, 409, 409, 409]);
    const { body } = await person.agent.get(`${at}/templates`).expect(200);
    expect((body as Template[]).length).toBe(mostKept.templates);
    const refused = answers.find(({ status }) => status === 409)!;
    expect(JSON.stringify(refused.body)).toContain('40 are here. Throw some away first.');
  });

  it('is said before the limit is met', async () => {
    const person = await signUp(testApp(database));
    await addEvening(person);
    const { body } = await person.agent.get(`/api/choirs/${person.choir}/room`).expect(200);
    expect(body).toContainEqual({ of: 'evenings', here: 1, most: mostKept.evenings });
    expect(body).toContainEqual({ of: 'files', here: 0, most: mostKept.files });
    expect((body as unknown[]).length).toBe(Object.keys(mostKept).length);
  });
});
