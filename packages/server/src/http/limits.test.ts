import type { Express } from 'express';
import { errorBody } from '@wide-fern/contract';
import supertest from 'supertest';
import { createApp } from '../app';
import { Attempt } from '../db/entities/account';
import { testDatabase } from '../testing/database';
import { password, signUp, testApp, testSettings } from '../testing/people';

const database = testDatabase();

describe('attempts that fail', () => {
  let app: Express;
  beforeAll(() => {
    app = testApp(database);
  });
  const guess = () =>
    supertest(app).post('/api/session').send({ email: 'who@example.org', password: 'a guess' });
  const stopped = async () => {
    const { body } = await guess().expect(429);
    return errorBody.parse(body).error.message;
  };
  /** The wait is over, as if so many minutes had passed. */
  const over = (minutes = 0) =>
    database.orm.em
      .fork()
      .nativeUpdate(Attempt, {}, { resetsAt: new Date(Date.now() - minutes * 60_000) });

  it('are waited for: a minute, then two, then four, each after three more tries', async () => {
    for (let i = 0; i < 10; i += 1) await guess().expect(401);
    expect(await stopped()).toContain('Wait one minute,');
    // Knocking on does not make it longer.
    expect(await stopped()).toContain('Wait one minute,');
    for (const wait of ['two minutes', 'four minutes', 'eight minutes']) {
      await over();
      for (let i = 0; i < 3; i += 1) await guess().expect(401);
      expect(await stopped()).toContain(`Wait ${wait},`);
    }
    for (let round = 0; round < 4; round += 1) {
      await over();
      for (let i = 0; i < 3; i += 1) await guess().expect(401);
      await stopped();
    }
    expect(await stopped()).toContain('Wait 60 minutes,');
  });

  it('are forgotten after a quiet day', async () => {
    await over(25 * 60);
    for (let i = 0; i < 10; i += 1) await guess().expect(401);
    expect(await stopped()).toContain('Wait one minute,');
    await database.orm.em.fork().nativeDelete(Attempt, {});
  });
});

describe('calls that are counted', () => {
  const few = () => createApp({ ...testSettings(database), mostCalls: 3 });
  beforeEach(() => database.orm.em.fork().nativeDelete(Attempt, {}));

  it('stop a program that signs up without end', async () => {
    const app = few();
    for (let i = 0; i < 3; i += 1) await signUp(app);
    await supertest(app).post('/api/accounts').send({}).expect(429);
  });

  it('stop one account’s invitations, and nobody else’s', async () => {
    const [one, two] = [await signUp(testApp(database)), await signUp(testApp(database))];
    const app = few();
    const agents = await Promise.all(
      [one, two].map(async ({ email, choir }) => {
        const agent = supertest.agent(app);
        await agent.post('/api/session').send({ email, password }).expect(200);
        return { agent, choir };
      }),
    );
    const invite = ({ agent, choir }: (typeof agents)[number]) =>
      agent.post(`/api/choirs/${choir}/invitations`).send({ role: 'reader', note: '' });
    const statuses: number[] = [];
    for (let i = 0; i < 4; i += 1) statuses.push((await invite(agents[0]!)).status);
    expect(statuses).toEqual([201, 201, 201, 429]);
    expect((await invite(agents[1]!)).status).toBe(201);
  });
});
