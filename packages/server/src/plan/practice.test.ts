import { newPlanLinkSchema, practiceSchema, type Evening } from '@wide-fern/contract';
import type { Express } from 'express';
import request from 'supertest';
import { testDatabase } from '../testing/database';
import {
  addEvening,
  documentOf,
  keptLog,
  planPath,
  signUp,
  testApp,
  type Person,
} from '../testing/people';

const database = testDatabase();

describe('links to practise from at home', () => {
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
  const makeFor = async (part: string | null) =>
    newPlanLinkSchema.parse(
      (
        await person.agent
          .post(`${path}/links`)
          .send({ note: 'altos', use: 'practice', part })
          .expect(201)
      ).body,
    );
  const practise = (secret: string) => request(app).post('/api/practice').send({ secret });

  it('are for one part or for whoever opens them, and opened as nothing else', async () => {
    const [forAltos, forAny] = [await makeFor('A'), await makeFor(null)];
    // Seven groups of four signs of 32: 140 bits.
    expect(forAltos.code).toMatch(/^([A-Z2-9]{4}-){6}[A-Z2-9]{4}$/);
    const altos = practiceSchema.parse((await practise(forAltos.code).expect(200)).body);
    expect(altos).toMatchObject({ part: 'A', choir: expect.any(String) as string });
    expect(altos.document.segments).toHaveLength(2);
    expect(altos).not.toHaveProperty('place');
    const any = practiceSchema.parse((await practise(forAny.code).expect(200)).body);
    expect(any.part).toBeNull();
    await request(app).post('/api/plan-link').send({ secret: forAltos.code }).expect(404);
    expect((await person.agent.get(`${path}/links`)).text).not.toContain(forAltos.code);
  });

  it('show hard bars as they were when it was made, where that was wanted, and at most twelve', async () => {
    const [, steps] = documentOf(evening, ['coat-off', 'slate-steps']).segments;
    const bars = (count: number) =>
      Array.from({ length: count }, (_, i) => ({ ...steps!, id: `bars-${i}` }));
    const ask = (use: string, count: number) =>
      person.agent.post(`${path}/links`).send({ note: '', use, bars: bars(count) });
    const made = newPlanLinkSchema.parse((await ask('practice', 2).expect(201)).body);
    expect(made.bars).toBe(2);
    const opened = practiceSchema.parse((await practise(made.code).expect(200)).body);
    expect(opened.bars.map(({ id }) => id)).toEqual(['bars-0', 'bars-1']);
    const { body } = await person.agent.get(`${path}/links`).expect(200);
    expect((body as { bars: number }[]).map((one) => one.bars)).toEqual([2]);
    const sheet = newPlanLinkSchema.parse((await ask('sheet', 2).expect(201)).body);
    expect(sheet.bars).toBe(0);
    const { text } = await ask('practice', 13).expect(400);
    expect(text).toContain('At most 12 places of the score.');
    const note = { offset: 0, beats: 1, syllable: 'very long words '.repeat(2) };
    const line = Array.from({ length: 64 }, () => note);
    const music = { kind: 'lines', mode: 'major', lines: Array.from({ length: 8 }, () => line) };
    const long = bars(12).map((one) => ({ ...one, exercise: { ...one.exercise, music } }));
    const large = await person.agent
      .post(`${path}/links`)
      .send({ note: '', use: 'practice', bars: long })
      .expect(400);
    expect(large.text).toContain('This is too much of the score.');
  });

  it('tell nothing of persons, and nobody else who has a page', async () => {
    const planned = documentOf(evening, ['slate-steps']);
    const [first, ...others] = planned.tonight.sections;
    const small = { ...first!, singers: 2, away: 1, comfort: [65, 74], reach: [64, 75] };
    const document = {
      ...planned,
      tonight: { ...planned.tonight, sections: [small, ...others] },
    };
    await person.agent.put(path).send({ version: 1, document, edits: [] }).expect(200);
    const { code } = await makeFor(first!.id);
    const { body, text, headers } = await practise(code).expect(200);
    const [soprano] = practiceSchema.parse(body).document.tonight.sections;
    expect(soprano!.comfort).not.toEqual([65, 74]);
    expect(text).not.toContain('Aldous');
    expect(headers).toMatchObject({
      'referrer-policy': 'no-referrer',
      'x-robots-tag': 'noindex, nofollow',
      'cache-control': 'no-store',
    });
  });

  it('say kindly that they were taken back, and who asks for many is stopped', async () => {
    const made = await makeFor('T');
    await person.agent.delete(`${path}/links/${made.id}`).expect(204);
    const gone = await practise(made.code).expect(404);
    expect((gone.body as { error: { message: string } }).error.message).toBe(
      'This page was taken back, or its time is over. Ask whoever leads your choir for a new one.',
    );
    let status = 0;
    for (let i = 0; i < 200 && status !== 429; i += 1) {
      ({ status } = await practise(`GUESS-${i}`));
    }
    expect(status).toBe(429);
  });
});
