import { randomUUID } from 'node:crypto';
import fc from 'fast-check';
import {
  errorBody,
  pageOf,
  planSchema,
  planVersionSchema,
  storedPlanSchema,
  wholeVersionSchema,
  type EditFact,
  type Evening,
  type PlanDocument,
  type PlanEdit,
  type SmallEdit,
} from '@wide-fern/contract';
import { choose, moveTo, performAll, smallEditsBetween, takeOut } from '@wide-fern/plan';
import type { Express } from 'express';
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
const some = ['coat-off', 'narrow-hum', 'pulley', 'embers'] as const;
const facts: EditFact[] = [{ code: 'chosen', name: 'Pulley', field: 'talk', value: 5 }];

describe('a plan of which a little changes', () => {
  let app: Express;
  let person: Person;
  let evening: Evening;
  let path: string;
  beforeAll(async () => {
    app = testApp(database);
    person = await signUp(app);
  });
  beforeEach(async () => {
    evening = await addEvening(person);
    path = planPath(person.choir, evening.id);
  });

  type Agent = Person['agent'];
  const save = (version: number, document: PlanDocument, agent: Agent = person.agent) =>
    agent.put(path).send({ version, document, edits: facts });
  const change = (version: number, changes: readonly PlanEdit[], agent: Agent = person.agent) =>
    agent.post(`${path}/changes`).send({ version, changes, edits: facts });
  const plan = async () =>
    planSchema.parse(((await person.agent.get(path).expect(200)).body as { plan: unknown }).plan);
  const talk = (seconds: number): PlanEdit[] => [choose('s2', { talk: seconds })];
  /** A plan of four exercises, and what it is after some edits. */
  const begun = async () => {
    const document = documentOf(evening, some);
    await save(0, document).expect(200);
    return (...edits: PlanEdit[]) => performAll(document, edits);
  };
  const waiting = async (): Promise<number> => {
    const [row]: { waiting: number }[] = await database.orm.em.execute(
      `select count(*)::int as waiting from plan_change
        join plan on plan.id = plan_id where evening_id = ?`,
      [evening.id],
    );
    return row!.waiting;
  };
  const versions = async () =>
    pageOf(planVersionSchema).parse((await person.agent.get(`${path}/versions`).expect(200)).body)
      .items;

  it('is what it was with that changed, as a version with who and what', async () => {
    const after = await begun();
    const edits = [...talk(5), { kind: 'move', id: 's2', after: null } as const];
    const { body } = await change(1, edits).expect(200);
    expect(storedPlanSchema.parse(body)).toMatchObject({ version: 2, savedBy: 'Wren Aldous' });
    expect(await plan()).toMatchObject({ version: 2, document: after(...edits) });
    await change(2, talk(7)).expect(200);
    expect((await plan()).document).toEqual(after(...edits, ...talk(7)));
    expect(await versions()).toMatchObject([3, 2, 1].map((version) => ({ version, edits: facts })));
    expect(await waiting()).toBe(2);
  });

  it('is the same as one that is stored whole each time, whatever was done in whatever order', async () => {
    const id = fc.constantFrom('s0', 's1', 's2', 's3');
    // Mostly the same two, so that what is stored later contradicts what was stored before.
    const few = fc.constantFrom('s1', 's2');
    const edit: fc.Arbitrary<(now: PlanDocument) => PlanEdit> = fc.oneof(
      fc.tuple(few, fc.nat(60)).map(
        ([one, seconds]) =>
          () =>
            choose(one, { talk: seconds }),
      ),
      fc.tuple(few, fc.constantFrom(true, undefined)).map(
        ([one, pinned]) =>
          () =>
            choose(one, { pinned }),
      ),
      fc.tuple(id, fc.nat(4)).map(
        ([one, place]) =>
          (now: PlanDocument) =>
            moveTo(now, one, place),
      ),
      id.map((one) => () => takeOut(one)),
    );
    await fc.assert(
      fc.asyncProperty(
        fc.array(fc.tuple(edit, fc.boolean()), { minLength: 3, maxLength: 12 }),
        async (row) => {
          evening = await addEvening(person);
          path = planPath(person.choir, evening.id);
          let now = documentOf(evening, some);
          let version = 0;
          await save(version++, now).expect(200);
          for (const [make, isWhole] of row) {
            const next = performAll(now, [make(now)]);
            const small = isWhole ? undefined : smallEditsBetween(now, next);
            await (small ? change(version++, small) : save(version++, next)).expect(200);
            now = next;
          }
          expect(await plan()).toMatchObject({ version, document: now });
        },
      ),
      { numRuns: 12 },
    );
  }, 120_000);

  it('is refused over an older version, and one of many at once gets through', async () => {
    const after = await begun();
    await change(1, talk(5)).expect(200);
    for (const version of [1, 3, 9]) {
      const late = await change(version, talk(9)).expect(409);
      expect(errorBody.parse(late.body).error.code).toBe('changed_meanwhile');
    }
    expect((await plan()).document).toEqual(after(...talk(5)));
    // Half of them would store what changed, half the whole document.
    const answers = await Promise.all(
      Array.from({ length: 8 }, (_, i) =>
        i % 2 === 0 ? change(2, talk(10 + i)) : save(2, after(...talk(10 + i))),
      ),
    );
    const through = answers.flatMap(({ status }, i) => (status === 200 ? [i] : []));
    expect(through).toHaveLength(1);
    expect(answers.filter(({ status }) => status === 409)).toHaveLength(7);
    expect((await plan()).document).toEqual(after(...talk(10 + through[0]!)));
  });

  it('is kept as it was, whole, before another hand and after a pause', async () => {
    const after = await begun();
    await change(1, talk(5)).expect(200);
    await change(2, talk(6)).expect(200);
    const other = await signUp(app, 'Ash Farrow');
    await join(person, other, 'deputy');
    await change(3, talk(7), other.agent).expect(200);
    expect((await plan()).document).toEqual(after(...talk(7)));
    await change(4, talk(8), other.agent).expect(200);
    await database.orm.em.execute(
      `update plan set saved_at = saved_at - interval '11 minutes' where evening_id = ?`,
      [evening.id],
    );
    await save(5, after(...talk(9)), other.agent).expect(200);
    const whole = (await versions()).flatMap((one) => (one.whole ? [one.version] : []));
    expect(whole).toEqual([5, 3]);
    const at = async (version: number) =>
      wholeVersionSchema.parse(
        (await person.agent.get(`${path}/versions/${version}`).expect(200)).body,
      ).document;
    expect(await at(3)).toEqual(after(...talk(6)));
    expect(await at(5)).toEqual(after(...talk(8)));
    expect((await plan()).document).toEqual(after(...talk(9)));
  });

  it('is stored whole now and then, so that there is never much to put together', async () => {
    const after = await begun();
    for (let version = 1; version <= 103; version += 1) {
      await change(version, talk(version)).expect(200);
      expect(await waiting()).toBeLessThanOrEqual(100);
    }
    expect(await waiting()).toBe(2);
    expect(await plan()).toMatchObject({ version: 104, document: after(...talk(103)) });
  }, 60_000);

  it('is so wherever it is read: copied with its evening, and at a link', async () => {
    const after = await begun();
    await change(1, talk(42)).expect(200);
    const at = `/api/choirs/${person.choir}`;
    const copied = await person.agent
      .post(`${at}/evenings/${evening.id}/copies`)
      .send({ dates: ['2030-06-01'], withPlans: true })
      .expect(201);
    const [{ id: copy }] = copied.body as [{ id: string }];
    const { body } = await person.agent.get(planPath(person.choir, copy)).expect(200);
    expect(planSchema.parse((body as { plan: unknown }).plan).document).toEqual(after(...talk(42)));
    const link = await person.agent.post(`${path}/links`).send({ note: '' }).expect(201);
    const { code } = link.body as { code: string };
    const linked = await person.agent.post('/api/plan-link').send({ secret: code }).expect(200);
    const { document } = linked.body as { document: PlanDocument };
    expect(document.segments[2]!.choices.talk).toBe(42);
  });

  it('is refused where it is about what is not there', async () => {
    const after = await begun();
    const missing = (changes: SmallEdit[]) => change(1, changes);
    for (const changes of [
      [{ kind: 'choose', id: 'gone', choices: { talk: 5 } }],
      [{ kind: 'move', id: 'gone', after: null }],
      [{ kind: 'move', id: 's0', after: 'gone' }],
    ] as const) {
      const answer = await missing([...changes]).expect(409);
      expect(errorBody.parse(answer.body).error.code).toBe('changed_meanwhile');
    }
    expect(await plan()).toMatchObject({ version: 1, document: after() });
  });

  it('is refused where there is no plan, no item, no evening, and from outside', async () => {
    await change(1, talk(5)).expect(409);
    await begun();
    const at = (place: string) =>
      person.agent.post(`${place}/changes`).send({ version: 1, changes: talk(5), edits: [] });
    await at(planPath(person.choir, evening.id, 'other')).expect(404);
    await at(planPath(person.choir, randomUUID())).expect(404);
    const stranger = await signUp(app, 'Ash Farrow');
    await change(1, talk(5), stranger.agent).expect(404);
    await at(planPath(stranger.choir, evening.id)).expect(404);
    await join(person, stranger, 'reader');
    await change(1, talk(5), stranger.agent).expect(403);
    expect((await plan()).version).toBe(1);
  });

  it.each([
    ['nothing', []],
    ['a segment more', [{ kind: 'take-out', id: 's0' }]],
    ['a tempo that is none', [{ kind: 'choose', id: 's0', choices: { tempo: 5000 } }]],
    ['a choice that has to be made taken back', [{ kind: 'choose', id: 's0', without: ['tempo'] }]],
    ['too much at once', Array(81).fill({ kind: 'choose', id: 's0', choices: { talk: 5 } })],
  ])('is refused: %s', async (_, changes) => {
    const after = await begun();
    await change(1, changes as PlanEdit[]).expect(400);
    expect(await plan()).toMatchObject({ version: 1, document: after() });
  });
});
