import { randomUUID } from 'node:crypto';
import { errorBody, sessionSchema } from '@wide-fern/contract';
import type { Express } from 'express';
import supertest from 'supertest';
import { createApp } from '../app';
import { testDatabase } from '../testing/database';
import { password, signUp, testApp, testSettings } from '../testing/people';
import { Account, AccountSession, Attempt } from '../db/entities/account';

const database = testDatabase();

describe('accounts', () => {
  let app: Express;
  beforeAll(() => {
    app = testApp(database);
  });

  it('begin with a choir of their own, and sign in by e-mail in any case of letters', async () => {
    const person = await signUp(app);
    const fresh = supertest.agent(app);
    await fresh
      .post('/api/session')
      .send({ email: ` ${person.email.toUpperCase()} `, password })
      .expect(200);
    const { body } = await fresh.get('/api/session').expect(200);
    expect(sessionSchema.parse(body).choirs).toEqual([
      { id: person.choir, name: 'Test Choir', role: 'director' },
    ]);
  });

  it('store the password as an Argon2id hash and the session as a hash of its token', async () => {
    const person = await signUp(app);
    const em = database.orm.em.fork();
    const account = await em.findOneOrFail(Account, { email: person.email });
    expect(account.passwordHash).toMatch(/^\$argon2id\$/);
    const sessions = await em.find(AccountSession, { account });
    expect(sessions[0]?.id).toMatch(/^[0-9a-f]{64}$/);
  });

  it('set a cookie that scripts cannot read, secure behind TLS', async () => {
    const email = `${randomUUID()}@example.org`;
    const wanted = { name: 'A', email, password, choir: 'B', timeZone: 'UTC' };
    const plain = await supertest(app).post('/api/accounts').send(wanted).expect(201);
    expect(plain.headers['set-cookie']?.[0]).toMatch(/HttpOnly; SameSite=Lax/);
    expect(plain.headers['set-cookie']?.[0]).not.toContain('Secure');
    const behind = createApp({ ...testSettings(database), trustedProxies: 1 });
    const safe = await supertest(behind)
      .post('/api/session')
      .set('X-Forwarded-Proto', 'https')
      .send({ email, password })
      .expect(200);
    expect(safe.headers['set-cookie']?.[0]).toContain('Secure');
  });

  it('are refused twice with the same e-mail, and with a short password or a made-up zone', async () => {
    const person = await signUp(app);
    const wanted = { name: 'A', email: person.email, password, choir: 'B', timeZone: 'UTC' };
    const taken = await supertest(app).post('/api/accounts').send(wanted).expect(409);
    expect(errorBody.parse(taken.body).error.fields?.email).toContain('ask for a new password');
    for (const wrong of [{ password: 'short' }, { timeZone: 'Fern/Nowhere' }, { email: 'x' }]) {
      const answer = await supertest(app)
        .post('/api/accounts')
        .send({ ...wanted, email: `${randomUUID()}@example.org`, ...wrong })
        .expect(400);
      expect(Object.keys(errorBody.parse(answer.body).error.fields ?? {})).toEqual(
        Object.keys(wrong),
      );
    }
  });

  it('answer a wrong password and an unknown e-mail alike', async () => {
    const person = await signUp(app);
    const wrong = await supertest(app)
      .post('/api/session')
      .send({ email: person.email, password: 'not this one' })
      .expect(401);
    const unknown = await supertest(app)
      .post('/api/session')
      .send({ email: 'nobody@example.org', password: 'not this one' })
      .expect(401);
    expect(wrong.body).toEqual(unknown.body);
  });

  it('stop whoever guesses, in every server process together', async () => {
    const person = await signUp(app);
    const other = testApp(database);
    const guess = (at: Express) =>
      supertest(at).post('/api/session').send({ email: person.email, password: 'a guess' });
    for (let i = 0; i < 5; i += 1) {
      await guess(app).expect(401);
      await guess(other).expect(401);
    }
    const stopped = await guess(app).expect(429);
    expect(errorBody.parse(stopped.body).error.code).toBe('too_many_attempts');
    await supertest(other).post('/api/session').send({ email: person.email, password }).expect(429);
  });

  it('may try again when the quarter of an hour is over', async () => {
    const person = await signUp(app);
    const attempt = (secret: string) =>
      supertest(app).post('/api/session').send({ email: person.email, password: secret });
    for (let i = 0; i < 10; i += 1) await attempt('a guess').expect(401);
    await attempt(password).expect(429);
    await database.orm.em.fork().nativeUpdate(Attempt, {}, { resetsAt: new Date(0) });
    await attempt(password).expect(200);
    // Success is not counted: ten more guesses are let through before it stops again.
    for (let i = 0; i < 10; i += 1) await attempt('a guess').expect(401);
    await attempt('a guess').expect(429);
    // The address is counted too, and other tests of this file come from the same one.
    await database.orm.em.fork().nativeDelete(Attempt, {});
  });

  it('are locked out by nobody elsewhere who tries their e-mail', async () => {
    const person = await signUp(app);
    const behind = createApp({ ...testSettings(database), trustedProxies: 1 });
    const from = (address: string, secret: string) =>
      supertest(behind)
        .post('/api/session')
        .set('X-Forwarded-For', address)
        .send({ email: person.email, password: secret });
    for (let i = 0; i < 10; i += 1) await from('203.0.113.9', 'a guess').expect(401);
    await from('203.0.113.9', password).expect(429);
    await from('198.51.100.7', password).expect(200);
    await database.orm.em.fork().nativeDelete(Attempt, {});
  });

  it('count each one’s own attempts at a new password, empty ones too', async () => {
    const [clumsy, other] = [await signUp(app), await signUp(app)];
    for (let i = 0; i < 10; i += 1)
      await clumsy.agent.put('/api/account/password').send({}).expect(400);
    await clumsy.agent.put('/api/account/password').send({}).expect(429);
    await other.agent
      .put('/api/account/password')
      .send({ current: password, next: 'another long password' })
      .expect(204);
    await database.orm.em.fork().nativeDelete(Attempt, {});
  });

  it('keep no attempt longer than it counts', async () => {
    const em = database.orm.em.fork();
    const guess = () =>
      supertest(app)
        .post('/api/session')
        .send({ email: `${randomUUID()}@example.org`, password: 'a guess' })
        .expect(401);
    await guess();
    await em.nativeUpdate(Attempt, {}, { resetsAt: new Date(0) });
    const before = await em.count(Attempt, {});
    await guess();
    expect(await em.count(Attempt, { resetsAt: { $lt: new Date(1) } })).toBe(0);
    expect(before).toBeGreaterThan(0);
  });

  it('sign out here, and everywhere', async () => {
    const person = await signUp(app);
    const [here, there] = [supertest.agent(app), supertest.agent(app)];
    for (const agent of [here, there]) {
      await agent.post('/api/session').send({ email: person.email, password }).expect(200);
    }
    await here.delete('/api/session').expect(204);
    await here.get(`/api/choirs/${person.choir}`).expect(401);
    await there.get(`/api/choirs/${person.choir}`).expect(200);
    await person.agent.delete('/api/sessions').expect(204);
    await there.get(`/api/choirs/${person.choir}`).expect(401);
  });

  it('change their password, which signs every other browser out', async () => {
    const person = await signUp(app);
    const there = supertest.agent(app);
    await there.post('/api/session').send({ email: person.email, password }).expect(200);
    const next = 'another long password';
    const change = (current: string) =>
      person.agent.put('/api/account/password').send({ current, next });
    expect(errorBody.parse((await change('wrong').expect(403)).body).error.fields).toHaveProperty(
      'current',
    );
    await change(password).expect(204);
    await person.agent.get(`/api/choirs/${person.choir}`).expect(200);
    await there.get(`/api/choirs/${person.choir}`).expect(401);
    await there.post('/api/session').send({ email: person.email, password: next }).expect(200);
  });

  it('forget a session that has run out', async () => {
    const person = await signUp(app);
    await database.orm.em
      .fork()
      .nativeUpdate(
        AccountSession,
        { account: { email: person.email } },
        { expiresAt: new Date(0) },
      );
    await person.agent.get(`/api/choirs/${person.choir}`).expect(401);
  });
});
