import { jest } from '@jest/globals';
import { act, fireEvent, screen, waitFor, within } from '@testing-library/react';
import { exercises } from '@wide-fern/catalogue';
import { createPlanStore, type PlanStore } from '@wide-fern/client';
import { build, type BuildNews } from '@wide-fern/core';
import {
  emptyDocument,
  nothingAsked,
  propose,
  rememberedWays,
  requestOf,
  weigh,
  whyNot,
  type WhyNot,
} from '@wide-fern/plan';
import { documentOf, idsOf, planOf, tonight } from '@wide-fern/plan/testing';
import { highsSolver } from '@wide-fern/solver';
import { eveningFor } from '../../../testing/evening';
import { ids, show, tidy } from '../../../testing/page';
import { serve } from '../../../testing/served';
import { BuildView } from './BuildView';
import type { Builder } from '../../../here/building/builder';
import { readWish } from '../../../here/building/keptWish';

const evening = eveningFor(8);

/** A choir that has only so many exercises is built for quickly. */
const few = exercises.filter(
  ({ id }, i) => i % 15 === 0 || ['pulley', 'narrow-hum', 'coat-off', 'long-s'].includes(id),
);
const solver = highsSolver();

/** A builder in this very thread that has a first plan, and whose search goes on until it is ended, as a worker's does. */
function slowBuilder(): Builder {
  const quick = threadBuilder();
  let end: (error: Error) => void = () => undefined;
  return {
    ...quick,
    solve: async (problem, onNews) => {
      const ended = new Promise<never>((_, fail) => (end = fail));
      const told: BuildNews[] = [];
      await quick.solve({ ...problem, alternatives: 0 }, (news) => told.push(news));
      // What is proven it does not come to.
      onNews?.(told.find(({ kind }) => kind === 'plan')!);
      return ended;
    },
    stop: () => end(new Error('The worker was ended.')),
  };
}

/** One that cannot be fetched the first time. */
function failingBuilder(): Builder {
  const quick = threadBuilder();
  let times = 0;
  return {
    ...quick,
    weigh: (request) => {
      times += 1;
      return times === 1 ? Promise.reject(new Error('Not fetched.')) : quick.weigh(request);
    },
  };
}

/** A builder in this very thread. */
function threadBuilder(): Builder {
  const ways = rememberedWays();
  return {
    weigh: (request) => Promise.resolve(weigh(request, few, ways)),
    solve: (problem, onNews) => build(problem, { solver, ...(onNews ? { onNews } : {}) }),
    ready: () => undefined,
    prepare: () => Promise.resolve(),
    stop: () => undefined,
    end: () => undefined,
  };
}

let left = 0;
async function view(
  of = documentOf('coat-off', 'pulley'),
  makeBuilder: () => Builder = threadBuilder,
): Promise<PlanStore> {
  const store = createPlanStore(planOf(of), emptyDocument(tonight));
  serve({
    showExercises: () => ({ own: [], marks: {}, lastUsed: {} }),
    listEvenings: () => ({ items: [], next: null }),
  });
  await show(
    <BuildView
      evening={evening}
      item="warm-up"
      store={store}
      onClose={() => (left += 1)}
      makeBuilder={makeBuilder}
    />,
  );
  return store;
}
/** A plan is proven in this thread, on a machine that may be busy. */
jest.setTimeout(240_000);
const built = () => screen.findByText(/^proven best in .* ways?$/, undefined, { timeout: 60_000 });
const proposal = (name: string) => screen.getByRole('region', { name: `Proposal: ${name}` });
const segmentsIn = (name: string) =>
  within(within(proposal(name)).getByRole('list')).getAllByRole('button');
const click = (name: string | RegExp) => fireEvent.click(screen.getByRole('button', { name }));
const put = (label: string, value: string) => {
  const field = screen.getByLabelText(label, { selector: 'input' });
  fireEvent.change(field, { target: { value } });
  fireEvent.keyDown(field, { key: 'Enter' });
};
afterEach(() => {
  left = 0;
  tidy();
});

