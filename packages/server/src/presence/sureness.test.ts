import type { Evening, Singer, Sureness } from '@wide-fern/contract';
import { testDatabase } from '../testing/database';
import { addEvening, signUp, testApp, type Person } from '../testing/people';

const database = testDatabase();

describe('how sure an evening’s sections are', () => {
  let person: Person;
  let at: string;
  let singers: Singer[];

  beforeAll(async () => {
    person = await signUp(testApp(database));
    at = `/api/choirs/${person.choir}`;
    const usual = { also: [], lightTop: null, states: [], onLeave: false, notes: '' };
    const comfort = [60, 76];
    const reach = [57, 79];
    const add = [
      { name: 'Ash Tarn', part: 'S', comfort, reach, ...usual },
      { name: 'Bram Oake', part: 'S', comfort, reach, ...usual },
      { name: 'Cleo Rill', part: 'S', comfort: null, reach: null, ...usual },
      { name: 'Dora Beck', part: 'A', comfort, reach, ...usual, onLeave: true },
    ];
    const answer = await person.agent.post(`${at}/singers`).send({ add, change: [] }).expect(201);
    singers = answer.body as Singer[];
  });

  const sureness = async ({ id }: Evening) =>
    (await person.agent.get(`${at}/evenings/${id}/sureness`).expect(200)).body as Sureness;
  const away = (evening: Evening, singer: string, isAway = true) =>
    person.agent
      .put(`${at}/evenings/${evening.id}/presence`)
      .send({ singers: [{ singer, away: isAway, states: [] }] })
      .expect(200);
  const idOf = (name: string) => singers.find((one) => one.name === name)!.id;

  it('knows limits without names, presence from the last evenings, and what was said', async () => {
    const dates = ['2099-03-03', '2099-03-10', '2099-03-17', '2099-03-24'];
    const evenings: Evening[] = [];
    for (const date of dates) evenings.push(await addEvening(person, date));
    const [first, second, , last] = evenings as [Evening, Evening, Evening, Evening];
    // Before the first evening everybody is taken to be here.
    expect(await sureness(first)).toEqual({
      wanted: 0.85,
      states: {},
      parts: {
        S: [
          { comfort: [60, 76], sigma: 1, present: 1 },
          { comfort: [60, 76], sigma: 1, present: 1 },
        ],
      },
    });
    await away(first, idOf('Ash Tarn'));
    await away(second, idOf('Ash Tarn'));
    const present = async (evening: Evening) =>
      (await sureness(evening)).parts['S']!.map((one) => one.present).sort((a, b) => a - b);
    // Here once of three, and three times of three.
    expect(await present(last)).toEqual([2 / 5, 4 / 5]);
    await person.agent
      .put(`${at}/evenings/${last.id}/presence`)
      .send({ singers: [{ singer: idOf('Cleo Rill'), away: false, states: ['ill', 'changing'] }] })
      .expect(200);
    expect((await sureness(last)).states).toEqual({ ill: 1, changing: 1 });
    await away(last, idOf('Cleo Rill'));
    expect((await sureness(last)).states).toEqual({});
    await away(last, idOf('Bram Oake'));
    expect(await present(last)).toEqual([0, 1]);
  });

  it('follows how far a singer’s checks lie apart', async () => {
    const evening = await addEvening(person, '2099-04-07');
    const check = (top: number) => ({
      ...{ singer: idOf('Ash Tarn'), comfort: [60, top], reach: [57, 79], lightTop: null },
      means: 'by-ear',
    });
    for (const top of [78, 72]) {
      await person.agent
        .post(`${at}/singers/checks`)
        .send({ checks: [check(top)] })
        .expect(201);
    }
    const { parts } = await sureness(evening);
    // A prior of one semitone worth three checks, and two checks three semitones from their mean.
    expect(parts['S']!.map(({ sigma }) => sigma)).toContainEqual(Math.sqrt((3 + 9 + 9) / 5));
  });
});
