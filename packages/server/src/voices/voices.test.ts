import { randomUUID } from 'node:crypto';
import {
  errorBody,
  eveningSchema,
  presenceSchema,
  singerExportSchema,
  pageOf,
  singerSchema,
  voicesSchema,
  z,
  type Evening,
  type Singer,
  type SingerFields,
} from '@wide-fern/contract';
import { arrangements, mixedChoir } from '@wide-fern/core';
import type { Express } from 'express';
import { testDatabase } from '../testing/database';
import { addEvening, join, keptLog, signUp, testApp, type Person } from '../testing/people';

const database = testDatabase();
/** The whole roster, page by page. */
const rosterOf = async ({ agent, choir }: Person): Promise<Singer[]> => {
  const all: Singer[] = [];
  for (let after = ''; ;) {
    const { body } = await agent.get(`/api/choirs/${choir}/singers${after}`).expect(200);
    const { items, next } = pageOf(singerSchema).parse(body);
    all.push(...items);
    if (next === null) return all;
    after = `?after=${encodeURIComponent(next)}`;
  }
};
const roster = z.array(singerSchema);

const singer = (more: Partial<SingerFields> = {}): SingerFields => ({
  name: 'Ash Tarn',
  part: 'B',
  also: [],
  comfort: [43, 62],
  reach: [40, 64],
  lightTop: null,
  changes: [],
  states: [],
  onLeave: false,
  notes: '',
  ...more,
});