describe('building a warm-up', () => {
  it('proposes a proven best one beside the present plan, and takes it whole as one edit', async () => {
    const store = await view();
    await built();
    expect(within(proposal('first')).getByText(/^proven best$/)).toBeTruthy();
    expect(within(proposal('now')).getByText(/^worth /)).toBeTruthy();
    const names = segmentsIn('first').map((one) => one.dataset.proposed);
    const before = store.getState().document;
    act(() => {
      click('Take it whole');
    });
    const { document, past } = store.getState();
    expect(document.segments.map(({ exercise }) => exercise.id)).toEqual(names);
    expect(past).toHaveLength(1);
    expect(left).toBe(1);
    act(() => {
      store.getState().undo();
    });
    expect(store.getState().document).toBe(before);
  });

  it('gives reasons, and figures that add up', async () => {
    await view();
    await built();
    fireEvent.click(segmentsIn('first')[0]!);
    const why = screen.getByRole('region', { name: /^Why / });
    const rows = within(within(why).getByRole('table')).getAllByRole('row');
    const figures = rows.map((row) =>
      Number(within(row).getAllByRole('cell').at(-1)!.textContent.replace('−', '-')),
    );
    expect(figures.slice(0, -1).reduce((sum, one) => sum + one, 0)).toBe(figures.at(-1));
    expect(within(why).getByText('Never led here yet.')).toBeTruthy();
  });

  it('keeps what shall stay and leaves out what is not wanted, and remembers what was asked', async () => {
    const store = await view();
    await built();
    fireEvent.click(segmentsIn('now')[1]!);
    click('it stays as it is');
    await waitFor(() => expect(store.getState().document.segments[1]!.choices.pinned).toBe(true));
    await built();
    const names = () => segmentsIn('first').map((one) => one.dataset.proposed);
    expect(names()).toContain('pulley');
    const other = segmentsIn('first').find((one) => one.dataset.proposed !== 'pulley')!;
    const unwanted = other.dataset.proposed!;
    fireEvent.click(other);
    click('not tonight');
    await built();
    expect(names()).toContain('pulley');
    expect(names()).not.toContain(unwanted);
    expect(readWish(ids.account, ids.choir, ids.one, 'warm-up')?.excluded).toEqual([unwanted]);
  });

  it('takes one segment across where it belongs', async () => {
    const store = await view();
    await built();
    const other = segmentsIn('first').find(
      (one) => !['coat-off', 'pulley'].includes(one.dataset.proposed!),
    )!;
    const wanted = other.dataset.proposed!;
    fireEvent.click(other);
    act(() => {
      click('take only this into the plan');
    });
    expect(store.getState().document.segments.map(({ exercise }) => exercise.id)).toContain(wanted);
    expect(idsOf(store.getState().document)).toHaveLength(3);
    expect(left).toBe(0);
  });

  it('says what does not fit together, and one act makes room', async () => {
    await view(documentOf());
    await built();
    click('more or less of a part');
    put('Breath, at most', '9');
    put('Breath, at least', '9');
    const alert = await screen.findByRole('alert', undefined, { timeout: 60_000 });
    expect(alert.textContent).toMatch(/do not fit together|not possible/);
    // What each way out brings is shown before it is taken, and it is what is built then.
    await waitFor(() => expect(alert.textContent).not.toContain('is being built'), {
      timeout: 60_000,
    });
    const [brings] = within(alert).getAllByText(/^brings \w+ segments? in \d:\d\d, worth \d+$/);
    const [, worth] = /worth (\d+)$/.exec(brings!.textContent)!;
    fireEvent.click(within(brings!.parentElement!).getByRole('button'));
    await waitFor(() => expect(screen.queryByRole('alert')).toBeNull(), { timeout: 60_000 });
    await built();
    expect(window.document.body.textContent).toContain(worth!);
  });

  it('says why an exercise is not there', async () => {
    await view();
    await built();
    const there = segmentsIn('first').map((one) => one.dataset.proposed);
    const other = few.find(({ id, phase }) => phase === 'range' && !there.includes(id))!;
    fireEvent.change(screen.getByLabelText('Why not this one?'), { target: { value: other.id } });
    click('ask');
    expect(
      await screen.findByText(new RegExp(`^With ${other.name}|^${other.name} `), undefined, {
        timeout: 60_000,
      }),
    ).toBeTruthy();
  });

  it('says at once what it would lose at most, while the best with it is still sought', async () => {
    let made = 0;
    await view(undefined, () => ((made += 1) === 1 ? threadBuilder() : slowBuilder()));
    await built();
    const there = segmentsIn('first').map((one) => one.dataset.proposed);
    const other = few.find(({ id, phase }) => phase === 'breath' && !there.includes(id))!;
    fireEvent.change(screen.getByLabelText('Why not this one?'), { target: { value: other.id } });
    click('ask');
    expect(
      await screen.findByText(/would be worth (at most \d+ less|just as much)/, undefined, {
        timeout: 60_000,
      }),
    ).toBeTruthy();
    expect(screen.getByRole('button', { name: 'building with it …' })).toBeTruthy();
    // Another one is another question: nothing of the old one is said any more.
    fireEvent.change(screen.getByLabelText('Why not this one?'), { target: { value: '' } });
    expect(screen.queryByText(/would be worth/)).toBeNull();
    expect(screen.getByRole('button', { name: 'ask' })).toBeTruthy();
  });

  it('loses less and less, until it is proven', async () => {
    const request = requestOf(
      {
        choir: { approach: 'evening-after-work', level: 2, approaches: [] },
        ...{ document: emptyDocument(tonight), allotted: 480, evening, evenings: [] },
        exercises: { own: [], marks: {}, lastUsed: {} },
      },
      nothingAsked,
    );
    const planner = threadBuilder();
    const proposed = await propose({ ...request, alternatives: 0 }, planner);
    const plan = proposed.kind === 'plans' ? proposed.plans[0]! : undefined;
    expect(plan).toBeDefined();
    const there = new Set(plan!.segments.map(({ exercise }) => exercise));
    const other = few.find(({ id, phase }) => phase === 'breath' && !there.has(id))!;
    const told: WhyNot[] = [];
    const last = await whyNot(request, other, plan!, planner, (answer) => told.push(answer));
    const losses = [...told, last].map((one) => (one.kind === 'loses' ? one.points : NaN));
    expect(losses).toEqual([...losses].sort((a, b) => b - a));
    expect(losses.every((points) => points >= 0)).toBe(true);
    expect(told[0]).toMatchObject({ kind: 'loses', isProven: false });
    expect(last).toMatchObject({ kind: 'loses', isProven: true });
  });

  it('can be told that it is good enough, and keeps what stands', async () => {
    await view(documentOf('coat-off'), slowBuilder);
    fireEvent.click(
      await screen.findByRole('button', { name: 'that is good enough' }, { timeout: 60_000 }),
    );
    expect(await screen.findByText(/^the best so far/)).toBeTruthy();
    expect(screen.queryByRole('alert')).toBeNull();
    expect(screen.getByRole('button', { name: 'Take it whole' })).toBeTruthy();
  });

  it('is tried again where it could not be fetched', async () => {
    await view(documentOf('coat-off'), failingBuilder);
    expect((await screen.findByRole('alert')).textContent).toMatch(/Your plan is as it was/);
    click('try again');
    await built();
    expect(screen.queryByRole('alert')).toBeNull();
  });
});
