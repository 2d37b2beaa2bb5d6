import { randomUUID } from 'node:crypto';
import {
  errorBody,
  keptPlanSchema,
  pageOf,
  planSchema,
  storedPlanSchema,
  planVersionSchema,
  wholeKeptPlanSchema,
  wholeVersionSchema,
  type EditFact,
  type Evening,
  type Plan as PlanView,
} from '@wide-fern/contract';
import type { Express } from 'express';
import { Plan } from '../db/entities/plan';
import { testDatabase } from '../testing/database';
import {
  addEvening,
  documentOf,
  join,
  keptLog,
  planPath,
  signUp,
  testApp,
  type Person,
} from '../testing/people';

const database = testDatabase();

describe('plans', () => {
  let app: Express;
  let person: Person;
  let evening: Evening;
  let path: string;
  const { log, lines } = keptLog();

  beforeAll(() => {
    app = testApp(database, log);
  });
  beforeEach(async () => {
    person = await signUp(app);
    evening = await addEvening(person);
    path = planPath(person.choir, evening.id);
  });
  const stored = () => database.orm.em.fork().find(Plan, { evening: evening.id });

  it('are none at first, then what was saved', async () => {
    expect((await person.agent.get(path).expect(200)).body).toEqual({ plan: null });
    const document = documentOf(evening, ['coat-off', 'slate-steps']);
    const first = await person.agent
      .put(path)
      .send({ version: 0, document, edits: [] })
      .expect(200);
    expect(storedPlanSchema.parse(first.body)).toMatchObject({
      version: 1,
      savedBy: 'Wren Aldous',
    });
    const { plan } = (await person.agent.get(path).expect(200)).body as { plan: PlanView };
    expect(planSchema.parse(plan).document).toEqual(document);
    const second = await person.agent
      .put(path)
      .send({ version: 1, document: documentOf(evening, ['coat-off']), edits: [] })
      .expect(200);
    expect(second.body).toMatchObject({ version: 2 });
  });

  it('refuse a save from an older version, and keep what is there', async () => {
    const mine = documentOf(evening, ['coat-off']);
    const theirs = documentOf(evening, ['pulley']);
    await person.agent.put(path).send({ version: 0, document: theirs, edits: [] }).expect(200);
    for (const version of [0, 7]) {
      const late = await person.agent
        .put(path)
        .send({ version, document: mine, edits: [] })
        .expect(409);
      expect(errorBody.parse(late.body).error.code).toBe('changed_meanwhile');
    }
    expect((await stored())[0]?.document).toEqual(theirs);
  });

  it('let exactly one of many saves at once through', async () => {
    await person.agent
      .put(path)
      .send({ version: 0, document: documentOf(evening, []), edits: [] })
      .expect(200);
    const document = documentOf(evening, ['pulley']);
    const answers = await Promise.all(
      Array.from({ length: 8 }, () =>
        person.agent.put(path).send({ version: 1, document, edits: [] }),
      ),
    );
    expect(answers.map(({ status }) => status).sort()).toEqual([
      200,
      ...Array<number>(7).fill(409),
    ]);
    const [first, ...more] = await Promise.all(
      Array.from({ length: 4 }, async () => {
        const fresh = await addEvening(person, '2031-02-03');
        const at = planPath(person.choir, fresh.id);
        const both = await Promise.all(
          [0, 0].map((version) => person.agent.put(at).send({ version, document, edits: [] })),
        );
        return both.map(({ status }) => status).sort();
      }),
    );
    for (const statuses of [first, ...more]) expect(statuses).toEqual([200, 409]);
  });

  it.each([
    ['no JSON', '{"version": 0, "document"', 400, 'bad_json'],
    ['a wrong type', JSON.stringify({ version: 'one', document: {} }), 400, 'invalid'],
    ['nothing', '', 400, 'invalid'],
    ['a list', '[]', 400, 'invalid'],
    [
      'a huge body',
      JSON.stringify({ version: 0, document: 'x'.repeat(3_500_000) }),
      413,
      'too_large',
    ],
  ])('refuse %s', async (_, body, status, code) => {
    const answer = await person.agent.put(path).type('json').send(body).expect(status);
    expect(errorBody.parse(answer.body).error.code).toBe(code);
    expect(await stored()).toEqual([]);
    await person.agent.get('/api/health').expect(200);
  });

  it('refuse 10,000 segments, small or whole', async () => {
    const document = documentOf(evening, ['coat-off']);
    const whole = Array.from({ length: 10_000 }, (_, i) => ({
      ...document.segments[0]!,
      id: String(i),
    }));
    const answer = await person.agent
      .put(path)
      .send({ version: 0, document: { ...document, segments: whole }, edits: [] })
      .expect(413);
    errorBody.parse(answer.body);
    const small = Array.from({ length: 10_000 }, (_, i) => ({ id: String(i) }));
    await person.agent
      .put(path)
      .send({ version: 0, document: { ...document, segments: small }, edits: [] })
      .expect(400);
    expect(await stored()).toEqual([]);
  });

  it('name the field that is wrong', async () => {
    const document = documentOf(evening, ['pulley']);
    document.segments[0]!.choices.tempo = 1000;
    const answer = await person.agent
      .put(path)
      .send({ version: 0, document, edits: [] })
      .expect(400);
    expect(errorBody.parse(answer.body).error.fields).toEqual({
      'document.segments.0.choices.tempo': 'The tempo: 240 at most.',
    });
    document.segments = [...document.segments, ...document.segments];
    document.segments[0]!.choices.tempo = 100;
    await person.agent.put(path).send({ version: 0, document, edits: [] }).expect(400);
  });

  it('belong to a warm-up or a cool-down of an evening that exists', async () => {
    const document = documentOf(evening, []);
    const save = (at: string) => person.agent.put(at).send({ version: 0, document, edits: [] });
    await save(planPath(person.choir, randomUUID())).expect(404);
    await save(planPath(person.choir, evening.id, 'break')).expect(404);
    await save(planPath(person.choir, evening.id, "'; drop table plan; --")).expect(404);
  });

  it('leave nothing personal in the log', async () => {
    await person.agent
      .put(path)
      .send({ version: 0, document: documentOf(evening, ['pulley']), edits: [] });
    const all = lines.join('');
    expect(lines.length).toBeGreaterThan(0);
    for (const secret of [person.email, 'Wren', evening.id, 'wide_fern_session', 'Pulley']) {
      expect(all).not.toContain(secret);
    }
  });

  it('remember who saved what when, version by version, for who may look', async () => {
    const versions = async () =>
      pageOf(planVersionSchema).parse(
        (await person.agent.get(`${path}/versions`).expect(200)).body,
      );
    expect(await versions()).toEqual({ items: [], next: null });
    const edits: EditFact[] = [{ code: 'added', name: 'Pulley', place: 1 }];
    const save = (version: number, ids: string[]) =>
      person.agent
        .put(path)
        .send({ version, document: documentOf(evening, ids), edits: ids.length > 0 ? edits : [] });
    await save(0, ['pulley']).expect(200);
    await save(1, []).expect(200);
    await save(1, ['pulley']).expect(409);
    expect((await versions()).items).toMatchObject([
      { version: 2, savedBy: 'Wren Aldous', edits: [] },
      { version: 1, savedBy: 'Wren Aldous', edits },
    ]);
  });

  it('are kept as they were before another plan, another hand, or a pause', async () => {
    const save = (agent: typeof person.agent, version: number, ids: string[], edits: EditFact[]) =>
      agent
        .put(path)
        .send({ version, document: documentOf(evening, ids), edits })
        .expect(200);
    const whole = async () =>
      pageOf(planVersionSchema)
        .parse((await person.agent.get(`${path}/versions`).expect(200)).body)
        .items.flatMap((one) => (one.whole ? [one.version] : []));
    const small: EditFact[] = [{ code: 'added', name: 'Pulley', place: 1 }];
    await save(person.agent, 0, ['pulley'], small);
    await save(person.agent, 1, ['pulley', 'embers'], small);
    await save(person.agent, 2, ['embers'], small);
    expect(await whole()).toEqual([]);
    await save(person.agent, 3, ['coat-off'], [{ code: 'built', segments: 1 }]);
    expect(await whole()).toEqual([3]);
    // After a pause the plan is kept as it was before it.
    await database.orm.em.execute(
      `update plan set saved_at = saved_at - interval '11 minutes' where evening_id = ?`,
      [evening.id],
    );
    await save(person.agent, 4, ['coat-off', 'pulley'], small);
    expect(await whole()).toEqual([4, 3]);
    // So is what another hand found.
    const other = await signUp(app, 'Ash Farrow');
    await join(person, other, 'deputy');
    await save(other.agent, 5, ['pulley'], small);
    expect(await whole()).toEqual([5, 4, 3]);
    const at = async (version: number) => {
      const { body } = await person.agent.get(`${path}/versions/${version}`).expect(200);
      return wholeVersionSchema.parse(body).document.segments.map(({ exercise }) => exercise.id);
    };
    expect([await at(3), await at(4), await at(5)]).toEqual([
      ['embers'],
      ['coat-off'],
      ['coat-off', 'pulley'],
    ]);
    for (const gone of ['2', '6', '0', '-1', 'x', '99999999999']) {
      await person.agent.get(`${path}/versions/${gone}`).expect(404);
    }
  });

  it('are kept to begin from, for everybody who leads, and thrown away', async () => {
    const at = `/api/choirs/${person.choir}/kept-plans`;
    const document = documentOf(evening, ['pulley', 'embers']);
    const send = (name: string) => person.agent.post(at).send({ name, document });
    const kept = keptPlanSchema.parse((await send('Short and high').expect(201)).body);
    expect(kept).toMatchObject({ name: 'Short and high', keptBy: 'Wren Aldous' });
    expect(kept.exercises).toEqual(['Pulley', 'Embers']);
    await send(' ').expect(400);
    const other = await signUp(app, 'Ash Farrow');
    await other.agent.get(at).expect(404);
    await join(person, other, 'deputy');
    expect((await other.agent.get(at).expect(200)).body).toEqual([kept]);
    const whole = await other.agent.get(`${at}/${kept.id}`).expect(200);
    expect(wholeKeptPlanSchema.parse(whole.body).document).toEqual(document);
    await person.agent.delete(`${at}/${kept.id}`).expect(204);
    await person.agent.get(`${at}/${kept.id}`).expect(404);
    await person.agent.delete(`${at}/${kept.id}`).expect(404);
    await person.agent.get(`${at}/${randomUUID()}`).expect(404);
  });

  it('stored under an older schema are read as they would be stored now', async () => {
    const document = documentOf(evening, ['pulley']);
    await person.agent.put(path).send({ version: 0, document, edits: [] }).expect(200);
    const { sections, ...rest } = document.tonight;
    await database.orm.em.execute(`update plan set document = ?::jsonb where evening_id = ?`, [
      JSON.stringify({ ...document, schema: 1, tonight: { ...rest, bands: sections } }),
      evening.id,
    ]);
    const { plan } = (await person.agent.get(path).expect(200)).body as { plan: PlanView };
    expect(plan.document).toEqual(document);
  });
});
