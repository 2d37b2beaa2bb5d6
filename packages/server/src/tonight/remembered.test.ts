import type { Evening, Piece, Singer } from '@wide-fern/contract';
import type { Express } from 'express';
import { testDatabase } from '../testing/database';
import {
  addEvening,
  signUp,
  testApp,
  typedEvening,
  typedPiece,
  type Person,
} from '../testing/people';

const database = testDatabase();

/** Whatever an evening rests on is changed, one thing after the other: the answer is always as it is now. */
describe('an evening that was answered before', () => {
  let app: Express;
  let person: Person;
  let at: string;
  let evening: Evening;
  beforeAll(async () => {
    app = testApp(database);
    person = await signUp(app);
    at = `/api/choirs/${person.choir}`;
    evening = await addEvening(person);
  });
  const show = async () =>
    (await person.agent.get(`${at}/evenings/${evening.id}`).expect(200)).body as Evening;
  const sopranos = async () => (await show()).tonight.sections.find(({ id }) => id === 'S')!;

  it('is the same while nothing changes', async () => {
    expect(await show()).toEqual(await show());
  });

  it('follows its singers, who is here, and how the choir comes', async () => {
    const limits = { comfort: [62, 79], reach: [59, 81], lightTop: null };
    const fields = { part: 'S', also: [], ...limits, states: [], onLeave: false, notes: '' };
    const { body } = await person.agent
      .post(`${at}/singers`)
      .send({ add: [{ name: 'Ash Tarn', ...fields }], change: [] })
      .expect(201);
    const [ash] = body as Singer[];
    expect(await sopranos()).toMatchObject({ singers: 1, comfort: [62, 79] });
    const presence = (change: object) =>
      person.agent.put(`${at}/evenings/${evening.id}/presence`).send(change).expect(200);
    await presence({ singers: [{ singer: ash!.id, away: true, states: [] }] });
    expect(await sopranos()).toMatchObject({ singers: 0, away: 1 });
    await presence({ singers: [{ singer: ash!.id, away: false, states: [] }] });
    const rested = (await sopranos()).comfort;
    await presence({ condition: 'cold' });
    expect((await sopranos()).comfort).not.toEqual(rested);
    await presence({ condition: 'rested' });
    await person.agent
      .post(`${at}/singers/checks`)
      .send({
        checks: [
          { singer: ash!.id, comfort: [60, 77], reach: [58, 80], lightTop: null, means: 'by-ear' },
        ],
      })
      .expect(201);
    expect((await sopranos()).comfort).toEqual([60, 77]);
    await person.agent.delete(`${at}/singers/${ash!.id}`).expect(204);
    expect((await sopranos()).singers).toBe(0);
  });

  it('follows its pieces, its agenda, and the choir’s own settings', async () => {
    const piece = typedPiece();
    const { body } = await person.agent.post(`${at}/pieces`).send(piece).expect(201);
    const { id, version } = body as Piece;
    const [warmUp] = typedEvening().agenda;
    const agenda = [warmUp!, { id: 'p', kind: 'piece', title: 'Slate', minutes: 20, piece: id }];
    await person.agent
      .put(`${at}/evenings/${evening.id}`)
      .send({ version: (await show()).version, evening: { ...typedEvening(), agenda } })
      .expect(200);
    expect((await show()).tonight.needs).toMatchObject([{ part: 'S', highest: 77 }]);
    await person.agent
      .put(`${at}/pieces/${id}`)
      .send({ version, piece: { ...piece, ranges: { S: [62, 79] } } })
      .expect(200);
    expect((await show()).tonight.needs).toMatchObject([{ part: 'S', highest: 79 }]);
    await person.agent
      .post(`${at}/pieces/${id}/judgements`)
      .send({
        judgedOn: '2026-12-01',
        scores: [{ skill: 'legato', score: 2, note: '' }],
        target: 'legato',
      })
      .expect(201);
    expect((await show()).wishes).toMatchObject([{ piece: id, skill: 'legato' }]);
    await person.agent.delete(`${at}/pieces/${id}`).expect(204);
    expect((await show()).tonight.needs).toEqual([]);
  });

  it('is gone when it is thrown away', async () => {
    await show();
    await person.agent.delete(`${at}/evenings/${evening.id}`).expect(204);
    await person.agent.get(`${at}/evenings/${evening.id}`).expect(404);
  });
});
