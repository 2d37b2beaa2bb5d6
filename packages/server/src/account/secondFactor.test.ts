import { errorBody, keptCodesSchema, newFactorSchema, sessionSchema } from '@wide-fern/contract';
import { generate } from 'otplib';
import type { Express } from 'express';
import supertest from 'supertest';
import { Account, Attempt } from '../db/entities/account';
import { testDatabase } from '../testing/database';
import { password, signUp, testApp, type Person } from '../testing/people';

const database = testDatabase();
const at = '/api/account/second-factor';

describe('a second factor', () => {
  let app: Express;
  beforeAll(() => {
    app = testApp(database);
  });
  afterEach(() => database.orm.em.fork().nativeDelete(Attempt, {}));

  const signIn = (person: Person, code?: string) =>
    supertest(app).post('/api/session').send({ email: person.email, password, code });
  /** Half minutes pass: what was used counts as long ago. */
  const later = () => database.orm.em.fork().nativeUpdate(Account, {}, { factorStep: 1 });
  async function withFactor() {
    const person = await signUp(app);
    const offered = await person.agent.post(at).send({ password }).expect(200);
    const { secret, address } = newFactorSchema.parse(offered.body);
    const code = await generate({ secret });
    const kept = await person.agent.put(at).send({ code }).expect(200);
    await later();
    return { person, secret, address, codes: keptCodesSchema.parse(kept.body).codes };
  }
  const codeOf = (body: unknown) => errorBody.parse(body).error.code;

  it('is asked for once its digits were typed, and not before', async () => {
    const person = await signUp(app);
    await person.agent.post(at).send({ password: 'not this one' }).expect(403);
    await person.agent.put(at).send({ code: '000000' }).expect(404);
    const { body } = await person.agent.post(at).send({ password }).expect(200);
    const { secret, address } = newFactorSchema.parse(body);
    expect(address).toContain(secret);
    expect(address).toMatch(/^otpauth:\/\/totp\//);
    await signIn(person).expect(200);
    const right = await generate({ secret });
    const wrong = right === '000000' ? '000001' : '000000';
    await person.agent.put(at).send({ code: wrong }).expect(401);
    await signIn(person).expect(200);
    await person.agent.put(at).send({ code: right }).expect(200);
    expect(codeOf((await signIn(person).expect(401)).body)).toBe('second_factor');
    const session = await person.agent.get('/api/session').expect(200);
    expect(sessionSchema.parse(session.body).account?.secondFactor).toBe(true);
    expect(codeOf((await person.agent.post(at).send({ password }).expect(409)).body)).toBe(
      'factor_here',
    );
  });

  it('lets in by digits that are good now, once', async () => {
    const { person, secret } = await withFactor();
    const digits = await generate({ secret });
    const spaced = `${digits.slice(0, 3)} ${digits.slice(3)}`;
    await signIn(person, spaced).expect(200);
    expect(codeOf((await signIn(person, digits).expect(401)).body)).toBe('wrong_code');
    const past = await generate({ secret, epoch: Math.floor(Date.now() / 1000) - 300 });
    await later();
    await signIn(person, past).expect(401);
  });

  it('lets one of two in who use the same digits at once', async () => {
    const { person, secret } = await withFactor();
    const digits = await generate({ secret });
    const answers = await Promise.all([signIn(person, digits), signIn(person, digits)]);
    expect(answers.map(({ status }) => status).sort()).toEqual([200, 401]);
  });

  it('can be lost: ten kept codes are good once each', async () => {
    const { person, codes } = await withFactor();
    expect(new Set(codes).size).toBe(10);
    const { keptCodes } = await database.orm.em
      .fork()
      .findOneOrFail(Account, { email: person.email });
    for (const code of codes) expect(keptCodes).not.toContain(code.replace('-', ''));
    await signIn(person, codes[0]).expect(200);
    await signIn(person, codes[0]).expect(401);
    await signIn(person, codes[1]!.toUpperCase()).expect(200);
  });

  it('says nothing where the password is wrong, and ends with the password', async () => {
    const { person, secret } = await withFactor();
    const { body } = await supertest(app)
      .post('/api/session')
      .send({ email: person.email, password: 'a guess', code: await generate({ secret }) })
      .expect(401);
    expect(codeOf(body)).toBe('wrong_password');
    await person.agent.post(`${at}/ended`).send({ password: 'a guess' }).expect(403);
    await person.agent.post(`${at}/ended`).send({ password }).expect(204);
    await signIn(person).expect(200);
  });

  it('is not guessed: after ten tries one waits', async () => {
    const { person } = await withFactor();
    for (let i = 0; i < 10; i += 1) await signIn(person, '123456').expect(401);
    await signIn(person, '123456').expect(429);
  });
});
