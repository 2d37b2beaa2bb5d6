import { randomUUID } from 'node:crypto';
import {
  errorBody,
  eveningSchema,
  eveningSummarySchema,
  pageOf,
  templateSchema,
  type EveningSummary,
} from '@wide-fern/contract';
import { mixedChoir } from '@wide-fern/core';
import type { Express } from 'express';
import { Choir } from '../db/entities/choir';
import { Singer, VoicePart } from '../db/entities/voices';
import { testDatabase } from '../testing/database';
import {
  addEvening,
  documentOf,
  planPath,
  signUp,
  testApp,
  typedEvening,
  type Person,
} from '../testing/people';
import { daysLater, momentOf } from '../time/zone';

const database = testDatabase();
const summariesPage = pageOf(eveningSummarySchema);

describe('evenings', () => {
  let app: Express;
  let person: Person;
  beforeAll(async () => {
    app = testApp(database);
    person = await signUp(app);
  });
  const [warmUp] = typedEvening().agenda;
  const add = (wanted: object) =>
    person.agent
      .post(`/api/choirs/${person.choir}/evenings`)
      .send({ ...typedEvening(), ...wanted });

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
      [{ occasion: 'at sea' }, 'occasion'],
      [{ agenda: [{ ...warmUp, minutes: -1 }] }, 'agenda.0.minutes'],
      [{ agenda: [{ ...warmUp, bars: [9, 2] }] }, 'agenda.0.bars'],
      [{ agenda: [warmUp, warmUp] }, 'agenda'],
      [{ agenda: [{ ...warmUp, piece: randomUUID() }] }, 'agenda'],
      [{ place: ' ' }, 'place'],
    ] as const) {
      const answer = await add(wrong).expect(400);
      expect(Object.keys(errorBody.parse(answer.body).error.fields ?? {})).toEqual([field]);
    }
  });

  it('are listed in order, none or thousands', async () => {
    const fresh = await signUp(app);
    const list = async () =>
      summariesPage.parse(
        (await fresh.agent.get(`/api/choirs/${fresh.choir}/evenings`).expect(200)).body,
      ).items;
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
    const all: EveningSummary[] = [];
    for (let after = ''; ;) {
      const path = `/api/choirs/${fresh.choir}/evenings${after}`;
      const { items, next } = summariesPage.parse((await fresh.agent.get(path)).body);
      all.push(...items);
      if (next === null) break;
      after = `?after=${encodeURIComponent(next)}`;
    }
    expect(new Set(all.map(({ id }) => id)).size).toBe(2000);
    const starts = all.map(({ startsAt }) => startsAt);
    expect(starts).toEqual([...starts].sort());
  });

  it('rest on the parts’ usual figures while nobody is on record, then on the singers', async () => {
    const fresh = await signUp(app);
    const evening = await addEvening(fresh);
    expect(evening.tonight.sections.map(({ comfort }) => comfort)).toEqual(
      mixedChoir.map(({ comfort }) => comfort),
    );
    expect(evening.tonight.sections[0]).toMatchObject({ singers: 0, suits: true });
    const em = database.orm.em.fork();
    const choir = em.getReference(Choir, fresh.choir);
    const part = await em.findOneOrFail(VoicePart, { choir, code: 'B' });
    const limits = { comfortLow: 40, comfortHigh: 59, reachLow: 38, reachHigh: 61 };
    em.create(Singer, { choir, part, name: 'Idris Cole', ...limits });
    await em.flush();
    const { body } = await fresh.agent
      .get(`/api/choirs/${fresh.choir}/evenings/${evening.id}`)
      .expect(200);
    const bass = eveningSchema.parse(body).tonight.sections[3];
    expect(bass).toMatchObject({ singers: 1, comfort: [40, 59], reach: [38, 61] });
    expect(JSON.stringify(body)).not.toContain('Idris');
  });
});

