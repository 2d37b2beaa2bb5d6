import { randomUUID } from 'node:crypto';
import {
  choirSchema,
  errorBody,
  sessionSchema,
  type AuditRecord,
  type Member as MemberView,
  type NewInvitation,
} from '@wide-fern/contract';
import { recordInWords } from '@wide-fern/words';
import type { Express } from 'express';
import supertest from 'supertest';
import { Account, Attempt } from '../db/entities/account';
import { Choir, Invitation, Member } from '../db/entities/choir';
import { Evening } from '../db/entities/evening';
import { Singer, VoicePart } from '../db/entities/voices';
import { testDatabase } from '../testing/database';
import { addEvening, join, password, signUp, testApp, type Person } from '../testing/people';
import { tidyUp } from '../upkeep';

const database = testDatabase();

describe('members', () => {
  let app: Express;
  beforeAll(() => {
    app = testApp(database);
  });

  const inChoir = (path: string) => `/api/choirs/${path}`;
  const membersOf = async ({ agent, choir }: Person) =>
    (await agent.get(inChoir(`${choir}/members`)).expect(200)).body as MemberView[];

  it('come by an invitation that they accept, once, and nobody else does', async () => {
    const [owner, other, third] = [
      await signUp(app),
      await signUp(app, 'Ash Tarn'),
      await signUp(app),
    ];
    const at = inChoir(`${owner.choir}/invitations`);
    const made = await owner.agent.post(at).send({ role: 'deputy', note: 'for Ash' }).expect(201);
    const { code, id } = made.body as NewInvitation;
    expect((await owner.agent.get(at).expect(200)).body).toMatchObject([{ id, note: 'for Ash' }]);
    // A copy of the table lets nobody in.
    const stored = await database.orm.em.fork().findOneOrFail(Invitation, { id });
    expect(JSON.stringify(stored)).not.toContain(code);
    const look = await supertest(app).post('/api/invitation').send({ secret: code }).expect(200);
    expect(look.body).toEqual({ choir: 'Test Choir', role: 'deputy', by: 'Wren Aldous' });
    const typed = ` ${code.toLowerCase().replaceAll('-', ' ')} `;
    const { body } = await other.agent
      .post('/api/invitation/accepted')
      .send({ secret: typed })
      .expect(200);
    expect(sessionSchema.parse(body).choirs.map(({ role }) => role)).toEqual([
      'director',
      'deputy',
    ]);
    await third.agent.post('/api/invitation/accepted').send({ secret: code }).expect(404);
    expect((await owner.agent.get(at).expect(200)).body).toEqual([]);
    expect((await membersOf(owner)).map(({ name, you }) => [name, you])).toEqual([
      ['Wren Aldous', true],
      ['Ash Tarn', false],
    ]);
  });

  it('are one more when two accept one invitation at once', async () => {
    const [owner, one, two] = [await signUp(app), await signUp(app), await signUp(app)];
    const made = await owner.agent
      .post(inChoir(`${owner.choir}/invitations`))
      .send({ role: 'reader', note: '' });
    const { code } = made.body as NewInvitation;
    const answers = await Promise.all(
      [one, two].map(({ agent }) => agent.post('/api/invitation/accepted').send({ secret: code })),
    );
    expect(answers.map(({ status }) => status).sort()).toEqual([200, 404]);
    expect(await membersOf(owner)).toHaveLength(2);
  });

  it('begin in the choir they were invited to, without founding one', async () => {
    const owner = await signUp(app);
    const made = await owner.agent
      .post(inChoir(`${owner.choir}/invitations`))
      .send({ role: 'deputy', note: '' });
    const { code } = made.body as NewInvitation;
    const email = `${randomUUID()}@example.org`;
    const wanted = { name: 'Ash Tarn', email, password, invitation: code };
    const { body } = await supertest(app).post('/api/accounts').send(wanted).expect(201);
    expect(sessionSchema.parse(body).choirs).toEqual([
      { id: owner.choir, name: 'Test Choir', role: 'deputy' },
    ]);
    // The code is used up; no account comes of it.
    await supertest(app)
      .post('/api/accounts')
      .send({ ...wanted, email: `x${email}` })
      .expect(404);
    expect(await database.orm.em.fork().count(Account, { email: `x${email}` })).toBe(0);
  });

  it('do not come by an invitation taken back, run out, or made up', async () => {
    const [owner, other] = [await signUp(app), await signUp(app)];
    const at = inChoir(`${owner.choir}/invitations`);
    const invite = async () =>
      (await owner.agent.post(at).send({ role: 'director', note: '' })).body as NewInvitation;
    const [back, old] = [await invite(), await invite()];
    await owner.agent.delete(`${at}/${back.id}`).expect(204);
    await owner.agent.delete(`${at}/${back.id}`).expect(404);
    await database.orm.em
      .fork()
      .nativeUpdate(Invitation, { id: old.id }, { expiresAt: new Date(0) });
    for (const secret of [back.code, old.code, 'AAAA-AAAA-AAAA']) {
      await other.agent.post('/api/invitation/accepted').send({ secret }).expect(404);
      await supertest(app).post('/api/invitation').send({ secret }).expect(404);
    }
    expect(await membersOf(owner)).toHaveLength(1);
    await database.orm.em.fork().nativeDelete(Attempt, {});
  });

  it('are given another role, taken out, and brought back', async () => {
    const [owner, other] = [await signUp(app), await signUp(app, 'Ash Tarn')];
    await join(owner, other, 'deputy');
    const id = (await membersOf(owner)).find(({ you }) => !you)!.id;
    const path = inChoir(`${owner.choir}/members`);
    await other.agent.get(inChoir(`${owner.choir}/evenings`)).expect(200);
    await owner.agent.put(`${path}/${id}`).send({ role: 'reader' }).expect(200);
    await other.agent.get(path).expect(403);
    await owner.agent.delete(`${path}/${id}`).expect(204);
    await other.agent.get(inChoir(owner.choir)).expect(404);
    expect(await membersOf(owner)).toHaveLength(1);
    await owner.agent.delete(`${path}/${id}`).expect(404);
    await owner.agent.put(`${path}/${id}`).send({ role: 'director' }).expect(404);
    const { body } = await owner.agent.post(`${path}/${id}/back`).expect(200);
    expect(body).toMatchObject({ name: 'Ash Tarn', role: 'reader' });
    await other.agent.get(inChoir(owner.choir)).expect(200);
    await owner.agent.put(`${path}/${randomUUID()}`).send({ role: 'reader' }).expect(404);
  });

  it('leave by themselves; the last director does not', async () => {
    const [owner, other] = [await signUp(app), await signUp(app)];
    await join(owner, other, 'reader');
    const { body } = await other.agent.delete(inChoir(`${owner.choir}/membership`)).expect(200);
    expect(sessionSchema.parse(body).choirs.map(({ id }) => id)).toEqual([other.choir]);
    await other.agent.get(inChoir(owner.choir)).expect(404);
    const refused = await owner.agent.delete(inChoir(`${owner.choir}/membership`)).expect(409);
    expect(errorBody.parse(refused.body).error.code).toBe('last_director');
  });

  it('always have a director among them, even when two leave at once', async () => {
    const [one, two] = [await signUp(app), await signUp(app)];
    await join(one, two, 'director');
    const path = inChoir(`${one.choir}/members`);
    const answers = await Promise.all([
      ...(await membersOf(one)).map(({ id }) =>
        one.agent.put(`${path}/${id}`).send({ role: 'deputy' }),
      ),
      two.agent.delete(inChoir(`${one.choir}/membership`)),
    ]);
    const refused = answers.filter(({ status }) => status === 409);
    expect(refused.length).toBeGreaterThanOrEqual(1);
    expect(errorBody.parse(refused[0]!.body).error.code).toBe('last_director');
    const em = database.orm.em.fork();
    expect(await em.count(Member, { choir: one.choir, role: 'director' })).toBe(1);
  });

  it('are told by nothing whether an e-mail has an account', async () => {
    // There is no way to ask: nobody is added by an e-mail.
    const owner = await signUp(app);
    await owner.agent
      .post(inChoir(`${owner.choir}/members`))
      .send({ email: owner.email, role: 'reader' })
      .expect(404);
  });
});

