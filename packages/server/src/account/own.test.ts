import { errorBody, sessionSchema, type SignedInBrowser } from '@wide-fern/contract';
import { randomUUID } from 'node:crypto';
import type { Express } from 'express';
import supertest from 'supertest';
import { createApp } from '../app';
import { Account, AccountSecret, AccountSession, Attempt } from '../db/entities/account';
import { Choir, Member } from '../db/entities/choir';
import { testDatabase } from '../testing/database';
import { join, KeptMails, password, signUp, testSettings } from '../testing/people';
import { tidyUp } from '../upkeep';

const database = testDatabase();
let app: Express;
const mails = new KeptMails();
beforeAll(() => {
  app = createApp({ ...testSettings(database), mailer: mails });
});
afterEach(() => database.orm.em.fork().nativeDelete(Attempt, {}));

const signIn = (email: string, secret = password) =>
  supertest(app).post('/api/session').send({ email, password: secret });
const newEmail = () => `${randomUUID()}@example.org`;

describe('a forgotten password', () => {
  const forget = (email: string) =>
    supertest(app).post('/api/account/password/forgotten').send({ email }).expect(204);
  const renew = (secret: string, next: string) =>
    supertest(app).post('/api/account/password/renewed').send({ secret, next });

  it('is renewed by the link in a mail, once, and every browser is signed out', async () => {
    const person = await signUp(app);
    await forget(person.email);
    const secret = await mails.linkTo(person.email);
    const next = 'three unrelated words of mine';
    const weak = await renew(secret, 'password1234').expect(400);
    expect(errorBody.parse(weak.body).error.fields).toHaveProperty('next');
    await renew(secret, next).expect(204);
    await renew(secret, next).expect(404);
    await person.agent.get(`/api/choirs/${person.choir}`).expect(401);
    await signIn(person.email).expect(401);
    await signIn(person.email, next).expect(200);
  });

  it('is answered alike for an e-mail that nobody has; nothing is sent there', async () => {
    const person = await signUp(app);
    const unknown = newEmail();
    const [known, nobody] = [await forget(person.email), await forget(unknown)];
    expect(nobody.body).toEqual(known.body);
    await mails.linkTo(person.email);
    expect(mails.sent.map(({ to }) => to)).not.toContain(unknown);
  });

  it('has one link at a time, good for an hour, and the table opens nothing', async () => {
    const person = await signUp(app);
    await forget(person.email);
    const first = await mails.linkTo(person.email);
    await forget(person.email);
    const second = await mails.linkTo(person.email);
    const kept = await database.orm.em
      .fork()
      .find(AccountSecret, { account: { email: person.email } });
    expect(kept.map(({ id }) => id)).not.toContain(second);
    expect(kept).toHaveLength(1);
    await renew(first, 'three unrelated words of mine').expect(404);
    await database.orm.em.fork().nativeUpdate(AccountSecret, {}, { expiresAt: new Date(0) });
    await renew(second, 'three unrelated words of mine').expect(404);
    await renew('made up', 'three unrelated words of mine').expect(404);
  });
});

describe('a password', () => {
  it.each(['password1234', 'qwertyuiop', 'aaaaaaaaaaaa', 'Wren Aldous 1'])(
    'that is easily guessed is refused: %s',
    async (weak) => {
      const wanted = { name: 'Wren Aldous', choir: 'B', timeZone: 'UTC', password: weak };
      const { body } = await supertest(app)
        .post('/api/accounts')
        .send({ ...wanted, email: newEmail() })
        .expect(400);
      expect(errorBody.parse(body).error.fields?.password).toContain('easily guessed');
    },
  );
});

describe('name and e-mail', () => {
  it('can be changed; the new e-mail holds once it is confirmed, and the old one is told', async () => {
    const person = await signUp(app);
    const { body } = await person.agent.put('/api/account/name').send({ name: 'Ash Tarn' });
    expect(sessionSchema.parse(body).account?.name).toBe('Ash Tarn');
    const email = newEmail();
    const change = (secret: string) =>
      person.agent.put('/api/account/email').send({ email, password: secret });
    await change('not this one').expect(403);
    await change(password).expect(204);
    await signIn(email).expect(401);
    const secret = await mails.linkTo(email);
    const confirm = () => supertest(app).post('/api/account/email/confirmed').send({ secret });
    await confirm().expect(204);
    await confirm().expect(404);
    await signIn(email).expect(200);
    await signIn(person.email).expect(401);
    expect(mails.sent.filter(({ to }) => to === person.email)).toMatchObject([
      { letter: { subject: 'Your e-mail for Wide Fern was changed' } },
    ]);
  });

  it('tell by nothing that another account has the e-mail; its owner is told', async () => {
    const [person, other] = [await signUp(app), await signUp(app)];
    await person.agent.put('/api/account/email').send({ email: other.email, password }).expect(204);
    expect(mails.sent.filter(({ to }) => to === other.email)).toHaveLength(1);
    await signIn(other.email).expect(200);
    expect(await database.orm.em.fork().count(AccountSecret, { email: other.email })).toBe(0);
  });

  it('may have been taken by another account before the link was opened', async () => {
    const person = await signUp(app);
    const email = newEmail();
    await person.agent.put('/api/account/email').send({ email, password }).expect(204);
    const secret = await mails.linkTo(email);
    await database.orm.em
      .fork()
      .nativeUpdate(Account, { email: (await signUp(app)).email }, { email });
    await supertest(app).post('/api/account/email/confirmed').send({ secret }).expect(409);
    await signIn(person.email).expect(200);
  });
});

