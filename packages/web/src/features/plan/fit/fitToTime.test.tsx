import { fireEvent, screen, within } from '@testing-library/react';
import { createPlanStore } from '@wide-fern/client';
import type { PlanDocument } from '@wide-fern/contract';
import { build } from '@wide-fern/core';
import { choose, emptyDocument, evaluate, offerFor, performAll } from '@wide-fern/plan';
import { documentOf, idsOf, planOf, tonight } from '@wide-fern/plan/testing';
import { highsSolver } from '@wide-fern/solver';
import { eveningFor } from '../../../testing/evening';
import { show, tidy } from '../../../testing/page';
import { serve } from '../../../testing/served';
import { FitToTime } from './FitToTime';
import type { Offers } from '../../../here/offers/offers';

const solver = highsSolver();
/** Offers sought in this very thread. */
const threadOffers = (): Offers => ({
  offer: (request, standing, favourites) =>
    offerFor(request, standing, { solve: (problem) => build(problem, { solver }) }, favourites),
  end: () => undefined,
});
/** One that cannot be fetched the first time. */
function failingOffers(): () => Offers {
  let times = 0;
  return () => {
    times += 1;
    return times === 1
      ? { offer: () => Promise.reject(new Error('Not fetched.')), end: () => undefined }
      : threadOffers();
  };
}

async function view(of: PlanDocument, minutes: number, makeOffers = threadOffers) {
  serve({
    showExercises: () => ({
      ...{ own: [], lastUsed: {}, templates: [] },
      marks: { 'lantern-chord': { favourite: true, hidden: false, note: '' } },
    }),
    listEvenings: () => ({ items: [], next: null }),
  });
  const store = createPlanStore(planOf(of), emptyDocument(tonight));
  let closed = 0;
  await show(
    <FitToTime
      evening={eveningFor(minutes)}
      item="warm-up"
      store={store}
      makeOffers={makeOffers}
      onTake={(edit) => store.getState().edit(edit)}
      onClose={() => (closed += 1)}
    />,
  );
  return { store, closed: () => closed };
}
const lengthOf = (document: PlanDocument) => evaluate(document, 900).total;
const plan = documentOf('coat-off', 'long-s', 'narrow-hum', 'pulley', 'long-ledge');
afterEach(tidy);

describe('fitting a plan to its time', () => {
  it('says what loses least before it is taken, and undo brings the plan back', async () => {
    const { store, closed } = await view(plan, 5);
    expect(lengthOf(plan)).toBeGreaterThan(300);
    await screen.findByText(/^\d:\d\d instead of \d:\d\d; /, undefined, { timeout: 15_000 });
    expect(store.getState().document).toEqual(plan);
    fireEvent.click(screen.getByRole('button', { name: 'Take it' }));
    expect(lengthOf(store.getState().document)).toBeLessThanOrEqual(300);
    expect(closed()).toBe(1);
    store.getState().undo();
    expect(idsOf(store.getState().document)).toEqual(idsOf(plan));
  }, 30_000);

  it('tells what five minutes more would bring, and looks at it only when asked', async () => {
    const { store } = await view(plan, 8);
    const more = await screen.findByRole(
      'region',
      { name: 'Five minutes more' },
      { timeout: 15_000 },
    );
    await within(more).findAllByRole('listitem', undefined, { timeout: 15_000 });
    expect(more.textContent).toMatch(/would bring/);
    expect(store.getState().document).toEqual(plan);
    expect(screen.queryByRole('region', { name: 'Five minutes less' })).toBeNull();
    fireEvent.click(within(more).getByRole('button', { name: 'look at 13:00' }));
    expect(screen.getByRole<HTMLInputElement>('textbox', { name: 'Minutes' }).value).toBe('13');
  }, 40_000);

  it('follows another time that is asked for', async () => {
    await view(plan, 5);
    await screen.findByText(/^\d:\d\d instead of /, undefined, { timeout: 15_000 });
    const field = screen.getByRole('textbox', { name: 'Minutes' });
    const minutes = Math.ceil(lengthOf(plan) / 60);
    fireEvent.change(field, { target: { value: String(minutes) } });
    fireEvent.blur(field);
    const spare = minutes * 60 - lengthOf(plan);
    const words = spare < 30 ? /It fits \d:\d\d as it is/ : /^\d:\d\d instead of /;
    await screen.findByText(words, undefined, { timeout: 15_000 });
  }, 40_000);

  it('says so where what stays as it is takes longer than there is', async () => {
    const pinned = performAll(plan, [choose('pulley', { pinned: true })]);
    await view(pinned, 1);
    expect(
      await screen.findByText(/^What stays as it is takes longer/, undefined, { timeout: 15_000 }),
    ).toBeTruthy();
  }, 30_000);

  it('offers a favourite where there is time', async () => {
    const standing = documentOf('coat-off', 'narrow-hum');
    await view(standing, 7);
    // What more time would bring may say the same below.
    const said = await screen.findAllByText(/as well, /, undefined, { timeout: 15_000 });
    expect(said.length).toBeGreaterThan(0);
  }, 30_000);

  it('can be tried again where it could not be fetched', async () => {
    await view(plan, 5, failingOffers());
    fireEvent.click(await screen.findByRole('button', { name: /try again/i }));
    await screen.findByText(/^\d:\d\d instead of /, undefined, { timeout: 15_000 });
  }, 30_000);
});