describe('a choir', () => {
  const app = () => testApp(database);

  it('is renamed and set by its director, one thing at a time', async () => {
    const { agent, choir } = await signUp(app());
    const change = (body: object) => agent.put(`/api/choirs/${choir}`).send(body);
    await change({ name: 'Low Quarry Choir' }).expect(200);
    const { body } = await change({ accidentals: 'sharps', timeZone: 'Europe/Oslo' }).expect(200);
    expect(choirSchema.parse(body)).toMatchObject({
      name: 'Low Quarry Choir',
      accidentals: 'sharps',
      timeZone: 'Europe/Oslo',
      phraseSeconds: 9,
      approach: 'evening-after-work',
      level: 2,
      approaches: [],
      courses: {},
    });
    await change({ timeZone: 'Fern/Nowhere' }).expect(400);
    await change({ name: ' ' }).expect(400);
  });

  it('keeps courses of its own and follows others, each changed by itself', async () => {
    const { agent, choir } = await signUp(app());
    const course = (id: string, name: string) => ({
      ...{ id, name, purpose: '' },
      steps: ['long-s', 'slow-dawn'].map((exercise) => ({
        ...{ exercise, evenings: 2 },
        need: { kind: 'managed', by: 'most' },
      })),
    });
    const change = (courses: object) => agent.put(`/api/choirs/${choir}`).send({ courses });
    const since = '2026-11-02T18:30:00.000Z';
    // From two windows at once; neither takes the other's away.
    const answers = await Promise.all([
      change({ 'longer-breath': { course: null, since } }),
      change({ 'ours-1': { course: course('ours-1', 'Ours'), since: null } }),
    ]);
    expect(answers.map(({ status }) => status)).toEqual([200, 200]);
    const here = async () =>
      choirSchema.parse((await agent.get(`/api/choirs/${choir}`)).body).courses;
    expect(await here()).toEqual({
      'longer-breath': { course: null, since },
      'ours-1': { course: course('ours-1', 'Ours'), since: null },
    });
    await change({ 'ours-1': { course: course('ours-1', 'Ours, shorter'), since } }).expect(200);
    await change({ 'longer-breath': null }).expect(200);
    expect(await here()).toEqual({
      'ours-1': { course: course('ours-1', 'Ours, shorter'), since },
    });

    const wrong = { ...course('ours-2', 'Under another id') };
    await change({ 'ours-3': { course: wrong, since: null } }).expect(400);
    await change({ 'ours-2': { course: { ...wrong, steps: [] }, since: null } }).expect(400);
    const many = Object.fromEntries(
      Array.from({ length: 40 }, (_, i) => [`many-${i}`, { course: null, since }]),
    );
    await change(many).expect(409);
    expect(Object.keys(await here())).toEqual(['ours-1']);
  });

  it('is deleted two weeks after it was asked, with everything in it, and not before', async () => {
    const person = await signUp(app());
    const { agent, choir } = person;
    const evening = await addEvening(person);
    const at = `/api/choirs/${choir}/closing`;
    const wrong = await agent.post(at).send({ name: 'Some other choir' }).expect(400);
    expect(errorBody.parse(wrong.body).error.fields).toHaveProperty('name');
    const { body } = await agent.post(at).send({ name: 'Test Choir' }).expect(200);
    const days = (Date.parse(choirSchema.parse(body).closesAt!) - Date.now()) / 86_400_000;
    expect(Math.round(days)).toBe(14);
    await tidyUp(database.orm);
    await agent.get(`/api/choirs/${choir}/evenings/${evening.id}`).expect(200);
    const kept = await agent.delete(at).expect(200);
    expect(choirSchema.parse(kept.body).closesAt).toBeNull();
    await agent.post(at).send({ name: 'Test Choir' }).expect(200);
    await database.orm.em.fork().nativeUpdate(Choir, { id: choir }, { closesAt: new Date(0) });
    await tidyUp(database.orm);
    await agent.get(`/api/choirs/${choir}`).expect(404);
    const em = database.orm.em.fork();
    expect(await em.count(Evening, { id: evening.id })).toBe(0);
    expect(await em.count(VoicePart, { choir })).toBe(0);
  });

  it('remembers who did what, for its directors to read', async () => {
    const [owner, other] = [await signUp(app()), await signUp(app(), 'Ash Tarn')];
    await join(owner, other, 'deputy');
    await supertest(app()).post('/api/session').send({ email: other.email, password }).expect(200);
    const members = await owner.agent.get(`/api/choirs/${owner.choir}/members`);
    const id = (members.body as MemberView[]).find(({ you }) => !you)!.id;
    await owner.agent.put(`/api/choirs/${owner.choir}`).send({ name: 'Low Quarry Choir' });
    const evening = await addEvening(owner);
    await other.agent.delete(`/api/choirs/${owner.choir}/evenings/${evening.id}`).expect(204);
    await owner.agent.delete(`/api/choirs/${owner.choir}/members/${id}`).expect(204);
    const { body } = await owner.agent.get(`/api/choirs/${owner.choir}/records`).expect(200);
    const sentences = (body as { items: AuditRecord[] }).items.map(recordInWords);
    expect(sentences).toEqual([
      'Wren Aldous took Ash Tarn out',
      'Ash Tarn threw the evening of 2030-05-07 away',
      'Wren Aldous changed its name',
      'Ash Tarn signed in',
      'Ash Tarn joined as deputy',
      'Wren Aldous invited a deputy',
    ]);
  });
});

