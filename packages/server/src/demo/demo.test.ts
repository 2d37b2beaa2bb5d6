import { demoChoir } from '@wide-fern/catalogue/demo';
import {
  coursesSchema,
  errorBody,
  planDocumentSchema,
  sessionSchema,
  type KeptCourse,
} from '@wide-fern/contract';
import { courseWay } from '@wide-fern/core';
import supertest from 'supertest';
import { createApp } from '../app';
import { Account, Attempt } from '../db/entities/account';
import { Choir, Member } from '../db/entities/choir';
import { Evening } from '../db/entities/evening';
import { Plan } from '../db/entities/plan';
import { LedOnce } from '../db/entities/run';
import { Singer } from '../db/entities/voices';
import { testDatabase } from '../testing/database';
import { signUp, testApp, testSettings } from '../testing/people';
import { dateIn } from '../time/zone';
import { comingRehearsal, throwOldDemosAway } from './demo.service';
import { makeDemo } from './seed';

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

describe('a demo choir', () => {
  const now = new Date('2026-11-25T12:00:00Z');
  let choir: string;

  it('is whole: its singers, its plans of any day', async () => {
    const { director, until } = await makeDemo(database.orm.em.fork(), now);
    expect(until.toISOString()).toBe('2026-11-26T12:00:00.000Z');
    const em = database.orm.em.fork();
    const member = await em.findOneOrFail(Member, { account: director.id });
    choir = member.choir.id;
    expect(await em.count(Singer, { choir })).toBe(36);
    const plans = await em.find(Plan, { choir });
    expect(plans).toHaveLength(9);
    for (const { document } of plans) planDocumentSchema.parse(document);
  });

  it('follows a course of its own, of which two steps are managed by what was led', async () => {
    const em = database.orm.em.fork();
    const { courses } = await em.findOneOrFail(Choir, choir);
    const [{ course, since }] = Object.values(coursesSchema.parse(courses)) as [KeptCourse];
    const once = await em.find(LedOnce, { choir });
    const led = once.map(({ exercise, ledAt, managed = null, keys }) => ({
      ...{ exercise, managed, keys, breath: null },
      ledAt: ledAt.toISOString(),
    }));
    const { steps, next } = courseWay(course!.steps, led, since!);
    expect(steps.map(({ led: evenings }) => evenings.length)).toEqual([2, 4, 1, 0]);
    expect(next).toBe(2);
  });

  it('has eight weeks behind it with one left out, and the lantern night ten weeks ahead', async () => {
    const evenings = await database.orm.em
      .fork()
      .find(Evening, { choir }, { orderBy: { startsAt: 'asc' } });
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

  it('is thrown away when its day is over, with its people, and no other is', async () => {
    const person = await signUp(testApp(database));
    const em = database.orm.em.fork();
    const lasting = await makeDemo(em.fork());
    await throwOldDemosAway(em);
    const left = await em.find(Choir, {});
    expect(left.map(({ id }) => id)).not.toContain(choir);
    expect(left.map(({ id }) => id)).toContain(person.choir);
    expect(await em.count(Account, { id: lasting.director.id })).toBe(1);
    expect(await em.count(Account, { passwordHash: '!' })).toBe(demoChoir.people.length);
  });
});

describe('the door of the demo', () => {
  const enter = async () => {
    const agent = supertest.agent(testApp(database));
    const { body, headers } = await agent.post('/api/session/demo').expect(200);
    return { agent, session: sessionSchema.parse(body), cookie: headers['set-cookie']?.[0] ?? '' };
  };

  it('leads every visitor to a choir of their own, for a day', async () => {
    const [one, two] = [await enter(), await enter()];
    expect(one.session).toMatchObject({
      account: { name: 'Imke Sandvoort' },
      choirs: [{ name: 'Quarry Lane Singers', role: 'director' }],
    });
    expect(one.session.choirs[0]!.id).not.toBe(two.session.choirs[0]!.id);
    await one.agent.get(`/api/choirs/${two.session.choirs[0]!.id}`).expect(404);
    const [, expires = ''] = /Expires=([^;]+)/.exec(one.cookie) ?? [];
    const hours = (Date.parse(expires) - Date.now()) / 3_600_000;
    expect(hours).toBeGreaterThan(23);
    expect(hours).toBeLessThanOrEqual(24);
  });

  it('lets nobody in as somebody else, whoever was made a director there', async () => {
    const victim = await signUp(testApp(database), 'Ivo Marsh');
    const first = await enter();
    const em = database.orm.em.fork();
    const account = await em.findOneOrFail(Account, { email: victim.email });
    const choir = await em.findOneOrFail(Choir, { id: first.session.choirs[0]!.id });
    // As if somebody had found a way to bring this about.
    em.create(Member, { choir, account, role: 'director', createdAt: new Date(0) });
    await em.flush();
    const { session } = await enter();
    expect(session.account?.email).not.toBe(victim.email);
  });

  it('leads to people without a password, whom nobody becomes otherwise', async () => {
    const { agent, session } = await enter();
    const email = session.account!.email;
    for (const password of ['!', '']) {
      const { status } = await supertest(testApp(database))
        .post('/api/session')
        .send({ email, password });
      expect([400, 401]).toContain(status);
    }
    const next = 'a whole new password';
    const refused = [
      await agent.put('/api/account/password').send({ current: '!', next }),
      await agent.put('/api/account/name').send({ name: 'Somebody' }),
      await agent.put('/api/account/email').send({ email: 'a@example.org', password: '!' }),
      await agent.post('/api/account/second-factor').send({ password: '!' }),
      await agent.post('/api/account/closing').send({ password: '!' }),
    ];
    for (const { status, body } of refused) {
      expect([status, errorBody.parse(body).error.code]).toEqual([403, 'demo_account']);
    }
  });

  it('leads to a choir whose members stay as they are', async () => {
    const { agent, session } = await enter();
    const choir = `/api/choirs/${session.choirs[0]!.id}`;
    const { body } = await agent.get(`${choir}/members`).expect(200);
    const [first] = body as { id: string }[];
    const refused = [
      await agent.post(`${choir}/invitations`).send({ role: 'director', note: '' }),
      await agent.put(`${choir}/members/${first!.id}`).send({ role: 'reader' }),
      await agent.delete(`${choir}/members/${first!.id}`),
      await agent.delete(`${choir}/membership`),
      await agent.post(`${choir}/closing`).send({ name: demoChoir.name }),
    ];
    for (const { status, body: said } of refused) {
      expect([status, errorBody.parse(said).error.code]).toEqual([403, 'demo_choir']);
    }
    expect((await agent.get(`${choir}/members`).expect(200)).body).toEqual(body);
  });

  it('is closed where there is no demo', async () => {
    const app = createApp({ ...testSettings(database), hasDemo: false });
    await supertest(app).post('/api/session/demo').expect(404);
    const { body } = await supertest(app).get('/api/session').expect(200);
    expect(sessionSchema.parse(body).demo).toBe(false);
  });

  it('is not opened without end from one place', async () => {
    await database.orm.em.fork().nativeDelete(Attempt, {});
    const app = createApp({ ...testSettings(database), mostCalls: 2 });
    await supertest(app).post('/api/session/demo').expect(200);
    await supertest(app).post('/api/session/demo').expect(200);
    const { body } = await supertest(app).post('/api/session/demo').expect(429);
    expect(errorBody.parse(body).error.message).toContain('minutes');
  });
});
