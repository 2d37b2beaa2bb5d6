import { exercises as builtIn } from '@wide-fern/catalogue';
import type {
  ChoirExercises,
  Exercise,
  ExerciseVersion,
  StoredExercises,
} from '@wide-fern/contract';
import type { Express } from 'express';
import { testDatabase } from '../testing/database';
import { addEvening, documentOf, planPath, signUp, testApp, type Person } from '../testing/people';

const database = testDatabase();
const hum = builtIn.find(({ id }) => id === 'narrow-hum')!;
const own = (changed: Partial<Exercise> = {}): Exercise => ({
  ...hum,
  id: 'own-hum',
  name: 'Our hum',
  ...changed,
});

describe('a choir’s own exercises', () => {
  let app: Express;
  let person: Person;
  const path = (rest = '') => `/api/choirs/${person.choir}/exercises${rest}`;
  const show = async () => (await person.agent.get(path()).expect(200)).body as ChoirExercises;
  const store = async (...list: readonly Exercise[]) =>
    (await person.agent.post(path()).send({ exercises: list }).expect(201)).body as StoredExercises;

  beforeEach(async () => {
    app = testApp(database);
    person = await signUp(app);
  });

  it('are stored, changed in versions, and every version stays', async () => {
    expect(await show()).toEqual({ own: [], marks: {}, lastUsed: {} });
    const { stored } = await store(own());
    expect(stored).toEqual([own({ version: 1 })]);
    const cue = 'Softer than that.';
    const changed = await person.agent
      .put(path('/own-hum'))
      .send({ version: 1, exercise: own({ cue }) })
      .expect(200);
    expect(changed.body).toEqual(own({ cue, version: 2 }));
    expect((await show()).own).toEqual([own({ cue, version: 2 })]);
    const { body } = await person.agent.get(path('/own-hum/versions')).expect(200);
    expect(
      (body as { items: ExerciseVersion[] }).items.map(({ version, savedBy, exercise }) => [
        version,
        savedBy,
        exercise.cue,
      ]),
    ).toEqual([
      [2, 'Wren Aldous', cue],
      [1, 'Wren Aldous', hum.cue],
    ]);
  });

  it('stored by an earlier application are read in the present shape, every version', async () => {
    await store(own());
    const { anchor: _, family: __, easier: ___, harder: ____, ...rest } = own();
    const earlier = {
      ...rest,
      watchFor: ['A knock at the start.'],
      music: { kind: 'body', seconds: 6, moves: ['Hum and sway.'] },
      usual: { ...hum.usual, demonstrate: false },
    };
    const stored = JSON.stringify(earlier);
    await database.orm.em.fork().execute('update own_exercise set document = ?', [stored]);
    await database.orm.em.fork().execute('update exercise_version set document = ?', [stored]);
    const now = {
      anchor: 'middle',
      watchFor: [{ see: 'A knock at the start.', help: '' }],
      music: {
        kind: 'body',
        moves: [{ text: 'Hum and sway.', sides: 1, times: 1, seconds: 6, held: 0 }],
      },
      usual: { demonstrate: 'no' },
    };
    expect((await show()).own).toMatchObject([now]);
    const { body } = await person.agent.get(path('/own-hum/versions')).expect(200);
    expect((body as { items: ExerciseVersion[] }).items[0]!.exercise).toMatchObject(now);
  });

  it('are refused when someone else changed them in between, and nothing is lost', async () => {
    await store(own());
    await person.agent
      .put(path('/own-hum'))
      .send({ version: 1, exercise: own({ cue: 'First.' }) })
      .expect(200);
    await person.agent
      .put(path('/own-hum'))
      .send({ version: 1, exercise: own({ cue: 'Second.' }) })
      .expect(409);
    expect((await show()).own[0]!.cue).toBe('First.');
  });

  it('take an id of their own when theirs is taken, and are not stored twice', async () => {
    const first = await store(
      own(),
      own({ cue: 'Another.' }),
      own({ id: 'narrow-hum', cue: 'Mine.' }),
    );
    expect(first.stored.map(({ id }) => id)).toEqual(['own-hum', 'own-hum-2', 'narrow-hum-2']);
    const again = await store(
      own(),
      hum,
      own({ id: 'elsewhere', cue: 'Another.' }),
      own({ name: 'New' }),
    );
    expect(again.alike).toEqual(['Our hum', 'Narrow hum', 'Our hum']);
    expect(again.stored.map(({ id, name }) => [id, name])).toEqual([['own-hum-3', 'New']]);
  });

  it('are checked whole: a bad one stores none', async () => {
    const bad = { ...own({ id: 'bad' }), music: { kind: 'pattern', mode: 'major', notes: [] } };
    const { body } = await person.agent
      .post(path())
      .send({ exercises: [own(), bad] })
      .expect(400);
    expect(Object.keys((body as { error: { fields: object } }).error.fields)[0]).toMatch(
      /^exercises\.1\.music/,
    );
    expect((await show()).own).toEqual([]);
  });

  it('are thrown away and brought back, with their versions', async () => {
    await store(own());
    await person.agent.delete(path('/own-hum')).expect(204);
    expect((await show()).own).toEqual([]);
    await person.agent.post(path('/own-hum/back')).expect(204);
    expect((await show()).own).toEqual([own({ version: 1 })]);
    await person.agent.delete(path('/never-was')).expect(404);
  });

  it('belong to one choir: another neither sees nor changes them', async () => {
    await store(own());
    const other = await signUp(app);
    const theirs = `/api/choirs/${other.choir}/exercises`;
    expect(((await other.agent.get(theirs)).body as ChoirExercises).own).toEqual([]);
    await other.agent.put(`${theirs}/own-hum`).send({ version: 1, exercise: own() }).expect(404);
    await other.agent.get(`${theirs}/own-hum/versions`).expect(404);
    await other.agent
      .put(`${theirs}/own-hum/mark`)
      .send({ favourite: true, hidden: false, note: '' })
      .expect(404);
  });
});

