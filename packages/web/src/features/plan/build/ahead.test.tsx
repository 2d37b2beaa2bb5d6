import { fireEvent, screen, waitFor, within } from '@testing-library/react';
import { exercises } from '@wide-fern/catalogue';
import { createPlanStore } from '@wide-fern/client';
import type { Evening, PlanDocument, SavePlan } from '@wide-fern/contract';
import { build } from '@wide-fern/core';
import { emptyDocument, nothingAsked, rememberedWays, weigh, type Proposal } from '@wide-fern/plan';
import { documentOf, idsOf, planOf, tonight } from '@wide-fern/plan/testing';
import { highsSolver } from '@wide-fern/solver';
import { eveningFor } from '../../../testing/evening';
import { ids, show, tidy } from '../../../testing/page';
import { Refusal, serve } from '../../../testing/served';
import { Ahead } from './Ahead';
import type { Builder } from '../../../here/building/builder';

const few = exercises.filter(({ phase }, i) => phase !== 'cool-down' && i % 8 === 0);
const solver = highsSolver();
function threadBuilder(): Builder {
  const ways = rememberedWays();
  return {
    weigh: (request) => Promise.resolve(weigh(request, few, ways)),
    solve: (problem) => build(problem, { solver }),
    ready: () => undefined,
    prepare: () => Promise.resolve(),
    stop: () => undefined,
    end: () => undefined,
  };
}

const now = eveningFor(6);
const later = (id: string, date: string): Evening => ({
  ...eveningFor(6),
  id,
  startsAt: `${date}T19:30:00.000Z`,
  endsAt: `${date}T21:30:00.000Z`,
});
const second = later(ids.two, '2026-12-08');
const third = later(ids.three, '2026-12-15');

/** The weeks ahead of an evening, with what is planned for the two that follow. */
async function view(
  planned: Readonly<Record<string, PlanDocument>>,
  save: (body: SavePlan) => void = () => undefined,
) {
  const server = serve({
    listEvenings: () => ({
      items: [now, second, third].map(({ id, name, startsAt, endsAt, place }) => ({
        ...{ id, name, startsAt, endsAt, place },
      })),
      next: null,
    }),
    showEvening: ({ params }) => (params['evening'] === ids.two ? second : third),
    showPlan: ({ params }) => {
      const document = planned[params['evening']!];
      return { plan: document ? planOf(document) : null };
    },
    savePlan: ({ body }) => {
      save(body);
      return {
        ...{ id: ids.one, version: 1, savedAt: '2026-12-01T12:00:00.000Z' },
        savedBy: 'Joss Whitlam',
      };
    },
  });
  const document = emptyDocument(tonight);
  await show(
    <Ahead
      place={{
        ...{ evening: now, item: 'warm-up', builder: threadBuilder(), makeBuilder: threadBuilder },
        store: createPlanStore(planOf(document), document),
        known: {
          choir: { approach: 'evening-after-work', level: 2, approaches: [] },
          ...{ document, allotted: 360, evening: now, evenings: [] },
          exercises: { own: [], marks: {}, lastUsed: {} },
        },
        exercises: new Map(exercises.map((one) => [one.id, one])),
        onLeave: () => undefined,
      }}
      wish={nothingAsked}
      plan={{ segments: [{ exercise: 'narrow-hum' }] } as unknown as Proposal}
    />,
  );
  fireEvent.click(screen.getByRole('button', { name: /plan them too/ }));
  await screen.findByText('Tue 8 Dec');
  return server;
}
const section = () => screen.getByRole('region', { name: 'The weeks ahead' });
afterEach(tidy);

describe('the weeks ahead', () => {
  it('are built where nothing is planned, and each goes into its own plan', async () => {
    const saved: SavePlan[] = [];
    const server = await view({ [ids.two]: documentOf('coat-off', 'pulley') }, (body) =>
      saved.push(body),
    );
    expect(section().textContent).toContain('Coat off · Pulley planned');
    fireEvent.click(screen.getByRole('button', { name: 'build the one that is open' }));
    const take = await screen.findByRole('button', { name: /^take it for/ }, { timeout: 20_000 });
    // Nothing is stored before somebody takes it.
    expect(saved).toEqual([]);
    fireEvent.click(take);
    await within(section()).findByText(/in its plan now/);
    const [{ version, document, edits }] = saved as [SavePlan];
    expect(version).toBe(0);
    expect(idsOf(document).length).toBeGreaterThan(1);
    expect(document.tonight).toEqual(third.tonight);
    expect(edits).toEqual([{ code: 'built', segments: document.segments.length }]);
    expect(server.asked.find(({ name }) => name === 'savePlan')!.params['evening']).toBe(ids.three);
    const link = screen.getByRole('link', { name: 'open it' });
    expect(link.getAttribute('href')).toBe(`/evenings/${ids.three}/plan/warm-up`);
  }, 40_000);

  it('go into a plan that was emptied again', async () => {
    const saved: SavePlan[] = [];
    const emptied = emptyDocument(tonight);
    await view({ [ids.two]: documentOf('coat-off'), [ids.three]: emptied }, (body) =>
      saved.push(body),
    );
    fireEvent.click(screen.getByRole('button', { name: /that is open/ }));
    fireEvent.click(
      await screen.findByRole('button', { name: /^take it for/ }, { timeout: 20_000 }),
    );
    await within(section()).findByText(/in its plan now/);
    // The version it stands at, not that of a first plan.
    expect(saved.map(({ version }) => version)).toEqual([planOf(emptied).version]);
  }, 40_000);

  it('leave what somebody planned meanwhile as it is', async () => {
    await view({ [ids.two]: documentOf('coat-off') }, () => {
      throw new Refusal(409, 'changed_meanwhile', 'Somebody else saved it.');
    });
    fireEvent.click(screen.getByRole('button', { name: /that is open/ }));
    fireEvent.click(
      await screen.findByRole('button', { name: /^take it for/ }, { timeout: 20_000 }),
    );
    await within(section()).findByText(/somebody planned it meanwhile/);
  }, 40_000);

  it('say that all of them are planned, with nothing to build', async () => {
    await view({ [ids.two]: documentOf('coat-off'), [ids.three]: documentOf('pulley') });
    await waitFor(() => expect(section().textContent).toContain('Pulley planned'));
    expect(screen.queryByRole('button', { name: /build/ })).toBeNull();
  });
});
