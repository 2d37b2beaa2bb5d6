import { mostSegments, type Plan, type SavePlan } from '@wide-fern/contract';
import { exercises } from '@wide-fern/catalogue';
import { documentOf, planOf, tonight } from '@wide-fern/plan/testing';
import { bringIntoPlan, putIntoPlan } from './putInto';

const place = { choir: 'choir', evening: 'evening', item: 'warm-up' };
const exercise = exercises.find(({ phase }) => phase === 'piece')!;
const answer = (status: number, body: unknown) =>
  new Response(JSON.stringify(body), {
    status,
    headers: { 'Content-Type': 'application/json' },
  });

/** A server that holds a plan and refuses what rests on an older one. */
function server(first: Plan | null) {
  const held = { plan: first, saves: [] as SavePlan[], beforeSave: () => undefined as void };
  globalThis.fetch = (_, init) => {
    if (init?.method !== 'PUT') return Promise.resolve(answer(200, { plan: held.plan }));
    held.beforeSave();
    const body = JSON.parse(init.body as string) as SavePlan;
    if (body.version !== (held.plan?.version ?? 0)) return Promise.resolve(answer(409, {}));
    held.saves.push(body);
    held.plan = planOf(body.document, body.version + 1);
    return Promise.resolve(answer(200, held.plan));
  };
  return held;
}
const idsIn = ({ plan }: ReturnType<typeof server>) =>
  plan?.document.segments.map((segment) => segment.exercise.id);
const real = globalThis.fetch;
afterEach(() => {
  globalThis.fetch = real;
});

describe('an exercise put into a plan that is not open', () => {
  it('stands where its phase belongs, as one edit', async () => {
    const held = server(planOf(documentOf('coat-off', 'narrow-hum')));
    expect(await putIntoPlan(place, exercise, tonight)).toBe('put');
    expect(idsIn(held)).toEqual(['coat-off', 'narrow-hum', exercise.id]);
    expect(held.saves[0]!.edits).toHaveLength(1);
  });
  it('begins the plan where there is none', async () => {
    const held = server(null);
    await putIntoPlan(place, exercise, tonight);
    expect(idsIn(held)).toEqual([exercise.id]);
  });
  it('goes into what somebody else stored meanwhile', async () => {
    const held = server(planOf(documentOf('coat-off')));
    held.beforeSave = () => {
      held.beforeSave = () => undefined;
      held.plan = planOf(documentOf('coat-off', 'pulley'), held.plan!.version + 1);
    };
    await putIntoPlan(place, exercise, tonight);
    expect(idsIn(held)).toEqual(['coat-off', 'pulley', exercise.id]);
  });
  it('gives up when it is overtaken again and again', async () => {
    const held = server(planOf(documentOf('coat-off')));
    held.beforeSave = () => {
      held.plan = planOf(documentOf('coat-off'), held.plan!.version + 1);
    };
    await expect(putIntoPlan(place, exercise, tonight)).rejects.toMatchObject({ status: 409 });
  });
});

describe('segments that go into a plan that is not open', () => {
  it('stand at its end, as one save, and in what somebody else stored meanwhile', async () => {
    const held = server(planOf(documentOf('coat-off')));
    held.beforeSave = () => {
      held.beforeSave = () => undefined;
      held.plan = planOf(documentOf('coat-off', 'long-s'), held.plan!.version + 1);
    };
    const { segments } = documentOf('pulley', 'coat-off');
    expect(await bringIntoPlan(place, segments, tonight)).toBe('put');
    expect(idsIn(held)).toEqual(['coat-off', 'long-s', 'pulley', 'coat-off']);
    expect(held.saves).toHaveLength(1);
  });
  it('are not there twice where it got through and only the answer was lost', async () => {
    const held = server(planOf(documentOf('coat-off')));
    const { segments } = documentOf('pulley', 'long-s');
    const idFor = ({ id }: { id: string }) => `there-${id}`;
    const through = globalThis.fetch;
    globalThis.fetch = async (input, init) => {
      const got = await through(input, init);
      if (init?.method === 'PUT') throw new TypeError('The connection was lost.');
      return got;
    };
    await expect(bringIntoPlan(place, segments, tonight, idFor)).rejects.toThrow();
    globalThis.fetch = through;
    expect(await bringIntoPlan(place, segments, tonight, idFor)).toBe('put');
    expect(idsIn(held)).toEqual(['coat-off', 'pulley', 'long-s']);
    expect(held.saves).toHaveLength(1);
  });
  it('stay where they are where not all find room', async () => {
    const [one] = documentOf('coat-off').segments;
    const segments = Array.from({ length: mostSegments }, (_, i) => ({ ...one!, id: `f${i}` }));
    const held = server(planOf({ ...documentOf(), segments }));
    expect(await bringIntoPlan(place, documentOf('pulley').segments, tonight)).toBe('full');
    expect(held.saves).toEqual([]);
  });
});