describe('what a choir thinks of exercises', () => {
  it('is kept for built-in and own ones, and can be changed', async () => {
    const person = await signUp(testApp(database));
    const path = `/api/choirs/${person.choir}/exercises`;
    const mark = { favourite: true, hidden: false, note: 'With the altos first.' };
    await person.agent.put(`${path}/narrow-hum/mark`).send(mark).expect(200);
    const changed = { ...mark, favourite: false, hidden: true };
    await person.agent.put(`${path}/narrow-hum/mark`).send(changed).expect(200);
    const { marks } = (await person.agent.get(path)).body as ChoirExercises;
    expect(marks).toEqual({ 'narrow-hum': changed });
    await person.agent.put(`${path}/no-such/mark`).send(mark).expect(404);
    const long = { ...mark, note: 'x'.repeat(1001) };
    await person.agent.put(`${path}/narrow-hum/mark`).send(long).expect(400);
  });
});

describe('when an exercise was last used', () => {
  it('is the last evening that has begun and had it in a warm-up', async () => {
    const person = await signUp(testApp(database));
    for (const [date, ids] of [
      ['2020-05-05', ['narrow-hum', 'coat-off']],
      ['2020-05-12', ['narrow-hum']],
      ['2099-05-05', ['narrow-hum', 'pulley']],
    ] as const) {
      const evening = await addEvening(person, date);
      await person.agent
        .put(planPath(person.choir, evening.id))
        .send({ version: 0, document: documentOf(evening, ids), edits: [] })
        .expect(200);
    }
    const { lastUsed } = (await person.agent.get(`/api/choirs/${person.choir}/exercises`))
      .body as ChoirExercises;
    expect(lastUsed).toEqual({
      'narrow-hum': '2020-05-12T18:30:00.000Z',
      'coat-off': '2020-05-05T18:30:00.000Z',
    });
  });
});

describe('the comfortable phrase of a choir', () => {
  it('is nine seconds until a director says otherwise', async () => {
    const person = await signUp(testApp(database));
    const path = `/api/choirs/${person.choir}`;
    expect((await person.agent.get(path)).body).toMatchObject({ phraseSeconds: 9 });
    await person.agent.put(path).send({ phraseSeconds: 13 }).expect(200);
    expect((await person.agent.get(path)).body).toMatchObject({ phraseSeconds: 13 });
    await person.agent.put(path).send({ phraseSeconds: 1 }).expect(400);
  });
});