describe('the database itself', () => {
  it('refuses limits out of order, an evening that ends first, and rows of no choir', async () => {
    const app = testApp(database);
    const { choir } = await signUp(app);
    const em = database.orm.em.fork();
    const part = await em.findOneOrFail(VoicePart, { choir });
    const singer = {
      name: 'X',
      part,
      comfortLow: 60,
      comfortHigh: 72,
      reachLow: 58,
      reachHigh: 74,
    };
    const insert = (values: object) => async () => {
      const fresh = database.orm.em.fork();
      fresh.create(Singer, { ...singer, choir: fresh.getReference(Choir, choir), ...values });
      await fresh.flush();
    };
    await insert({})();
    await expect(insert({ comfortLow: 57 })).rejects.toThrow(/singer_limits_check/);
    await expect(insert({ reachHigh: 130 })).rejects.toThrow(/singer_limits_check/);
    await expect(insert({ comfortHigh: 59 })).rejects.toThrow(/singer_limits_check/);
    await expect(
      em.execute(
        `insert into evening (id, choir_id, starts_at, ends_at, place, agenda, created_at)
         values (gen_random_uuid(), ?, now(), now(), 'x', '[]', now())`,
        [choir],
      ),
    ).rejects.toThrow(/evening_end_check/);
    await expect(
      em.execute(
        `insert into piece (id, choir_id, title, ranges, created_at)
         values (gen_random_uuid(), gen_random_uuid(), 'x', '{}', now())`,
      ),
    ).rejects.toThrow(/foreign key/);
  });

  it('has the schema that the entities describe', async () => {
    expect(await database.orm.getMigrator().checkMigrationNeeded()).toBe(false);
  });
});
