import { randomUUID } from 'node:crypto';
import { errorBody, type Member as MemberView } from '@wide-fern/contract';
import type { Express } from 'express';
import { testDatabase } from '../testing/database';
import { signUp, testApp } from '../testing/people';
import { Singer, VoicePart } from '../db/entities/voices';
import { Choir } from '../db/entities/choir';

const database = testDatabase();

describe('members', () => {
  let app: Express;
  beforeAll(() => {
    app = testApp(database);
  });

  it('are added by e-mail, given another role, and removed', async () => {
    const [owner, other] = await Promise.all([signUp(app), signUp(app, 'Ash Tarn')]);
    const path = `/api/choirs/${owner.choir}/members`;
    await owner.agent.post(path).send({ email: 'nobody@example.org', role: 'deputy' }).expect(404);
    const added = await owner.agent.post(path).send({ email: other.email, role: 'deputy' });
    const { id } = added.body as MemberView;
    expect(added.body).toMatchObject({ name: 'Ash Tarn', role: 'deputy' });
    await other.agent.get(`/api/choirs/${owner.choir}/evenings`).expect(200);
    await owner.agent.put(`${path}/${id}`).send({ role: 'reader' }).expect(200);
    await other.agent.get(path).expect(403);
    await owner.agent.delete(`${path}/${id}`).expect(204);
    await other.agent.get(`/api/choirs/${owner.choir}`).expect(404);
    await owner.agent.put(`${path}/${randomUUID()}`).send({ role: 'reader' }).expect(404);
  });

  it('always have a director among them, even when two leave at once', async () => {
    const [one, two] = await Promise.all([signUp(app), signUp(app)]);
    const path = `/api/choirs/${one.choir}/members`;
    await one.agent.post(path).send({ email: two.email, role: 'director' }).expect(201);
    const members = (await one.agent.get(path).expect(200)).body as MemberView[];
    const answers = await Promise.all(
      members.map(({ id }) => one.agent.put(`${path}/${id}`).send({ role: 'deputy' })),
    );
    expect(answers.map(({ status }) => status).sort()).toEqual([200, 409]);
    const refused = answers.find(({ status }) => status === 409);
    expect(errorBody.parse(refused?.body).error.code).toBe('last_director');
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
