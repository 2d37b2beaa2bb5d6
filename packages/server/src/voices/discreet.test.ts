import type { Evening, Plan, Singer, Voices } from '@wide-fern/contract';
import type { Section } from '@wide-fern/core';
import { evaluate } from '@wide-fern/plan';
import { testDatabase } from '../testing/database';
import {
  addEvening,
  documentOf,
  join,
  planPath,
  signUp,
  testApp,
  type Person,
} from '../testing/people';

const database = testDatabase();

/** A range nobody else has: whoever sees these notes sees the singer. */
const telling = { comfort: [59, 75], reach: [57, 77] } as const;
const usual = { comfort: [60, 76], reach: [57, 79] } as const;

describe('what a reader sees of a section', () => {
  let owner: Person;
  let reader: Person;
  let at: string;
  let evening: Evening;
  let singers: Singer[];

  beforeAll(async () => {
    const app = testApp(database);
    owner = await signUp(app);
    reader = await signUp(app);
    await join(owner, reader, 'reader');
    at = `/api/choirs/${owner.choir}`;
    const fields = { also: [], lightTop: null, states: [], onLeave: false, notes: '' };
    const add = [
      { name: 'Ash Tarn', part: 'S', ...telling, ...fields },
      ...['Bram Oake', 'Cleo Rill', 'Dora Beck'].map((name) => ({
        name,
        part: 'A',
        ...usual,
        ...fields,
      })),
    ];
    const answer = await owner.agent.post(`${at}/singers`).send({ add, change: [] }).expect(201);
    singers = answer.body as Singer[];
    evening = await addEvening(owner);
  });

  const eveningOf = async ({ agent }: Person) =>
    (await agent.get(`${at}/evenings/${evening.id}`).expect(200)).body as Evening;
  const sectionIn = (sections: readonly Section[], id: string) =>
    sections.find((one) => one.id === id)!;
  const comfortOf = (part: 'S' | 'A', { sections }: { sections: readonly Section[] }) =>
    sectionIn(sections, part).comfort;

  it('are the figures of a part where one singer stands behind it, everywhere', async () => {
    const [seen, mine] = [await eveningOf(reader), await eveningOf(owner)];
    expect(comfortOf('S', mine.tonight)).toEqual([59, 75]);
    const voices = (await reader.agent.get(`${at}/voices`).expect(200)).body as Voices;
    for (const sections of [seen.tonight.sections, seen.withEveryone, voices.sections]) {
      expect(sectionIn(sections, 'S').comfort).not.toEqual([59, 75]);
      expect(sectionIn(sections, 'S').singers).toBe(0);
      // Three altos are a section, not persons.
      expect(sectionIn(sections, 'A')).toMatchObject({ comfort: [60, 76], singers: 3 });
    }
  });

  it('marks the usual change of register where one or two showed theirs', async () => {
    const told = async (who: Person) =>
      sectionIn((await eveningOf(who)).tonight.sections, 'A').register;
    const two = singers.filter(({ name }) => ['Bram Oake', 'Cleo Rill'].includes(name));
    await owner.agent
      .post(`${at}/singers`)
      .send({
        add: [],
        change: two.map(({ id, version, checkedOn: _, ...fields }) => ({
          ...{ id, version },
          singer: { ...fields, changes: [70] },
        })),
      })
      .expect(201);
    expect(await told(owner)).toEqual({ zone: [70, 70], asked: 2 });
    expect(await told(reader)).toEqual({ zone: [65, 76], asked: 0 });
  });

  it('changes nothing when the one singer stays away, and counts nobody', async () => {
    const before = await eveningOf(reader);
    const tick = (who: readonly string[], away: boolean) =>
      owner.agent
        .put(`${at}/evenings/${evening.id}/presence`)
        .send({
          singers: singers
            .filter(({ name }) => who.includes(name))
            .map(({ id }) => ({ singer: id, away, states: [] })),
        })
        .expect(200);
    await tick(['Ash Tarn', 'Bram Oake'], true);
    const after = await eveningOf(reader);
    expect(sectionIn(after.tonight.sections, 'S')).toEqual(sectionIn(before.tonight.sections, 'S'));
    const altos = sectionIn(after.tonight.sections, 'A');
    expect([altos.singers, altos.away]).toEqual([0, undefined]);
    expect(sectionIn((await eveningOf(owner)).tonight.sections, 'A').away).toBe(1);
    await tick(['Ash Tarn', 'Bram Oake'], false);
  });

  it('leaves the keys of a plan as they are sung, without the figures they came from', async () => {
    const mine = await eveningOf(owner);
    const document = documentOf(mine, ['narrow-hum', 'pulley', 'lantern-chord']);
    await owner.agent
      .put(planPath(owner.choir, evening.id))
      .send({ version: 0, document, edits: [] })
      .expect(200);
    const planOf = async ({ agent }: Person) => {
      const { body } = await agent.get(planPath(owner.choir, evening.id)).expect(200);
      return (body as { plan: Plan }).plan.document;
    };
    const [seen, own] = [await planOf(reader), await planOf(owner)];
    expect(comfortOf('S', own.tonight)).toEqual([59, 75]);
    expect(comfortOf('S', seen.tonight)).not.toEqual([59, 75]);
    const tonics = (plan: typeof seen) =>
      evaluate(plan, 900).segments.map(({ computed: { keys } }) =>
        keys.kind === 'none' ? [] : (keys.sung?.tonics ?? []),
      );
    expect(tonics(own).every((row) => row.length > 0)).toBe(true);
    expect(tonics(seen)).toEqual(tonics(own));
  });
});
