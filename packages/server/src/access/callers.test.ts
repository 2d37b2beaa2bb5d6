import type { Express } from 'express';
import supertest from 'supertest';
import { createApp } from '../app';
import { Member } from '../db/entities/choir';
import { testDatabase } from '../testing/database';
import { join, password, signUp, testSettings, type Person } from '../testing/people';

const database = testDatabase();

/** Asks until it is so, or for two seconds: far less than a caller is remembered. */
async function soon(status: number, ask: () => PromiseLike<{ status: number }>): Promise<void> {
  const late = Date.now() + 2000;
  let last = 0;
  while (Date.now() < late) {
    last = (await ask()).status;
    if (last === status) return;
  }
  expect(last).toBe(status);
}

describe('a caller who is remembered', () => {
  let app: Express;
  let other: Express;
  let owner: Person;
  let member: Person;
  beforeAll(() => {
    // Two processes' worth, each with its own memory; an hour, so that only events end it.
    const remembering = () => createApp({ ...testSettings(database), rememberSeconds: 3600 });
    [app, other] = [remembering(), remembering()];
  });
  beforeEach(async () => {
    owner = await signUp(app);
    member = await signUp(app);
    await join(owner, member, 'deputy');
  });
  /** A browser of the same person that talks to the other process. */
  const there = async ({ email }: Person) => {
    const agent = supertest.agent(other);
    await agent.post('/api/session').send({ email, password }).expect(200);
    return agent;
  };
  const choir = () => `/api/choirs/${owner.choir}`;

  it('is forgotten at once by whoever signs out, here and elsewhere', async () => {
    await owner.agent.get(choir()).expect(200);
    const elsewhere = await there(owner);
    await elsewhere.get(choir()).expect(200);
    await owner.agent.delete('/api/sessions').expect(204);
    await owner.agent.get(choir()).expect(401);
    await soon(401, () => elsewhere.get(choir()));
  });

  it('who is taken out, or may less, is told so at once, in every process', async () => {
    const elsewhere = await there(member);
    await member.agent.get(`${choir()}/members`).expect(200);
    await elsewhere.get(`${choir()}/members`).expect(200);
    const em = database.orm.em.fork();
    const { id } = await em.findOneOrFail(Member, { choir: owner.choir, role: 'deputy' });
    await owner.agent.put(`${choir()}/members/${id}`).send({ role: 'reader' }).expect(200);
    await member.agent.get(`${choir()}/members`).expect(403);
    await soon(403, () => elsewhere.get(`${choir()}/members`));
    await owner.agent.delete(`${choir()}/members/${id}`).expect(204);
    await member.agent.get(choir()).expect(404);
    await soon(404, () => elsewhere.get(choir()));
  });

  it('is forgotten when somebody changes the tables by hand', async () => {
    await member.agent.get(choir()).expect(200);
    await database.orm.em.fork().nativeDelete(Member, { choir: owner.choir, role: 'deputy' });
    await soon(404, () => member.agent.get(choir()));
  });

  it('changes what is theirs as if nobody remembered', async () => {
    await owner.agent.put(choir()).send({ name: 'First' }).expect(200);
    await owner.agent.put(choir()).send({ phraseSeconds: 12 }).expect(200);
    const { body } = await owner.agent.get(choir()).expect(200);
    expect(body).toMatchObject({ name: 'First', phraseSeconds: 12 });
    await owner.agent.put('/api/account/name').send({ name: 'Ash Tarn' }).expect(200);
    const session = await owner.agent.get('/api/session').expect(200);
    expect(session.body).toMatchObject({ account: { name: 'Ash Tarn' } });
  });
});
