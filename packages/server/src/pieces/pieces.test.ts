import { jest } from '@jest/globals';
import { randomUUID } from 'node:crypto';
import {
  errorBody,
  eveningSchema,
  keptFileSchema,
  pieceSchema,
  pieceSummarySchema,
  type Piece as PieceView,
  type StorePiece,
} from '@wide-fern/contract';
import type { Express } from 'express';
import { testDatabase } from '../testing/database';
import { join, signUp, testApp, typedEvening, type Person } from '../testing/people';
import { slateMapping, slateScore } from '../testing/slate';
import { PieceFile } from '../db/entities/pieces';

const database = testDatabase();
// From source a thread takes a second to begin; bundled it does not.
jest.setTimeout(30_000);

/** A piece typed by hand in ten seconds. */
const typed = (wanted: Partial<StorePiece> = {}): StorePiece => ({
  title: 'Slate',
  composer: '',
  language: '',
  tempo: null,
  transpose: 0,
  notes: '',
  ranges: { S: [60, 77], B: [43, 60] },
  score: null,
  ...wanted,
});

describe('pieces', () => {
  let app: Express;
  let person: Person;
  beforeEach(async () => {
    app = testApp(database);
    person = await signUp(app);
  });
  const at = (path = '') => `/api/choirs/${person.choir}/pieces${path}`;
  const add = async (piece: StorePiece): Promise<PieceView> =>
    pieceSchema.parse((await person.agent.post(at()).send(piece).expect(201)).body);
  const keep = async (bytes: Buffer, name = 'slate.musicxml') =>
    keptFileSchema.parse(
      (
        await person.agent
          .post(`/api/choirs/${person.choir}/score-files?name=${encodeURIComponent(name)}`)
          .type('application/octet-stream')
          .send(bytes)
          .expect(201)
      ).body,
    );
  /** A piece of the score that the tests hand in, and its file. */
  const addRead = async (wanted: Partial<StorePiece> = {}) => {
    const file = await keep(slateScore);
    const mapped = { file: file.id, mapping: slateMapping };
    return { mapped, ...(await add(typed({ score: mapped, ...wanted }))) };
  };
  const pages = async (path = at()): Promise<{ items: unknown[]; next: string | null }> =>
    (await person.agent.get(path).expect(200)).body as { items: unknown[]; next: string | null };
  const evening = async (agenda: object[]) => {
    const { body } = await person.agent
      .post(`/api/choirs/${person.choir}/evenings`)
      .send({ ...typedEvening({ date: '2031-05-07' }), agenda })
      .expect(201);
    return eveningSchema.parse(body);
  };
  const item = (piece: string | null, more: object = {}) => ({
    id: 'sung',
    kind: 'piece',
    title: 'Slate',
    minutes: 20,
    piece,
    ...more,
  });

  it('are typed, changed from the version they were at, and thrown away', async () => {
    const { id, version } = await add(typed());
    const changed = typed({ title: 'Slate, quicker', tempo: 80, transpose: -2 });
    const { body } = await person.agent
      .put(at(`/${id}`))
      .send({ version, piece: changed })
      .expect(200);
    expect(pieceSchema.parse(body)).toMatchObject({ version: version + 1, piece: changed });
    const late = await person.agent
      .put(at(`/${id}`))
      .send({ version, piece: typed() })
      .expect(409);
    expect(errorBody.parse(late.body).error.code).toBe('changed_meanwhile');
    const listed = await pages();
    expect(listed.items.map((one) => pieceSummarySchema.parse(one).title)).toEqual([
      'Slate, quicker',
    ]);
    await person.agent.delete(at(`/${id}`)).expect(204);
    await person.agent.get(at(`/${id}`)).expect(404);
  });

  it('are refused with what is wrong, at the field', async () => {
    for (const [wrong, field] of [
      [{ title: ' ' }, 'title'],
      [{ tempo: 500 }, 'tempo'],
      [{ transpose: 1.5 }, 'transpose'],
      [{ ranges: { S: [70, 60] } }, 'ranges.S'],
    ] as const) {
      const answer = await person.agent
        .post(at())
        .send({ ...typed(), ...wrong })
        .expect(400);
      expect(Object.keys(errorBody.parse(answer.body).error.fields ?? {})).toEqual([field]);
    }
  });

  it('keep the file of their score as it was, and what the server has read in it', async () => {
    const file = await keep(slateScore, '../../etc/s"late\u0007.musicxml');
    await person.agent
      .post(`/api/choirs/${person.choir}/score-files`)
      .query({ name: 'a\u0000' })
      .type('application/octet-stream')
      .send(slateScore)
      .expect(400);
    expect(file).toMatchObject({ name: 'slate.musicxml', size: slateScore.length });
    const score = { file: file.id, mapping: slateMapping };
    // What a page says of the ranges is not taken for true where there is a score.
    const { id, piece } = await add(typed({ score, ranges: { S: [40, 41] } }));
    expect(piece).toMatchObject({
      ranges: { S: [60, 77], B: [43, 60] },
      score: {
        ...score,
        name: 'slate.musicxml',
        size: slateScore.length,
        seconds: 6,
        byBar: {
          numbers: [0, 1, 2],
          parts: {
            S: [[60, 62], [62, 77], null],
            B: [null, [43, 50], [48, 60]],
          },
        },
      },
    });
    const answer = await person.agent
      .get(at(`/${id}/score-file`))
      .buffer(true)
      .expect(200);
    expect(Buffer.compare(answer.body as Buffer, slateScore)).toBe(0);
    expect(answer.headers['content-disposition']).toBe('attachment; filename=slate.musicxml');
    const [summary] = (await pages()).items;
    expect(pieceSummarySchema.parse(summary)).toMatchObject({ bars: 2, seconds: 6 });
    // Another choir's file is none.
    const other = await signUp(app);
    await other.agent.post(`/api/choirs/${other.choir}/pieces`).send(typed({ score })).expect(409);
    await other.agent.get(`/api/choirs/${other.choir}/pieces/${id}/score-file`).expect(404);
  });

  it('are read anew when somebody else sings a line, and only then', async () => {
    const { id, version, mapped, piece } = await addRead();
    const lower = slateMapping.map((one, i) => (i === 0 ? { ...one, octaveLower: true } : one));
    const change = (score: object, at_: number) =>
      person.agent.put(at(`/${id}`)).send({ version: at_, piece: { ...typed(), score } });
    // The file is gone from under it: what was read before still stands, a new reading cannot be made.
    await database.orm.em.execute('update piece_file set bytes = ? where id = ?', [
      Buffer.from('no score'),
      mapped.file,
    ]);
    const same = await change(mapped, version).expect(200);
    expect(pieceSchema.parse(same.body).piece.score).toEqual(piece.score);
    const answer = await change({ ...mapped, mapping: lower }, version).expect(422);
    expect(errorBody.parse(answer.body).error.code).toBe('unreadable_score');
    await database.orm.em.execute('update piece_file set bytes = ? where id = ?', [
      slateScore,
      mapped.file,
    ]);
    const read = await change({ ...mapped, mapping: lower }, version).expect(200);
    expect(pieceSchema.parse(read.body).piece.ranges.S).toEqual([48, 65]);
  });

  it('whose file is no score are refused, and nothing is stored', async () => {
    const file = await keep(Buffer.from('<score-partwise'));
    const score = { file: file.id, mapping: slateMapping };
    const answer = await person.agent.post(at()).send(typed({ score })).expect(422);
    expect(errorBody.parse(answer.body).error.message).toContain('what you chose is still here');
    expect((await pages()).items).toEqual([]);
  });

  it('forget a file nobody made a piece of, a day later', async () => {
    const forgotten = await keep(Buffer.from('x'));
    const { mapped } = await addRead();
    await database.orm.em.execute(`update piece_file set created_at = now() - interval '2 days'`);
    await keep(Buffer.from('z'));
    const left = await database.orm.em.fork().find(PieceFile, { choir: person.choir });
    expect(left.map(({ id }) => id)).not.toContain(forgotten.id);
    expect(left.map(({ id }) => id)).toContain(mapped.file);
  });

  it('refuse a file that is empty or too large, and one from who only reads', async () => {
    const send = (who: Person, bytes: Buffer) =>
      who.agent
        .post(`/api/choirs/${person.choir}/score-files`)
        .type('application/octet-stream')
        .send(bytes);
    await send(person, Buffer.alloc(0)).expect(400);
    const large = await send(person, Buffer.alloc(20_000_001)).expect(413);
    expect(errorBody.parse(large.body).error.code).toBe('too_large');
    const reader = await signUp(app);
    await join(person, reader, 'reader');
    await send(reader, Buffer.from('x')).expect(403);
    await send(await signUp(app), Buffer.from('x')).expect(404);
  });

  it('say what an evening asks: of what is sung, as high as it is sung, with piece and bar', async () => {
    const { id } = await addRead({ transpose: -2 });
    const whole = await evening([item(id)]);
    expect(whole.tonight.needs.find(({ part }) => part === 'S')).toEqual({
      part: 'S',
      highest: 75,
      highestIn: 'Slate',
      highestBar: 1,
      lowest: 58,
      lowestIn: 'Slate',
      lowestBar: 0,
    });
    const some = await evening([item(id, { bars: [2, 2] })]);
    expect(some.tonight.needs).toMatchObject([
      { part: 'B', lowest: 46, lowestBar: 2, highest: 58 },
    ]);
    expect(some.pieces).toEqual([{ id, title: 'Slate', ranges: { B: [46, 58] } }]);
    const [summary] = (await pages()).items;
    expect(pieceSummarySchema.parse(summary).next).toBe('2031-05-07T18:30:00.000Z');
  });

  it('leave their title on evenings when they are thrown away', async () => {
    const { id } = await add(typed());
    const { id: on } = await evening([item(id), { ...item(null), id: 'other' }]);
    await person.agent.delete(at(`/${id}`)).expect(204);
    const { body } = await person.agent
      .get(`/api/choirs/${person.choir}/evenings/${on}`)
      .expect(200);
    expect(eveningSchema.parse(body).agenda).toMatchObject([
      { id: 'sung', title: 'Slate', piece: null },
      { id: 'other', piece: null },
    ]);
  });

  it('carry marks that are made, changed and taken away', async () => {
    const { id } = await add(typed());
    const mark = { fromBar: 19, toBar: 22, parts: ['S'], skill: 'long outflow', note: 'loses air' };
    const made = await person.agent
      .post(at(`/${id}/marks`))
      .send(mark)
      .expect(201);
    const { id: markId } = made.body as { id: string };
    await person.agent
      .post(at(`/${id}/marks`))
      .send({ ...mark, toBar: 3 })
      .expect(400);
    await person.agent
      .put(at(`/${id}/marks/${markId}`))
      .send({ ...mark, skill: 'tuning' })
      .expect(200);
    const shown = async () =>
      pieceSchema.parse((await person.agent.get(at(`/${id}`)).expect(200)).body).marks;
    expect(await shown()).toEqual([{ ...mark, id: markId, skill: 'tuning' }]);
    const other = await add(typed());
    await person.agent.delete(at(`/${other.id}/marks/${markId}`)).expect(404);
    await person.agent.delete(at(`/${id}/marks/${markId}`)).expect(204);
    expect(await shown()).toEqual([]);
  });

  it('are judged; the target is a wish of every evening until it is judged better', async () => {
    const { id } = await add(typed());
    const judge = (judgedOn: string, score: number, target: string | null) =>
      person.agent.post(at(`/${id}/judgements`)).send({
        judgedOn,
        scores: [{ skill: 'long outflow', score, note: 'bar 21' }],
        target,
      });
    await judge('2030-11-03', 6, null).expect(400);
    await person.agent
      .post(at(`/${id}/judgements`))
      .send({ judgedOn: '2030-11-03', scores: [], target: null })
      .expect(400);
    await judge('2030-11-03', 2, 'long outflow').expect(201);
    const wishes = async () => (await evening([item(id)])).wishes;
    expect(await wishes()).toEqual([
      {
        piece: id,
        title: 'Slate',
        skill: 'long outflow',
        since: '2030-11-03',
        score: 2,
        last: 2,
        weight: 3,
      },
    ]);
    const { body } = await judge('2030-11-10', 3, null).expect(201);
    expect(body).toMatchObject({ by: 'Wren Aldous' });
    expect(await wishes()).toEqual([]);
    const { judgements } = pieceSchema.parse((await person.agent.get(at(`/${id}`))).body);
    expect(judgements.map(({ judgedOn }) => judgedOn)).toEqual(['2030-11-10', '2030-11-03']);
    await person.agent.delete(at(`/${id}/judgements/${judgements[0]!.id}`)).expect(204);
    expect(await wishes()).toHaveLength(1);
    await person.agent.delete(at(`/${randomUUID()}/judgements/${judgements[1]!.id}`)).expect(404);
  });

  it('are listed page by page, none or thousands, each once and in order', async () => {
    expect(await pages()).toEqual({ items: [], next: null });
    await database.orm.em.execute(
      `insert into piece (id, choir_id, title, ranges, created_at)
       select gen_random_uuid(), ?, 'Piece ' || n / 2, '{"S": [60, 70]}', now() from generate_series(1, 2000) n`,
      [person.choir],
    );
    const titles: string[] = [];
    const ids = new Set<string>();
    for (let next: string | null = ''; next !== null;) {
      const page = await pages(at(next === '' ? '' : `?after=${encodeURIComponent(next)}`));
      for (const one of page.items.map((item) => pieceSummarySchema.parse(item))) {
        titles.push(one.title.toLowerCase());
        ids.add(one.id);
      }
      expect(page.items.length).toBeLessThanOrEqual(500);
      next = page.next;
    }
    expect(ids.size).toBe(2000);
    const sorted = (await database.orm.em.execute(
      'select lower(title) as title from piece where choir_id = ? order by 1',
      [person.choir],
    )) as unknown as { title: string }[];
    expect(titles).toEqual(sorted.map(({ title }) => title));
    for (const wrong of ['x', 'W10', Buffer.from('["a"]').toString('base64url')]) {
      const answer = await person.agent.get(at(`?after=${wrong}`)).expect(400);
      expect(errorBody.parse(answer.body).error.code).toBe('invalid');
    }
    await person.agent.post(at()).send(typed()).expect(409);
  });
});