describe('the roster', () => {
  let app: Express;
  let person: Person;
  let path: string;
  beforeAll(() => {
    app = testApp(database);
  });
  beforeEach(async () => {
    person = await signUp(app);
    path = `/api/choirs/${person.choir}`;
  });
  const store = async (add: SingerFields[], change: unknown[] = []): Promise<Singer[]> => {
    const { body } = await person.agent.post(`${path}/singers`).send({ add, change }).expect(201);
    return roster.parse(body);
  };
  const evening = async (id: string): Promise<Evening> =>
    eveningSchema.parse((await person.agent.get(`${path}/evenings/${id}`).expect(200)).body);

  it('keeps what is known of a singer, and changes it', async () => {
    const full = singer({
      also: ['T', 'B'],
      lightTop: 72,
      states: ['tired'],
      onLeave: true,
      notes: 'Sits at the end.',
    });
    const [one] = await store([full]);
    expect(one).toMatchObject({ ...full, also: ['T'], version: 1, checkedOn: null });
    const changed = await person.agent
      .put(`${path}/singers/${one!.id}`)
      .send({ version: 1, singer: singer({ name: 'Ash Tarn-Low', comfort: null, reach: null }) })
      .expect(200);
    expect(changed.body).toMatchObject({ name: 'Ash Tarn-Low', comfort: null, version: 2 });
    const late = await person.agent
      .put(`${path}/singers/${one!.id}`)
      .send({ version: 1, singer: singer() })
      .expect(409);
    expect(errorBody.parse(late.body).error.code).toBe('changed_meanwhile');
  });

  it('refuses limits in the wrong order and in the wrong octave, in words at their field', async () => {
    const refused = async (more: Partial<SingerFields>) => {
      const { body } = await person.agent
        .post(`${path}/singers`)
        .send({ add: [singer(), singer(more)], change: [] })
        .expect(400);
      return errorBody.parse(body).error.fields ?? {};
    };
    const fieldOf = async (more: Partial<SingerFields>) => Object.keys(await refused(more))[0];
    expect(await fieldOf({ comfort: [62, 43] })).toBe('add.1.comfort');
    expect(await fieldOf({ reach: [44, 64] })).toBe('add.1.comfort');
    expect(await fieldOf({ reach: null })).toBe('add.1.comfort');
    expect(await fieldOf({ part: 'X' })).toBe('add.1.part');
    expect(await fieldOf({ name: ' ' })).toBe('add.1.name');
    expect(await refused({ comfort: [43, 84], reach: [40, 84] })).toEqual(
      expect.objectContaining({
        'add.1.comfortHigh':
          'C6 is more than an octave above what basses usually reach (E4). Check the octave.',
      }),
    );
    expect(await rosterOf(person)).toEqual([]);
  });

  it('stores many at once, all or none', async () => {
    const [old] = await store([singer({ name: 'Old' })]);
    await person.agent
      .post(`${path}/singers`)
      .send({
        add: [singer({ name: 'New' })],
        change: [{ id: old!.id, version: 7, singer: singer({ name: 'Older' }) }],
      })
      .expect(409);
    expect(await rosterOf(person)).toHaveLength(1);
    const all = await store(
      [singer({ name: 'New' })],
      [{ id: old!.id, version: 1, singer: singer({ name: 'Older' }) }],
    );
    expect(all.map(({ name }) => name)).toEqual(['New', 'Older']);
  });

  it('holds 2,000 singers and no more', async () => {
    const many = Array.from({ length: 2000 }, (_, i) => singer({ name: `Singer ${i}` }));
    expect(await store(many)).toHaveLength(2000);
    const { body } = await person.agent
      .post(`${path}/singers`)
      .send({ add: [singer()], change: [] })
      .expect(409);
    expect(errorBody.parse(body).error.message).toMatch(
      /2,000 are here\. Take somebody off the roster first/,
    );
    const { id } = await addEvening(person);
    expect((await evening(id)).tonight.sections[3]).toMatchObject({ singers: 2000 });
  }, 20_000);

  it('keeps checks; the limits follow the newest', async () => {
    const [one] = await store([singer()]);
    const check = (comfort: number[], more: object = {}) => ({
      checks: [
        {
          singer: one!.id,
          comfort,
          reach: [40, 66],
          lightTop: null,
          means: 'microphone',
          ...more,
        },
      ],
    });
    const checks = `${path}/singers/checks`;
    await person.agent
      .post(checks)
      .send(check([43, 60], { lightTop: 70 }))
      .expect(201);
    const { body } = await person.agent
      .post(checks)
      .send(check([44, 63]))
      .expect(201);
    expect(body).toMatchObject([{ comfort: [44, 63], reach: [40, 66], lightTop: 70 }]);
    await person.agent
      .post(checks)
      .send(check([44, 90]))
      .expect(400);
    await person.agent
      .post(checks)
      .send(check([44, 63], { singer: randomUUID() }))
      .expect(404);
    const kept = await person.agent.get(`${path}/singers/${one!.id}/checks`).expect(200);
    const [newest, first] = (kept.body as { items: { id: string; comfort: number[] }[] }).items;
    expect([newest?.comfort, first?.comfort]).toEqual([
      [44, 63],
      [43, 60],
    ]);
    const dropped = await person.agent
      .delete(`${path}/singers/${one!.id}/checks/${newest!.id}`)
      .expect(200);
    expect(dropped.body).toMatchObject({ comfort: [43, 60] });
  });

  it('takes a singer whose part is not decided, who counts in no section until it is', async () => {
    const tenorOrBass = singer({ part: null, comfort: [45, 65], reach: [43, 67] });
    const [one] = await store([tenorOrBass]);
    expect(one!.part).toBeNull();
    const { id } = await addEvening(person);
    const counted = async () => (await evening(id)).tonight.sections.map(({ singers }) => singers);
    expect(await counted()).toEqual([0, 0, 0, 0]);
    const refused = await person.agent
      .post(`${path}/singers`)
      .send({ add: [singer({ part: null, comfort: [20, 62], reach: [20, 64] })], change: [] })
      .expect(400);
    expect(errorBody.parse(refused.body).error.message).toMatch(/below what singers usually reach/);
    const found = { singer: one!.id, comfort: [45, 66], reach: [43, 67], lightTop: null };
    const keep = (part: string, status: number) =>
      person.agent
        .post(`${path}/singers/checks`)
        .send({ checks: [{ ...found, changes: [64, 57, 64], means: 'room', part }] })
        .expect(status);
    await keep('X', 400);
    const { body } = await keep('T', 201);
    expect(body).toMatchObject([{ part: 'T', comfort: [45, 66], changes: [57, 64] }]);
    expect(await counted()).toEqual([0, 0, 1, 0]);
  });

  it('marks where the voices of a section change, as they showed', async () => {
    const { id } = await addEvening(person);
    const zone = async () => (await evening(id)).tonight.sections[3]!.register;
    expect(await zone()).toEqual({ zone: [57, 62], asked: 0 });
    const stored = await store([
      ...[58, 59, 59, 60].map((note) => singer({ changes: [note] })),
      singer(),
    ]);
    expect(await zone()).toEqual({ zone: [58, 60], asked: 4 });
    // Whoever is away shows nothing.
    await person.agent
      .put(`${path}/evenings/${id}/presence`)
      .send({
        singers: stored
          .filter(({ changes }) => changes[0] === 58)
          .map((one) => ({ singer: one.id, away: true, states: [] })),
      })
      .expect(200);
    expect(await zone()).toEqual({ zone: [59, 60], asked: 3 });
    // A check that did not ask leaves what is known.
    const [known] = stored.filter(({ changes }) => changes[0] === 60);
    const found = { singer: known!.id, comfort: [43, 62], reach: [40, 64], lightTop: null };
    await person.agent
      .post(`${path}/singers/checks`)
      .send({ checks: [{ ...found, means: 'by-ear' }] })
      .expect(201);
    expect(await zone()).toEqual({ zone: [59, 60], asked: 3 });
  });

  it('hands out and forgets one singer wholly; plans keep only sections', async () => {
    const [one] = await store([singer({ name: 'Wilmet Quay' })]);
    const { id } = await addEvening(person);
    await person.agent
      .put(`${path}/evenings/${id}/presence`)
      .send({ singers: [{ singer: one!.id, away: true, states: ['ill'] }] })
      .expect(200);
    const found = [{ singer: one!.id, comfort: [43, 60], reach: [43, 60], lightTop: null }];
    await person.agent
      .post(`${path}/singers/checks`)
      .send({ checks: found.map((one) => ({ ...one, means: 'section' })) })
      .expect(201);
    const exported = await person.agent.get(`${path}/singers/${one!.id}/export`).expect(200);
    expect(singerExportSchema.parse(exported.body)).toMatchObject({
      singer: { name: 'Wilmet Quay' },
      checks: [{ comfort: [43, 60], means: 'section' }],
      evenings: [{ away: true, states: ['ill'] }],
    });
    await person.agent.delete(`${path}/singers/${one!.id}`).expect(204);
    await person.agent.delete(`${path}/singers/${one!.id}`).expect(404);
    for (const table of ['singer', 'range_check', 'singer_evening']) {
      const column = table === 'singer' ? 'id' : 'singer_id';
      const rows = await database.orm.em.execute<unknown[]>(
        `select 1 from ${table} where ${column} = ?`,
        [one!.id],
      );
      expect([table, rows.length]).toEqual([table, 0]);
    }
  });

  it('never tells a reader or the log about a person', async () => {
    const log = keptLog();
    const logged = testApp(database, log.log);
    const owner = await signUp(logged);
    const reader = await signUp(logged);
    const choir = `/api/choirs/${owner.choir}`;
    const added = await owner.agent
      .post(`${choir}/singers`)
      .send({ add: [singer({ name: 'Wilmet Quay', notes: 'private' })], change: [] });
    const { id } = roster.parse(added.body)[0]!;
    await join(owner, reader, 'reader');
    const { id: eveningId } = await addEvening(owner);
    for (const path of [
      'singers',
      `singers/${id}/checks`,
      `singers/${id}/export`,
      `evenings/${eveningId}/presence`,
    ]) {
      await reader.agent.get(`${choir}/${path}`).expect(403);
    }
    const seen = [
      (await reader.agent.get(`${choir}/voices`).expect(200)).text,
      (await reader.agent.get(`${choir}/evenings/${eveningId}`).expect(200)).text,
    ].join();
    expect(seen).not.toMatch(/Wilmet|private/);
    await owner.agent.get(`${choir}/singers/${id}/checks`).expect(200);
    const lines = log.lines.join();
    expect(lines).toContain('/choirs/:choir/singers/:singer/checks');
    expect(lines).not.toMatch(/Wilmet|private/);
    expect(lines).not.toContain(id);
  });
});