describe('changing evenings', () => {
  let app: Express;
  let person: Person;
  beforeEach(async () => {
    app = testApp(database);
    person = await signUp(app);
  });
  const at = (path: string) => `/api/choirs/${person.choir}${path}`;
  const summaries = async () =>
    summariesPage.parse((await person.agent.get(at('/evenings')).expect(200)).body).items;

  it('moves one, from the version it was at', async () => {
    const { id, version } = await addEvening(person);
    const evening = typedEvening({
      date: '2030-06-01',
      start: '10:00',
      end: '12:00',
      name: 'Fair',
    });
    const change = { version, evening: { ...evening, occasion: 'morning', forbids: ['floor'] } };
    const { body } = await person.agent
      .put(at(`/evenings/${id}`))
      .send(change)
      .expect(200);
    expect(eveningSchema.parse(body)).toMatchObject({
      version: version + 1,
      name: 'Fair',
      startsAt: '2030-06-01T09:00:00.000Z',
      occasion: 'morning',
      forbids: ['floor'],
    });
    const late = await person.agent
      .put(at(`/evenings/${id}`))
      .send(change)
      .expect(409);
    expect(errorBody.parse(late.body).error.code).toBe('changed_meanwhile');
  });

  it('who is here and how makes no new version of it', async () => {
    const { id, version } = await addEvening(person);
    await person.agent
      .put(at(`/evenings/${id}/presence`))
      .send({ condition: 'morning' })
      .expect(200);
    const { body } = await person.agent.get(at(`/evenings/${id}`)).expect(200);
    expect(eveningSchema.parse(body)).toMatchObject({ version, tonight: { condition: 'morning' } });
  });

  it('keeps a warm-up that has a plan', async () => {
    const evening = await addEvening(person);
    const document = documentOf(evening, ['coat-off']);
    await person.agent
      .put(planPath(person.choir, evening.id))
      .send({ version: 0, document, edits: [] })
      .expect(200);
    const without = { version: evening.version, evening: typedEvening({ agenda: [] }) };
    const refused = await person.agent
      .put(at(`/evenings/${evening.id}`))
      .send(without)
      .expect(409);
    expect(errorBody.parse(refused.body).error).toMatchObject({ code: 'has_plan' });
    const longer = typedEvening();
    longer.agenda[0]!.minutes = 20;
    await person.agent
      .put(at(`/evenings/${evening.id}`))
      .send({ version: evening.version, evening: longer })
      .expect(200);
  });

  it('repeats one at the same time by the clock on the wall, over a change of summer time', async () => {
    // Clocks go back on 27 October 2030, between the second date and the third.
    const evening = await addEvening(person, '2030-10-15');
    const dates = ['2030-10-22', '2030-10-29'];
    const document = documentOf(evening, ['coat-off']);
    await person.agent
      .put(planPath(person.choir, evening.id))
      .send({ version: 0, document, edits: [] })
      .expect(200);
    const { body } = await person.agent
      .post(at(`/evenings/${evening.id}/copies`))
      .send({ dates, withPlans: true })
      .expect(201);
    const made = body as EveningSummary[];
    expect(made.map(({ startsAt }) => startsAt)).toEqual([
      '2030-10-22T18:30:00.000Z',
      '2030-10-29T19:30:00.000Z',
    ]);
    const copied = await person.agent.get(planPath(person.choir, made[1]!.id)).expect(200);
    expect((copied.body as { plan: object }).plan).toMatchObject({ version: 1, document });
    expect(await summaries()).toHaveLength(3);
  });

  it('repeats one over midnight as long as it is', async () => {
    const night = typedEvening({ date: '2030-10-15', start: '23:00', end: '00:30' });
    const { body } = await person.agent.post(at('/evenings')).send(night).expect(201);
    const { id } = eveningSchema.parse(body);
    const copies = await person.agent
      .post(at(`/evenings/${id}/copies`))
      .send({ dates: ['2030-12-03'], withPlans: false })
      .expect(201);
    expect(copies.body).toMatchObject([
      { startsAt: '2030-12-03T23:00:00.000Z', endsAt: '2030-12-04T00:30:00.000Z' },
    ]);
  });

  it('takes a list of dates, all or none', async () => {
    const evenings = ['2030-01-07', '2030-01-14'].map((date) => typedEvening({ date }));
    await person.agent.post(at('/many-evenings')).send({ evenings }).expect(201);
    expect(await summaries()).toHaveLength(2);
    const wrong = [typedEvening({ date: '2030-01-21' }), { ...typedEvening(), start: 'late' }];
    await person.agent.post(at('/many-evenings')).send({ evenings: wrong }).expect(400);
    expect(await summaries()).toHaveLength(2);
  });

  it('calls one off with its plans', async () => {
    const evening = await addEvening(person);
    const document = documentOf(evening, ['coat-off']);
    await person.agent
      .put(planPath(person.choir, evening.id))
      .send({ version: 0, document, edits: [] })
      .expect(200);
    await person.agent.delete(at(`/evenings/${evening.id}`)).expect(204);
    await person.agent.get(at(`/evenings/${evening.id}`)).expect(404);
    expect(await summaries()).toEqual([]);
  });

  it('keeps how an evening usually goes', async () => {
    const { date: _, ...usual } = typedEvening({ name: 'Tuesdays' });
    const made = await person.agent.post(at('/templates')).send(usual).expect(201);
    const { id } = templateSchema.parse(made.body);
    const list = async () =>
      ((await person.agent.get(at('/templates')).expect(200)).body as { name: string }[]).map(
        ({ name }) => name,
      );
    expect(await list()).toEqual(['Tuesdays']);
    await person.agent.delete(at(`/templates/${id}`)).expect(204);
    expect(await list()).toEqual([]);
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
