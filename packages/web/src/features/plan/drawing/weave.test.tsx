import { act, screen, waitFor } from '@testing-library/react';
import { createPlanStore } from '@wide-fern/client';
import { choose, emptyDocument } from '@wide-fern/plan';
import { documentOf, planOf, tonight } from '@wide-fern/plan/testing';
import { eveningFor } from '../../../testing/evening';
import { show, tidy } from '../../../testing/page';
import { setPulled } from '../../../ui/pulling';
import { PlanView } from '../PlanView';

const document = documentOf('coat-off', 'narrow-hum', 'pulley', 'slate-steps');
const nothing = () => undefined;
afterEach(() => {
  act(() => setPulled(undefined));
  tidy();
});

const weave = () => screen.getByRole('img', { name: /^The range weave/ });
/** The drawings of the segments, in order. */
const columns = () => [...weave().querySelectorAll('div[style*="translateX"] > svg')];

async function view() {
  const store = createPlanStore(planOf(document), emptyDocument(tonight));
  await show(
    <PlanView
      {...{ store, onBuild: nothing, onLead: nothing }}
      evening={eveningFor()}
      item="warm-up"
    />,
  );
  // What comes behind the page is there: talk in every segment, and when it may end.
  await waitFor(() => {
    for (const one of columns()) expect(one.querySelector('[data-talk]')).not.toBeNull();
  });
  return store;
}

describe('the weave while an end is pulled', () => {
  it('is drawn anew in that segment alone, and what lies behind it moves by one element', async () => {
    const store = await view();
    expect(columns()).toHaveLength(4);
    act(() => setPulled('strip', 'narrow-hum'));
    const before = columns();
    const watch = new MutationObserver(nothing);
    watch.observe(before[0]!.parentElement!, {
      ...{ subtree: true, childList: true, attributes: true, characterData: true },
    });
    const { repetitions } = document.segments[1]!.choices;
    act(() => void store.getState().edit(choose('narrow-hum', { repetitions: repetitions + 2 })));
    const changed = watch.takeRecords().map(({ target }) => target);
    watch.disconnect();

    const inside = (column: Element) => changed.filter((one) => column.contains(one)).length;
    expect(before.map((column) => inside(column) > 0)).toEqual([false, true, false, false]);
    const outside = changed.filter((one) => !before.some((column) => column.contains(one)));
    expect(outside).toEqual([before[2]!.parentElement]);
    expect(columns()).toEqual(before);
  });

  it('leaves the moment that is pointed at alone until the hand is off', async () => {
    const store = await view();
    const moment = await screen.findByRole('slider', { name: 'Moment of the warm-up' });
    const end = () => Number(moment.getAttribute('aria-valuemax'));
    const before = end();
    act(() => setPulled('strip', 'narrow-hum'));
    const { repetitions } = document.segments[1]!.choices;
    act(() => void store.getState().edit(choose('narrow-hum', { repetitions: repetitions + 2 })));
    expect(end()).toBe(before);
    act(() => setPulled(undefined));
    expect(end()).toBeGreaterThan(before);
  });

  it('is drawn in a segment that is chosen, and in the one that was', async () => {
    const store = await view();
    const tinted = () =>
      columns().map((one) => one.querySelector('rect')!.getAttribute('fill-opacity') === '0.06');
    expect(tinted()).toEqual([true, false, false, false]);
    act(() => store.getState().choose('pulley'));
    expect(tinted()).toEqual([false, false, true, false]);
  });
});