describe('an evening’s sections', () => {
  let app: Express;
  let person: Person;
  let path: string;
  let id: string;
  const basses = [
    singer({ name: 'a', comfort: [43, 62] }),
    singer({ name: 'b', comfort: [43, 62] }),
    singer({ name: 'c', comfort: [43, 59] }),
  ];
  beforeAll(async () => {
    app = testApp(database);
    person = await signUp(app);
    path = `/api/choirs/${person.choir}`;
    id = (await addEvening(person)).id;
    await person.agent.post(`${path}/singers`).send({ add: basses, change: [] }).expect(201);
  });
  const bass = async () => {
    const { body } = await person.agent.get(`${path}/evenings/${id}`).expect(200);
    const { tonight, withEveryone, asUsual } = eveningSchema.parse(body);
    const [everyone, usual] = [withEveryone[3]!, asUsual[3]!];
    return { now: tonight.sections[3]!, everyone, usual, condition: tonight.condition };
  };
  const say = (change: object) => person.agent.put(`${path}/evenings/${id}/presence`).send(change);

  it('follow who is here, how they are, and how the choir comes', async () => {
    const [a, , c] = await rosterOf(person);
    expect(await bass()).toMatchObject({ now: { comfort: [43, 59], singers: 3 } });

    await say({ singers: [{ singer: c!.id, away: true, states: [] }] }).expect(200);
    expect(await bass()).toMatchObject({
      now: { comfort: [43, 62], singers: 2, away: 1 },
      everyone: { comfort: [43, 59], singers: 3 },
    });

    await say({ condition: 'after-work' }).expect(200);
    expect((await bass()).now).toMatchObject({ comfort: [43, 61], reach: [40, 64] });

    const { body: said } = await say({
      singers: [{ singer: a!.id, away: false, states: ['returning'] }],
    }).expect(200);
    expect(presenceSchema.parse(said)).toMatchObject({ condition: 'after-work' });
    expect(presenceSchema.parse(said).singers).toHaveLength(2);
    expect((await bass()).now.comfort).toEqual([44, 60]);
    expect((await bass()).usual.comfort).toEqual([43, 58]);

    await say({ condition: 'rested', singers: [{ singer: a!.id, away: true, states: [] }] });
    expect((await bass()).now).toMatchObject({ comfort: [43, 62], singers: 1, away: 2 });
  });

  it('refuse a singer of another choir and a condition nobody has', async () => {
    await say({ singers: [{ singer: randomUUID(), away: true, states: [] }] }).expect(404);
    await say({ condition: 'splendid' }).expect(400);
  });

  it('leave a range alone that was checked on the very day', async () => {
    const today = new Date().toISOString().slice(0, 10);
    const other = await signUp(app);
    const choir = `/api/choirs/${other.choir}`;
    const { id: tonight } = await addEvening(other, today);
    const { body } = await other.agent
      .post(`${choir}/singers`)
      .send({ add: [singer({ states: ['returning'] })], change: [] });
    const comfort = async () => {
      const answer = await other.agent.get(`${choir}/evenings/${tonight}`).expect(200);
      return eveningSchema.parse(answer.body).tonight.sections[3]!.comfort;
    };
    expect(await comfort()).toEqual([44, 60]);
    const check = { comfort: [43, 61], reach: [40, 64], lightTop: null, means: 'by-ear' };
    await other.agent
      .post(`${choir}/singers/checks`)
      .send({ checks: [{ singer: roster.parse(body)[0]!.id, ...check }] })
      .expect(201);
    expect(await comfort()).toEqual([43, 61]);
  });

  it('keep a reach that holds the comfort, also for a section in two halves', async () => {
    const other = await signUp(app);
    const choir = `/api/choirs/${other.choir}`;
    const halves = [
      singer({ part: 'S', comfort: [60, 66], reach: [60, 66] }),
      singer({ part: 'S', comfort: [72, 74], reach: [68, 80] }),
    ];
    await other.agent.post(`${choir}/singers`).send({ add: halves, change: [] }).expect(201);
    await other.agent.put(`${choir}/voices`).send({ sharePercent: 50 }).expect(200);
    const { id: split } = await addEvening(other);
    const { body } = await other.agent.get(`${choir}/evenings/${split}`).expect(200);
    expect(eveningSchema.parse(body).tonight.sections[0]).toMatchObject({
      comfort: [60, 66],
      reach: [60, 80],
    });
  });
});

