import { demoChoir } from '@wide-fern/catalogue/demo';
import { errorBody, planDocumentSchema, sessionSchema } from '@wide-fern/contract';
import supertest from 'supertest';
import { Account } from '../db/entities/account';
import { Choir, Member } from '../db/entities/choir';
import { Singer, SingerEvening } from '../db/entities/voices';
import { Evening } from '../db/entities/evening';
import { dateIn } from '../time/zone';
import { PieceJudgement } from '../db/entities/pieces';
import { Plan } from '../db/entities/plan';
import { testDatabase } from '../testing/database';
import { signUp, testApp } from '../testing/people';
import { comingRehearsal, keepDemoFresh } from './demo.service';
import { seedDemo } from './seed';

const database = testDatabase();
const zone = 'Europe/London';

describe('the coming rehearsal', () => {
  it('is the coming Tuesday, today until its evening has ended', () => {
    const on = (moment: string) => comingRehearsal(new Date(moment));
    expect(on('2026-11-25T12:00:00Z')).toBe('2026-12-01');
    expect(on('2026-12-01T20:00:00Z')).toBe('2026-12-01');
    expect(on('2026-12-01T21:30:00Z')).toBe('2026-12-08');
    expect(on('2026-07-06T23:30:00Z')).toBe('2026-07-07');
  });
});

describe('the demo choir', () => {
  const now = new Date('2026-11-25T12:00:00Z');

  it('is loaded once, into an empty database only', async () => {
    expect(await seedDemo(database.orm.em.fork(), now)).toBe(true);
    expect(await seedDemo(database.orm.em.fork(), now)).toBe(false);
    const em = database.orm.em.fork();
    expect(await em.count(Singer)).toBe(36);
    const plans = await em.find(Plan, {});
    expect(plans).toHaveLength(7);
    for (const { document } of plans) planDocumentSchema.parse(document);
  });

  it('has eight weeks behind it with one left out, and the lantern night ten weeks ahead', async () => {
    const evenings = await database.orm.em
      .fork()
      .find(Evening, {}, { orderBy: { startsAt: 'asc' } });
    const dates = evenings.map(({ startsAt }) => dateIn(startsAt, zone));
    expect(dates.slice(0, 7)).toEqual([
      '2026-10-13',
      '2026-10-20',
      '2026-10-27',
      '2026-11-10',
      '2026-11-17',
      '2026-11-24',
      '2026-12-01',
    ]);
    expect(dates.at(-1)).toBe('2027-02-09');
    expect(evenings.at(-1)?.name).toBe('Lantern night');
    // Half past seven by the clock on the wall, before and after the change of summer time.
    expect(evenings[0]?.startsAt.toISOString()).toBe('2026-10-13T18:30:00.000Z');
    expect(evenings[6]?.startsAt.toISOString()).toBe('2026-12-01T19:30:00.000Z');
  });

  it('moves on by whole weeks as time goes by, and keeps half past seven', async () => {
    const later = new Date('2027-03-31T12:00:00Z');
    const fork = database.orm.em.fork();
    const [evening] = await fork.find(Evening, {}, { orderBy: { startsAt: 'desc' } });
    const singer = await fork.findOneOrFail(Singer, { name: 'Noor Haddadin' });
    fork.create(SingerEvening, { evening: evening!, singer, away: true });
    await fork.flush();
    const before = singer.checkedOn!;
    const both = await Promise.all(
      [1, 2].map(async () => {
        const em = database.orm.em.fork();
        await keepDemoFresh(
          em,
          await em.findOneOrFail(Choir, { name: 'Quarry Lane Singers' }),
          later,
        );
      }),
    );
    expect(both).toHaveLength(2);
    const evenings = await database.orm.em
      .fork()
      .find(Evening, {}, { orderBy: { startsAt: 'asc' } });
    expect(evenings[6]?.startsAt.toISOString()).toBe('2027-04-06T18:30:00.000Z');
    expect(evenings[0]?.startsAt.toISOString()).toBe('2027-02-16T19:30:00.000Z');
    // Checks keep their age; who was away on an evening that has passed is forgotten.
    const noor = await database.orm.em.fork().findOneOrFail(Singer, { name: 'Noor Haddadin' });
    const days = (Date.parse(noor.checkedOn!) - Date.parse(before)) / 86_400_000;
    expect(days).toBe(126);
    expect(await database.orm.em.fork().count(SingerEvening)).toBe(0);
    // Runs stay judged as many weeks before the coming evening as they were.
    const judged = await database.orm.em
      .fork()
      .find(PieceJudgement, {}, { orderBy: { judgedOn: 'desc' } });
    expect(judged[0]!.judgedOn).toBe('2027-03-30');
    expect(judged.at(-1)!.judgedOn).toBe('2027-02-16');
  });

  it('is entered with one click, and its people have no password', async () => {
    const app = testApp(database);
    const agent = supertest.agent(app);
    const { body } = await agent.post('/api/session/demo').expect(200);
    expect(body).toMatchObject({
      account: { name: 'Imke Sandvoort' },
      choirs: [{ name: 'Quarry Lane Singers', role: 'director' }],
    });
    await supertest(app)
      .post('/api/session')
      .send({ email: 'imke@quarrylane.example', password: '!' })
      .expect(401);
    await agent
      .put('/api/account/password')
      .send({ current: '!', next: 'a whole new password' })
      .expect(403);
  });

  it('is not here where there is none', async () => {
    const em = database.orm.em.fork();
    await em.nativeUpdate(Choir, {}, { demoAnchor: null });
    await supertest(testApp(database)).post('/api/session/demo').expect(404);
  });
});

