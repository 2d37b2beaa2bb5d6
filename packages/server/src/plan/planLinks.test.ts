import {
  linkedPlanSchema,
  newPlanLinkSchema,
  planLinkSchema,
  type Evening,
  type NewPlanLink,
} from '@wide-fern/contract';
import type { Express } from 'express';
import request from 'supertest';
import { PlanLink } from '../db/entities/plan';
import { testDatabase } from '../testing/database';
import {
  addEvening,
  documentOf,
  join,
  keptLog,
  planPath,
  signUp,
  testApp,
  type Person,
} from '../testing/people';
import { tidyUp } from '../upkeep';

const database = testDatabase();

describe('links to a plan', () => {
  let app: Express;
  let person: Person;
  let evening: Evening;
  let path: string;
  const { log } = keptLog();

  beforeAll(() => {
    app = testApp(database, log);
  });
  beforeEach(async () => {
    person = await signUp(app);
    evening = await addEvening(person);
    path = planPath(person.choir, evening.id);
    const document = documentOf(evening, ['coat-off', 'slate-steps']);
    await person.agent.put(path).send({ version: 0, document, edits: [] }).expect(200);
  });
  const make = async (note = 'for the piano') =>
    newPlanLinkSchema.parse(
      (await person.agent.post(`${path}/links`).send({ note }).expect(201)).body,
    );
  const open = (secret: string) => request(app).post('/api/plan-link').send({ secret });

  it('lead anybody who has one to the plan as it is now, however the code is typed', async () => {
    const { code } = await make();
    const first = linkedPlanSchema.parse((await open(code).expect(200)).body);
    expect(first.document.segments.map(({ exercise }) => exercise.id)).toEqual([
      'coat-off',
      'slate-steps',
    ]);
    expect(first).toMatchObject({ place: evening.place, allotted: 900 });
    const document = documentOf(evening, ['pulley']);
    await person.agent.put(path).send({ version: 1, document, edits: [] }).expect(200);
    const later = await open(` ${code.toLowerCase().replaceAll('-', ' ')}`).expect(200);
    const { segments } = linkedPlanSchema.parse(later.body).document;
    expect(segments.map(({ exercise }) => exercise.id)).toEqual(['pulley']);
  });

  it('tell nothing of single singers: small sections are those of the usual voices', async () => {
    const planned = documentOf(evening, ['slate-steps']);
    const document = {
      ...planned,
      tonight: {
        ...planned.tonight,
        sections: planned.tonight.sections.map((section, i) =>
          i === 0
            ? { ...section, singers: 2, away: 1, comfort: [65, 74], reach: [64, 75] }
            : section,
        ),
      },
    };
    await person.agent.put(path).send({ version: 1, document, edits: [] }).expect(200);
    const { code } = await make();
    const { body } = (await open(code).expect(200)) as { body: unknown };
    const [soprano] = linkedPlanSchema.parse(body).document.tonight.sections;
    expect(soprano!.comfort).not.toEqual([65, 74]);
    expect(soprano!.away ?? 0).toBe(0);
  });

  it('are listed without their codes, and lead nowhere once taken back or over', async () => {
    const [one, other] = [await make('one'), await make('other')];
    const listed = planLinkSchema.array().parse((await person.agent.get(`${path}/links`)).body);
    expect(listed.map(({ note }) => note)).toEqual(['one', 'other']);
    expect(JSON.stringify(listed)).not.toContain(one.code);
    await person.agent.delete(`${path}/links/${one.id}`).expect(204);
    await open(one.code).expect(404);
    await person.agent.delete(`${path}/links/${one.id}`).expect(404);
    const em = database.orm.em.fork();
    await em.nativeUpdate(PlanLink, { id: other.id }, { expiresAt: new Date(Date.now() - 1000) });
    await open(other.code).expect(404);
    await tidyUp(database.orm);
    expect(await database.orm.em.fork().count(PlanLink, { id: other.id })).toBe(0);
  });

  it('belong to one plan and one choir, and are made by who may plan', async () => {
    const { id } = await make();
    const stranger = await signUp(app);
    await stranger.agent.get(`${path}/links`).expect(404);
    await stranger.agent.delete(`${path}/links/${id}`).expect(404);
    const reader = await signUp(app);
    await join(person, reader, 'reader');
    await reader.agent.post(`${path}/links`).send({ note: '' }).expect(403);
    const elsewhere = planPath(person.choir, (await addEvening(person)).id);
    await person.agent.delete(`${elsewhere}/links/${id}`).expect(404);
    await person.agent
      .post(`${path.replace('warm-up', 'break')}/links`)
      .send({ note: '' })
      .expect(404);
  });

  it('are gone with the evening', async () => {
    const { code }: NewPlanLink = await make();
    await person.agent.delete(`/api/choirs/${person.choir}/evenings/${evening.id}`).expect(204);
    await open(code).expect(404);
  });

  it('are no more than can be kept in sight, and guessing them ends', async () => {
    for (let i = 0; i < 20; i += 1) await make(`nr ${i}`);
    const full = await person.agent.post(`${path}/links`).send({ note: '' }).expect(409);
    expect((full.body as { error: { message: string } }).error.message).toMatch(/At most 20 links/);
    let status = 404;
    for (let i = 0; i < 60 && status === 404; i += 1) {
      ({ status } = await open(`AAAA-AAAA-${String(i).padStart(4, 'A')}`));
    }
    expect(status).toBe(429);
  });
});