describe('a choir’s parts', () => {
  let app: Express;
  let person: Person;
  let path: string;
  beforeEach(async () => {
    app = testApp(database);
    person = await signUp(app);
    path = `/api/choirs/${person.choir}`;
  });
  const eight = arrangements.find(({ id }) => id === 'mixed-eight')!.parts;

  it('are a mixed choir’s at first, and can be others', async () => {
    const { body } = await person.agent.get(`${path}/voices`).expect(200);
    expect(voicesSchema.parse(body).parts).toEqual(mixedChoir);
    const changed = await person.agent
      .put(`${path}/voices/parts`)
      .send({ parts: eight, moves: {} })
      .expect(200);
    expect(voicesSchema.parse(changed.body).parts).toEqual(eight);
    expect(voicesSchema.parse(changed.body).sections).toHaveLength(8);
  });

  it('do not leave a singer without one', async () => {
    await person.agent
      .post(`${path}/singers`)
      .send({
        add: [
          singer(),
          singer({ name: 'Bo', part: 'T', also: ['B'], comfort: [50, 67], reach: [50, 67] }),
        ],
        change: [],
      })
      .expect(201);
    const { body } = await person.agent
      .put(`${path}/voices/parts`)
      .send({ parts: eight, moves: { T: 'T1' } })
      .expect(409);
    expect(errorBody.parse(body).error).toMatchObject({
      code: 'singers_left',
      message: 'Say where the one bass sings from now on.',
    });
    await person.agent
      .put(`${path}/voices/parts`)
      .send({ parts: eight, moves: { T: 'T1', B: 'B2' } })
      .expect(200);
    const singers = await rosterOf(person);
    expect(singers.map(({ part, also }) => [part, ...also])).toEqual([['B2'], ['T1', 'B2']]);
  });

  it('have letters of their own, and at least two of them', async () => {
    for (const parts of [eight.slice(0, 1), [...eight, eight[0]], [eight[0], eight[0]]]) {
      await person.agent.put(`${path}/voices/parts`).send({ parts, moves: {} }).expect(400);
    }
  });
});
