import { errorBody, eveningSchema, type EveningSummary } from '@wide-fern/contract';
import { mixedChoir } from '@wide-fern/core';
import type { Express } from 'express';
import { Choir } from '../choir/choir.entity';
import { Singer, VoicePart } from '../voices/voices.entity';
import { testDatabase } from '../testing/database';
import { addEvening, signUp, testApp, type Person } from '../testing/people';
import { daysLater, momentOf } from './zone';

const database = testDatabase();

describe('evenings', () => {
  let app: Express;
  let person: Person;
  beforeAll(async () => {
    app = testApp(database);
    person = await signUp(app);
  });
  const add = (wanted: object) =>
    person.agent.post(`/api/choirs/${person.choir}/evenings`).send({
      date: '2030-05-07',
      start: '19:30',
      end: '21:30',
      place: 'Hall',
      warmUpMinutes: 15,
      ...wanted,
    });

  it('start at the choir’s own time, in summer and in winter', async () => {
    const summer = await add({}).expect(201);
    expect(eveningSchema.parse(summer.body).startsAt).toBe('2030-05-07T18:30:00.000Z');
    const winter = await add({ date: '2030-12-03' }).expect(201);
    expect(eveningSchema.parse(winter.body).startsAt).toBe('2030-12-03T19:30:00.000Z');
  });

  it('may end after midnight', async () => {
    const { body } = await add({ start: '23:00', end: '00:30' }).expect(201);
    expect(eveningSchema.parse(body).endsAt).toBe('2030-05-07T23:30:00.000Z');
  });

  it('refuse what cannot be, at the field', async () => {
    for (const [wrong, field] of [
      [{ date: 'soon' }, 'date'],
      [{ start: '25:00' }, 'start'],
      [{ end: '19:30' }, 'end'],
      [{ warmUpMinutes: 0 }, 'warmUpMinutes'],
      [{ end: '19:40' }, 'warmUpMinutes'],
      [{ place: ' ' }, 'place'],
    ] as const) {
      const answer = await add(wrong).expect(400);
      expect(Object.keys(errorBody.parse(answer.body).error.fields ?? {})).toEqual([field]);
    }
  });

  it('are listed in order, none or thousands', async () => {
    const fresh = await signUp(app);
    const list = async () =>
      (await fresh.agent.get(`/api/choirs/${fresh.choir}/evenings`).expect(200))
        .body as EveningSummary[];
    expect(await list()).toEqual([]);
    await addEvening(fresh, '2031-01-02');
    await addEvening(fresh, '2030-01-02');
    expect((await list()).map(({ startsAt }) => startsAt.slice(0, 4))).toEqual(['2030', '2031']);
    await database.orm.em.execute(
      `insert into evening (id, choir_id, starts_at, ends_at, place, agenda, created_at)
       select gen_random_uuid(), ?, now() + n * interval '1 day', now() + n * interval '1 day' + interval '1 hour', 'x', '[]', now()
       from generate_series(1, 1998) n`,
      [fresh.choir],
    );
    expect(await list()).toHaveLength(2000);
  });

  it('rest on the parts’ usual figures while nobody is on record, then on the singers', async () => {
    const fresh = await signUp(app);
    const evening = await addEvening(fresh);
    expect(evening.tonight.bands.map(({ comfort }) => comfort)).toEqual(
      mixedChoir.map(({ comfort }) => comfort),
    );
    expect(evening.tonight.bands[0]).toMatchObject({ singers: 0, suits: true });
    const em = database.orm.em.fork();
    const choir = em.getReference(Choir, fresh.choir);
    const part = await em.findOneOrFail(VoicePart, { choir, code: 'B' });
    const limits = { comfortLow: 40, comfortHigh: 59, reachLow: 38, reachHigh: 61 };
    em.create(Singer, { choir, part, name: 'Idris Cole', ...limits });
    await em.flush();
    const { body } = await fresh.agent
      .get(`/api/choirs/${fresh.choir}/evenings/${evening.id}`)
      .expect(200);
    const bass = eveningSchema.parse(body).tonight.bands[3];
    expect(bass).toMatchObject({ singers: 1, comfort: [40, 59], reach: [38, 61] });
    expect(JSON.stringify(body)).not.toContain('Idris');
  });
});

describe('the clock of a zone', () => {
  it('keeps the local time over a change of summer time', () => {
    const before = momentOf('2026-10-20', '19:30', 'Europe/London');
    expect(before.toISOString()).toBe('2026-10-20T18:30:00.000Z');
    expect(daysLater(before, 7, 'Europe/London').toISOString()).toBe('2026-10-27T19:30:00.000Z');
    const spring = momentOf('2027-03-23', '19:30', 'America/New_York');
    expect(daysLater(spring, -14, 'America/New_York').toISOString()).toBe(
      '2027-03-10T00:30:00.000Z',
    );
  });
});