describe('the browsers of an account', () => {
  it('are listed and signed out one by one, by nobody else', async () => {
    const [person, other] = [await signUp(app), await signUp(app)];
    const there = supertest.agent(app);
    await there
      .post('/api/session')
      .set('User-Agent', 'Mozilla/5.0 (X11; Linux x86_64; rv:140.0) Gecko/20100101 Firefox/140.0')
      .send({ email: person.email, password })
      .expect(200);
    const list = async () =>
      (await person.agent.get('/api/sessions').expect(200)).body as SignedInBrowser[];
    const both = await list();
    expect(both.map(({ name, here }) => [name, here]).sort()).toEqual([
      ['Firefox on Linux', false],
      ['a program', true],
    ]);
    const { id } = both.find(({ here }) => !here)!;
    await other.agent.delete(`/api/sessions/${id}`).expect(404);
    await there.get(`/api/choirs/${person.choir}`).expect(200);
    await person.agent.delete(`/api/sessions/${id}`).expect(204);
    await there.get(`/api/choirs/${person.choir}`).expect(401);
    expect(await list()).toHaveLength(1);
  });

  it('are signed out when they were not seen for two weeks, and kept when they were', async () => {
    const [idle, used] = [await signUp(app), await signUp(app)];
    const em = database.orm.em.fork();
    const seen = (email: string, daysAgo: number) =>
      em.nativeUpdate(
        AccountSession,
        { account: { email } },
        { lastSeenAt: new Date(Date.now() - daysAgo * 86_400_000) },
      );
    await seen(idle.email, 15);
    await seen(used.email, 13);
    await idle.agent.get(`/api/choirs/${idle.choir}`).expect(401);
    await used.agent.get(`/api/choirs/${used.choir}`).expect(200);
    const { lastSeenAt } = await em.findOneOrFail(AccountSession, {
      account: { email: used.email },
    });
    expect(Date.now() - lastSeenAt.getTime()).toBeLessThan(60_000);
  });
});

describe('an account', () => {
  const close = (person: Awaited<ReturnType<typeof signUp>>) =>
    person.agent.post('/api/account/closing').send({ password });

  it('is deleted two weeks after it was asked, with the choir nobody else is in', async () => {
    const person = await signUp(app);
    await person.agent.post('/api/account/closing').send({ password: 'a guess' }).expect(403);
    const { body } = await close(person).expect(200);
    expect(sessionSchema.parse(body).account?.closesAt).not.toBeNull();
    await tidyUp(database.orm);
    await signIn(person.email).expect(200);
    const em = database.orm.em.fork();
    const past = { closesAt: new Date(0) };
    await em.nativeUpdate(Account, { email: person.email }, past);
    await em.nativeUpdate(Choir, { id: person.choir }, past);
    await tidyUp(database.orm);
    await signIn(person.email).expect(401);
    expect(await em.count(Choir, { id: person.choir })).toBe(0);
  });

  it('can be kept, and its choir with it', async () => {
    const person = await signUp(app);
    await close(person).expect(200);
    const { body } = await person.agent.delete('/api/account/closing').expect(200);
    expect(sessionSchema.parse(body).account?.closesAt).toBeNull();
    const choir = await database.orm.em.fork().findOneOrFail(Choir, { id: person.choir });
    expect(choir.closesAt).toBeNull();
  });

  it('does not leave others without a director', async () => {
    const [owner, reader] = [await signUp(app), await signUp(app)];
    await join(owner, reader, 'reader');
    const { body } = await close(owner).expect(409);
    expect(errorBody.parse(body).error.code).toBe('last_director');
    await database.orm.em
      .fork()
      .nativeUpdate(Member, { choir: owner.choir, role: 'reader' }, { role: 'director' });
    await close(owner).expect(200);
    const choir = await database.orm.em.fork().findOneOrFail(Choir, { id: owner.choir });
    expect(choir.closesAt).toBeNull();
  });
});
