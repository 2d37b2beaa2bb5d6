import { randomUUID } from 'node:crypto';
import {
  awaitedSchema,
  errorBody,
  judgingSchema,
  judgingsSchema,
  largestRecording,
  mostKept,
  pieceSchema,
  type Judging,
  type JudgingCard,
  type OpenJudging,
  type Piece,
} from '@wide-fern/contract';
import type { Express } from 'express';
import { PieceRecording } from '../db/entities/pieces';
import { testDatabase } from '../testing/database';
import { join, signUp, testApp, typedPiece, type Person } from '../testing/people';
import { tidyUp } from '../upkeep';

const database = testDatabase();

const card = (tuning: number, target: JudgingCard['target'] = null): JudgingCard => ({
  scores: [{ skill: 'tuning', score: tuning, note: '' }],
  target,
});
const sound = Buffer.concat([Buffer.from('OggS'), Buffer.alloc(60, 7)]);

describe('a run that several judge', () => {
  let app: Express;
  let owner: Person;
  let deputy: Person;
  let reader: Person;
  let piece: string;

  beforeAll(() => {
    app = testApp(database);
  });
  beforeEach(async () => {
    owner = await signUp(app, 'Wren Aldous');
    deputy = await signUp(app, 'Odile Marsh');
    reader = await signUp(app, 'Pim Sandoval');
    await join(owner, deputy, 'deputy');
    await join(owner, reader, 'reader');
    const made = await owner.agent
      .post(`/api/choirs/${owner.choir}/pieces`)
      .send(typedPiece())
      .expect(201);
    piece = (made.body as Piece).id;
  });

  const at = (judging = '') =>
    `/api/choirs/${owner.choir}/pieces/${piece}/judgings${judging && `/${judging}`}`;
  const open = async (wanted: Partial<OpenJudging> = {}, id: string = randomUUID()) => {
    const body = {
      ...{ judgedOn: '2030-05-07', skills: ['tuning', 'blend'], group: '', tried: '' },
      ...wanted,
    };
    return judgingSchema.parse((await owner.agent.put(at(id)).send(body).expect(200)).body);
  };
  const handIn = ({ agent }: Pick<Person, 'agent'>, { id }: Judging, one: JudgingCard) =>
    agent.put(`${at(id)}/card`).send(one);
  const settle = ({ id }: Judging, agreed: JudgingCard | null, { agent } = owner) =>
    agent.put(`${at(id)}/agreed`).send({ agreed });
  const list = async ({ agent }: Pick<Person, 'agent'>) =>
    judgingsSchema.parse((await agent.get(at()).expect(200)).body);
  const record = ({ id }: Judging, bytes: Buffer, query = '') =>
    owner.agent
      .put(`${at(id)}/recording${query}`)
      .type('application/octet-stream')
      .send(bytes);
  const codeOf = ({ body }: { body: unknown }) => errorBody.parse(body).error.code;
  const judgements = async () =>
    pieceSchema.parse(
      (await owner.agent.get(`/api/choirs/${owner.choir}/pieces/${piece}`).expect(200)).body,
    ).judgements;

  it('is opened once, whatever is sent again, and only by who leads', async () => {
    const one = await open();
    expect(await open({ group: 'others' }, one.id)).toEqual(one);
    expect(await list(reader)).toEqual([one]);
    await reader.agent.put(at(randomUUID())).send({}).expect(403);
    const none = await owner.agent
      .put(at(randomUUID()))
      .send({ judgedOn: '2030-05-07', skills: [], group: '', tried: '' })
      .expect(400);
    expect(errorBody.parse(none.body).error.fields).toEqual({
      skills: 'Choose at least one skill.',
    });
  });

  it('shows what others say once one’s own card is in, and no sooner', async () => {
    const one = await open();
    await handIn(deputy, one, card(2, 'tuning')).expect(200);
    expect(await list(owner)).toMatchObject([{ handedIn: ['Odile Marsh'], cards: null }]);
    const own = judgingSchema.parse((await handIn(reader, one, card(4)).expect(200)).body);
    expect(own.cards).toMatchObject([
      { by: 'Odile Marsh', isOwn: false, target: 'tuning', scores: [{ score: 2 }] },
      { by: 'Pim Sandoval', isOwn: true, target: null, scores: [{ score: 4 }] },
    ]);
    expect(JSON.stringify((await owner.agent.get(at())).body)).not.toMatch(/"score"/);
    // Thought over again, it takes the place of what was handed in.
    await handIn(deputy, one, card(3)).expect(200);
    const [now] = await list(reader);
    expect(now!.cards!.map(({ scores }) => scores[0]!.score)).toEqual([3, 4]);
    expect((await list(deputy))[0]!.cards!.map(({ isOwn }) => isOwn)).toEqual([true, false]);
  });

  it('takes no word about what does not stand on the card, and no empty card', async () => {
    const one = await open();
    const other = await handIn(owner, one, {
      scores: [{ skill: 'legato', score: 2, note: '' }],
      target: null,
    }).expect(400);
    expect(errorBody.parse(other.body).error.message).toBe('“legato” does not stand on this card.');
    await handIn(owner, one, { scores: [], target: null }).expect(400);
    await handIn(owner, one, { scores: [], target: 'legato' }).expect(200);
  });

  it('becomes the judgement of the run when it is agreed on, once', async () => {
    const one = await open();
    expect(codeOf(await settle(one, card(3)).expect(400))).toBe('invalid');
    await handIn(deputy, one, card(2, 'tuning')).expect(200);
    // Whoever did not judge takes no more cards, and looks at them then.
    const closed = judgingSchema.parse((await settle(one, null).expect(200)).body);
    expect(closed).toMatchObject({ closed: true, agreed: null, cards: [{ by: 'Odile Marsh' }] });
    expect(codeOf(await handIn(reader, one, card(5)).expect(409))).toBe('judging_over');
    expect(await judgements()).toEqual([]);
    await settle(one, card(2, 'tuning'), deputy).expect(200);
    expect(await judgements()).toEqual([
      {
        ...{ id: one.id, judgedOn: '2030-05-07', by: 'Odile Marsh' },
        ...card(2, 'tuning'),
      },
    ]);
    expect(codeOf(await settle(one, card(5)).expect(409))).toBe('judging_over');
    await settle(one, card(5), reader).expect(403);
    // Thrown away, what was agreed on stays judged.
    await owner.agent.delete(at(one.id)).expect(204);
    await owner.agent.delete(at(one.id)).expect(404);
    expect(await list(owner)).toEqual([]);
    expect(await judgements()).toHaveLength(1);
  });

  it('of a small group says nothing of the choir: no judgement, no target', async () => {
    const one = await open({ group: 'two of each part', tried: 'Slate steps' });
    await handIn(owner, one, card(2)).expect(200);
    await settle(one, card(2, 'tuning')).expect(200);
    expect(await judgements()).toEqual([]);
    expect(await list(reader)).toMatchObject([
      { group: 'two of each part', tried: 'Slate steps', agreed: { target: 'tuning' } },
    ]);
  });

  it('keeps what somebody said who is gone, without the name', async () => {
    const one = await open();
    await handIn(deputy, one, card(2)).expect(200);
    await handIn(owner, one, card(3)).expect(200);
    const judge = (await list(owner))[0]!.cards![0]!.judge;
    await database.orm.em.execute('delete from account where id = ?', [judge]);
    const [left] = await list(owner);
    expect(left!.cards).toMatchObject([{ judge: null, by: '' }, { by: 'Wren Aldous' }]);
    expect(left!.handedIn).toEqual(['Wren Aldous']);
  });

  it('is told while a card of one’s own is awaited, for two weeks', async () => {
    const awaited = async ({ agent }: Person) => {
      const { body } = await agent.get(`/api/choirs/${owner.choir}/pieces`).expect(200);
      const told = await agent.get(`/api/choirs/${owner.choir}/awaited-cards`).expect(200);
      const { items } = body as { items: { id: string; awaited: boolean }[] };
      expect(awaitedSchema.parse(told.body).map((one) => one.piece)).toEqual(
        items.filter((one) => one.awaited).map(({ id }) => id),
      );
      return items.map((one) => one.awaited);
    };
    expect(await awaited(reader)).toEqual([false]);
    const one = await open();
    await handIn(deputy, one, card(2)).expect(200);
    expect([await awaited(reader), await awaited(deputy)]).toEqual([[true], [false]]);
    await settle(one, null).expect(200);
    expect(await awaited(reader)).toEqual([false]);
    const another = await open();
    expect(await awaited(reader)).toEqual([true]);
    await database.orm.em.execute(
      `update piece_judging set created_at = now() - interval '15 days' where id = ?`,
      [another.id],
    );
    expect(await awaited(reader)).toEqual([false]);
  });

  it('is of its piece and its choir alone', async () => {
    const one = await open();
    const stranger = await signUp(app);
    await stranger.agent.get(at()).expect(404);
    await handIn(stranger, one, card(2)).expect(404);
    const theirs = await stranger.agent
      .post(`/api/choirs/${stranger.choir}/pieces`)
      .send(typedPiece())
      .expect(201);
    const there = `/api/choirs/${stranger.choir}/pieces/${(theirs.body as Piece).id}/judgings/${one.id}`;
    const wanted = { judgedOn: '2030-05-07', skills: ['tuning'], group: '', tried: '' };
    await stranger.agent.put(there).send(wanted).expect(404);
    await stranger.agent.put(`${there}/card`).send(card(1)).expect(404);
    await stranger.agent.put(`${there}/agreed`).send({ agreed: null }).expect(404);
    await stranger.agent.delete(there).expect(404);
    for (const verb of ['get', 'delete'] as const) {
      await stranger.agent[verb](`${there}/recording`).expect(404);
    }
    await stranger.agent
      .put(`${there}/recording`)
      .type('application/octet-stream')
      .send(sound)
      .expect(404);
    expect(await list(owner)).toEqual([one]);
  });

  it('are shown from the latest on, so many at most', async () => {
    expect(await list(owner)).toEqual([]);
    await database.orm.em.execute(
      `insert into piece_judging (id, piece_id, judged_on, skills, who, tried, created_at)
       select gen_random_uuid(), ?, '2030-01-01'::date + n, '["tuning"]', '', '', now()
         from generate_series(0, 299) n`,
      [piece],
    );
    const shown = await list(owner);
    expect(shown.map(({ judgedOn }) => judgedOn).slice(0, 2)).toEqual(['2030-10-27', '2030-10-26']);
    expect(shown).toHaveLength(12);
  });

  describe('with a recording', () => {
    it('is heard by all who belong to the choir, and gone when its time is over', async () => {
      const one = await open();
      const { recording } = judgingSchema.parse(
        (await record(one, sound, '?name=run%2F1.ogg&days=3').expect(200)).body,
      );
      expect(recording).toMatchObject({ name: '1.ogg', size: sound.length });
      const days = (Date.parse(recording!.until) - Date.now()) / 86_400_000;
      expect(days).toBeCloseTo(3, 2);
      const heard = await reader.agent
        .get(`${at(one.id)}/recording`)
        .buffer(true)
        .expect(200);
      expect(Buffer.compare(heard.body as Buffer, sound)).toBe(0);
      await database.orm.em.execute(
        `update piece_recording set expires_at = now() - interval '1 second'`,
      );
      await reader.agent.get(`${at(one.id)}/recording`).expect(404);
      expect((await list(reader))[0]!.recording).toBeNull();
      await tidyUp(database.orm);
      expect(await database.orm.em.fork().count(PieceRecording)).toBe(0);
    });

    it('has one at a time, two weeks where nothing is said, and is thrown away', async () => {
      const one = await open();
      await record(one, sound).expect(200);
      const longer = Buffer.concat([sound, sound]);
      const { recording } = judgingSchema.parse((await record(one, longer).expect(200)).body);
      expect(recording).toMatchObject({ name: 'recording', size: longer.length });
      expect((Date.parse(recording!.until) - Date.now()) / 86_400_000).toBeCloseTo(14, 2);
      await reader.agent.delete(`${at(one.id)}/recording`).expect(403);
      await owner.agent.delete(`${at(one.id)}/recording`).expect(204);
      await owner.agent.delete(`${at(one.id)}/recording`).expect(404);
      expect((await list(owner))[0]!.recording).toBeNull();
    });

    it('takes nothing else, nothing too large, and for no longer than is said', async () => {
      const one = await open();
      const refused = await record(one, Buffer.from('PK\u0003\u0004 a score')).expect(400);
      expect(errorBody.parse(refused.body).error.message).toMatch(/no recording/);
      expect(codeOf(await record(one, Buffer.alloc(0)).expect(400))).toBe('invalid');
      for (const days of ['0', '61', 'x', '-1']) {
        await record(one, sound, `?days=${days}`).expect(400);
      }
      const large = Buffer.concat([sound, Buffer.alloc(largestRecording)]);
      const { body } = await record(one, large).expect(413);
      expect(errorBody.parse(body).error.message).toMatch(/Recordings up to 20 MB/);
      expect((await list(owner))[0]!.recording).toBeNull();
    });

    it('finds no room beside too many others', async () => {
      const one = await open();
      await record(one, sound).expect(200);
      await database.orm.em.execute('update piece_recording set size = ?', [mostKept.recordings]);
      const { body } = await record(await open(), sound).expect(409);
      expect(errorBody.parse(body).error.message).toMatch(/at most 200 MB of recordings/);
    });
  });
});