describe('the door of the demo', () => {
  beforeAll(async () => {
    // The tests above made a choir like any other of it.
    const { id } = await database.orm.em.fork().findOneOrFail(Choir, { name: demoChoir.name });
    await database.orm.em
      .fork()
      .nativeUpdate(Choir, { id }, { demoAnchor: comingRehearsal(new Date()) });
  });
  const enter = async () => {
    const agent = supertest.agent(testApp(database));
    const { body } = await agent.post('/api/session/demo').expect(200);
    return { agent, session: sessionSchema.parse(body) };
  };

  it('leads to the demo’s own director only, whoever else was made one', async () => {
    const victim = await signUp(testApp(database), 'Ivo Marsh');
    const em = database.orm.em.fork();
    const choir = await em.findOneOrFail(Choir, { demoAnchor: { $ne: null } });
    const account = await em.findOneOrFail(Account, { email: victim.email });
    const own = await em.findOneOrFail(Member, { choir, role: 'director' });
    // As if somebody had found a way to bring this about.
    em.create(Member, { choir, account, role: 'director', createdAt: new Date(0) });
    own.role = 'reader';
    await em.flush();
    await supertest(testApp(database)).post('/api/session/demo').expect(404);
    own.role = 'director';
    await em.flush();
    const { session } = await enter();
    expect(session.account?.email).not.toBe(victim.email);
    await em.nativeDelete(Member, { choir, account });
  });

  it('leads to a choir whose members stay as they are', async () => {
    const victim = await signUp(testApp(database), 'Ivo Marsh');
    const { agent, session } = await enter();
    const at = `/api/choirs/${session.choirs[0]!.id}/members`;
    const { body } = await agent.get(at).expect(200);
    const [first] = body as { id: string }[];
    const refused = [
      await agent.post(at).send({ email: victim.email, role: 'director' }).expect(403),
      await agent.put(`${at}/${first!.id}`).send({ role: 'reader' }).expect(403),
      await agent.delete(`${at}/${first!.id}`).expect(403),
    ];
    for (const answer of refused) {
      expect(errorBody.parse(answer.body).error.code).toBe('demo_choir');
    }
    expect((await agent.get(at).expect(200)).body).toEqual(body);
  });
});
