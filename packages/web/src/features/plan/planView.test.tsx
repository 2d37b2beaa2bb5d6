import { jest } from '@jest/globals';
import { act, fireEvent, screen, waitFor, within } from '@testing-library/react';
import { createPlanStore, queryClient, type PlanStore } from '@wide-fern/client';
import type { ChangePlan, SavePlan } from '@wide-fern/contract';
import {
  choose,
  emptyDocument,
  performAll,
  takeOut,
  withStored,
  writePlanFile,
} from '@wide-fern/plan';
import { documentOf, idsOf, planOf, tonight } from '@wide-fern/plan/testing';
import { eveningFor } from '../../testing/evening';
import { ids, show, tidy } from '../../testing/page';
import { Refusal, serve } from '../../testing/served';
import PlanPage from './PlanPage';
import { planShortcuts } from './model/planShortcuts';
import { PlanView } from './PlanView';

const evening = eveningFor();
const document = documentOf('coat-off', 'narrow-hum', 'pulley');

async function view(of = document, role?: 'reader'): Promise<PlanStore> {
  const store = createPlanStore(planOf(of), emptyDocument(tonight));
  await show(
    <PlanView
      evening={evening}
      item="warm-up"
      store={store}
      onBuild={() => undefined}
      onLead={() => undefined}
    />,
    role ? { role } : {},
  );
  return store;
}
const press = (key: string, more: object = {}) => fireEvent.keyDown(window, { key, ...more });
const strip = () => screen.getByRole('list', { name: /segments/i });
const segments = () => within(strip()).getAllByRole('button');
const current = () =>
  segments().find((one) => one.getAttribute('aria-current') === 'true')?.dataset.segment;
const focused = () => (window.document.activeElement as HTMLElement | null)?.dataset.segment;
const said = () =>
  screen
    .getAllByRole('status')
    .map(({ textContent }) => textContent)
    .join(' ');
afterEach(tidy);

describe('a plan on the page', () => {
  it('says how long it is, when it ends, and what it rests on', async () => {
    await view();
    expect(window.document.body.textContent).toMatch(/\d:\d\d of 15:00/);
    expect(screen.getByRole('img', { name: /^The range weave/ })).toBeTruthy();
    expect(segments()).toHaveLength(3);
  });

  it('marks what the place does not allow', async () => {
    const standing = documentOf('coat-off', 'narrow-hum');
    standing.segments[0]!.exercise = { ...standing.segments[0]!.exercise, needs: ['standing'] };
    const store = createPlanStore(planOf(standing), emptyDocument(tonight));
    const seated = { ...evening, forbids: ['standing' as const] };
    await show(
      <PlanView
        evening={seated}
        item="warm-up"
        store={store}
        onBuild={() => undefined}
        onLead={() => undefined}
      />,
    );
    const marked = segments().map((one) => /does not allow/.test(one.getAttribute('aria-label')!));
    expect(marked).toEqual([true, false]);
  });

  it('says what should be looked at, where it is, and one touch helps', async () => {
    const strong = documentOf('narrow-hum', 'one-lamp', 'pulley');
    const [, , pulley] = strong.segments;
    pulley!.exercise = { ...pulley!.exercise, effort: 4 };
    pulley!.choices = { ...pulley!.choices, repetitions: 12, coach: 0 };
    const store = await view(strong);
    const look = await screen.findByRole('region', { name: 'To look at' });
    const line = within(look).getByText(/^From Pulley on, strong singing goes on for \d:\d\d/);
    fireEvent.click(within(look).getAllByRole('button', { name: 'show it' })[0]!);
    expect(current()).toBe('pulley');
    fireEvent.click(within(look).getByRole('button', { name: /^rest five seconds/ }));
    expect(store.getState().document.segments[2]!.choices.coach).toBe(5);
    await waitFor(() => expect(line.isConnected).toBe(false));
    act(() => {
      store.getState().undo();
    });
    expect(await screen.findByText(/^From Pulley on/)).toBeTruthy();
  });

  it('marks where it is not sure that enough are at ease, for those who lead only', async () => {
    const [, high] = tonight.sections[0]!.comfort;
    const singer = { comfort: [50, high - 4] as [number, number], sigma: 1, present: 1 };
    const server = serve({
      showSureness: () => ({
        wanted: 0.85,
        states: { changing: 2 },
        parts: { S: [singer, singer, singer] },
      }),
    });
    const marks = () => window.document.querySelectorAll('svg g > title');
    const words = () => [...marks()].map(({ textContent }) => textContent);
    const edge = documentOf('narrow-hum', 'slate-steps');
    await view(edge, 'reader');
    expect(await screen.findByText(/^Effort$/)).toBeTruthy();
    expect(server.asked.map(({ name }) => name)).not.toContain('showSureness');
    expect(words().join()).not.toContain('evenings in ten');
    tidy();
    await view(edge);
    await waitFor(() => expect(words().join()).toMatch(/on \w+ evenings in ten, too few are/));
  });

  it('minds who is here, and reminds of what has to be ready, each with its date', async () => {
    jest.useFakeTimers({
      now: Date.parse('2026-11-28T12:00:00Z'),
      doNotFake: ['setTimeout', 'queueMicrotask', 'requestAnimationFrame'],
    });
    try {
      serve({ showSureness: () => ({ wanted: 0.85, states: { changing: 2 }, parts: {} }) });
      await view(documentOf('narrow-hum', 'pulley', 'water-straw'));
      const look = await screen.findByRole('region', { name: 'To look at' });
      expect(
        await within(look).findByText(/Two changing voices are here: in Pulley nobody pushes/),
      ).toBeTruthy();
      expect(
        within(look).getByText(/By Mon 30 Nov: put a straw and a cup of water for each/),
      ).toBeTruthy();
    } finally {
      jest.useRealTimers();
    }
  });

  it('opens a segment that is chosen, and walks on by key', async () => {
    await view();
    fireEvent.click(segments()[1]!);
    expect(current()).toBe('narrow-hum');
    expect(screen.getByRole('region', { name: 'Bench: Narrow hum' })).toBeTruthy();
    press('n');
    expect(current()).toBe('pulley');
    press('p');
    press('p');
    expect(current()).toBe('coat-off');
  });

  it('starts higher or lower, takes a key more or fewer, and takes that back, by key', async () => {
    const store = await view();
    fireEvent.click(segments()[2]!);
    const choices = () => store.getState().document.segments[2]!.choices;
    const { repetitions } = choices();
    press('+');
    expect(choices().repetitions).toBe(repetitions + 1);
    press('u');
    expect(choices().repetitions).toBe(repetitions);
    press('U', { shiftKey: true });
    expect(choices().repetitions).toBe(repetitions + 1);
    press(']');
    expect(choices().start).not.toBeNull();
  });

  it('moves a segment by key, and says so', async () => {
    const store = await view();
    fireEvent.click(segments()[2]!);
    press('ArrowLeft', { shiftKey: true });
    expect(idsOf(store.getState().document)).toEqual(['coat-off', 'pulley', 'narrow-hum']);
    await waitFor(() => expect(said()).toMatch(/Pulley/));
  });

  it('says what was undone, and what was done again', async () => {
    const store = await view();
    fireEvent.click(segments()[2]!);
    act(() => void store.getState().edit(takeOut('pulley')));
    act(() => {
      store.getState().undo();
    });
    expect(said()).toContain('Undone: Pulley added as number 3.');
    press('U', { shiftKey: true });
    expect(said()).toContain('Done again: Pulley left out.');
  });

  it('goes along its segments by the arrows, and the focus goes along', async () => {
    await view();
    fireEvent.click(segments()[0]!);
    fireEvent.keyDown(segments()[0]!, { key: 'ArrowRight' });
    expect(current()).toBe('narrow-hum');
    await waitFor(() => expect(focused()).toBe('narrow-hum'));
    fireEvent.keyDown(segments()[1]!, { key: 'End' });
    expect(current()).toBe('pulley');
    fireEvent.keyDown(segments()[2]!, { key: 'Home' });
    expect(current()).toBe('coat-off');
  });

  it('keeps the focus among the segments when one is left out', async () => {
    await view();
    fireEvent.click(segments()[1]!);
    fireEvent.click(await screen.findByRole('button', { name: 'leave out' }));
    await waitFor(() => expect(focused()).toBe('pulley'));
  });

  it('lists its keys, and can do without letters', async () => {
    await view();
    press('?');
    await screen.findByText('next segment');
    press('?');
    await waitFor(() => expect(screen.queryByText('next segment')).toBeNull());
  });

  it('says what to do where nothing is planned', async () => {
    await view(emptyDocument(tonight));
    expect(screen.getByRole('button', { name: 'Add an exercise' })).toBeTruthy();
    expect(window.document.body.textContent).toMatch(/15/);
  });

  it('is only looked at by a reader', async () => {
    const store = await view(document, 'reader');
    expect(screen.queryByRole('button', { name: 'Add an exercise' })).toBeNull();
    fireEvent.click(segments()[2]!);
    press('+');
    press('ArrowLeft', { shiftKey: true });
    expect(store.getState().document).toBe(document);
  });

  it('shows both versions where somebody else changed the same', async () => {
    const store = await view();
    const theirs = planOf(documentOf('coat-off', 'pulley'), 2);
    act(() => store.getState().setSaving({ kind: 'clash', theirs }));
    await screen.findByRole('heading', { name: /changed in another window/ });
    fireEvent.click(screen.getByRole('button', { name: 'Take the other' }));
    expect(idsOf(store.getState().document)).toEqual(['coat-off', 'pulley']);
  });

  it('says why it is not saved, and that it is kept', async () => {
    const store = await view();
    act(() => store.getState().setSaving({ kind: 'refused', message: 'The plan is too long.' }));
    expect((await screen.findByRole('alert')).textContent).toBe(
      'Not saved: The plan is too long. Your changes are kept on this device.',
    );
  });
});

describe('segments by hand', () => {
  const button = (name: string | RegExp) => screen.findByRole('button', { name });
  const order = (store: PlanStore) =>
    store.getState().document.segments.map((one) => one.exercise.id);

  it('are chosen together, and what is done is done to all of them', async () => {
    const store = await view();
    fireEvent.click(segments()[1]!);
    fireEvent.click(segments()[2]!, { shiftKey: true });
    expect(await screen.findByText(/^Chosen together: two segments, \d:\d\d$/)).toBeTruthy();
    fireEvent.click(await button('earlier'));
    expect(order(store)).toEqual(['narrow-hum', 'pulley', 'coat-off']);
    fireEvent.click(await button('only this one'));
    fireEvent.click(await button('leave out'));
    expect(order(store)).toEqual(['narrow-hum', 'coat-off']);
    // By keys too: one is kept, the next comes to it.
    press('x');
    press('n');
    press('p');
    expect(store.getState().also).toHaveLength(1);
  });

  it('come once more, in two parts, and stay', async () => {
    const store = await view();
    fireEvent.click(segments()[2]!);
    fireEvent.click(await button('once more'));
    expect(order(store).slice(2)).toEqual(['pulley', 'pulley']);
    fireEvent.click(await button('in two parts'));
    expect(order(store).slice(2)).toEqual(['pulley', 'pulley', 'pulley']);
    fireEvent.click(await button('stays as it is'));
    expect(await button('may change again')).toBeTruthy();
    expect(segments().at(-1)!.getAttribute('aria-label')).toMatch(/, stays as it is$/);
  });

  it('are pulled longer and shorter at their end, and their talk too, one undo each', async () => {
    HTMLElement.prototype.setPointerCapture = () => undefined;
    const store = await view();
    fireEvent.click(segments()[2]!);
    const before = store.getState().document;
    const pull = (what: 'end' | 'talk', steps: readonly number[]) => {
      const handles = strip().querySelectorAll(`[data-pull="${what}"]`);
      const handle = handles[handles.length - 1]!;
      const at = (x: number) => ({ clientX: x, pointerId: 1, button: 0 });
      fireEvent(handle, new MouseEvent('pointerdown', { ...at(100), bubbles: true }));
      for (const by of steps) fireEvent(handle, new MouseEvent('pointermove', at(100 + by)));
      fireEvent(handle, new MouseEvent('pointerup', at(0)));
      fireEvent(handle, new MouseEvent('pointermove', at(900)));
    };
    const choices = () => store.getState().document.segments[2]!.choices;
    pull('end', [-30, -60, -40]);
    expect(choices().repetitions).toBeLessThan(7);
    expect(choices().repetitions).toBeGreaterThan(1);
    pull('talk', [20, 40]);
    expect(choices().talk).toBeGreaterThan(23);
    expect(choices().talk % 5).toBe(0);
    act(() => store.getState().goBack(-2));
    expect(store.getState().document).toBe(before);
  });

  it('are changed for another, which says before what that changes', async () => {
    serve({
      showExercises: () => ({ ...{ own: [], lastUsed: {}, templates: [] }, marks: {} }),
      listEvenings: () => ({ items: [], next: null }),
    });
    const store = await view();
    fireEvent.click(segments()[2]!);
    press('i');
    const region = await screen.findByRole('region', { name: 'Instead of Pulley' });
    const [first] = await within(region).findAllByRole('button', { name: /^Take .+ instead: / });
    const name = /^Take (.+) instead/.exec(first!.getAttribute('aria-label')!)![1]!;
    fireEvent.click(first!);
    expect(store.getState().document.segments[2]!.exercise.name).toBe(name);
    expect(said()).toContain(`${name} stands in place of Pulley; undo brings it back.`);
    expect(await screen.findByRole('region', { name: `Bench: ${name}` })).toBeTruthy();
  });
});

describe('what was done', () => {
  it('stands there by its name, and any of it is gone back to', async () => {
    serve({ listPlanVersions: () => ({ items: [], next: null }), listKeptPlans: () => [] });
    const store = await view();
    fireEvent.click(segments()[2]!);
    act(() => {
      store.getState().edit(takeOut('coat-off'));
    });
    press('o');
    press('w');
    const region = await screen.findByRole('region', { name: 'What was done' });
    const lines = () =>
      within(region)
        .getAllByRole('listitem')
        .map((one) => one.firstChild?.textContent);
    expect(lines()).toEqual(['The plan as it is', 'Pulley added as number 3', 'Coat off left out']);
    const back = within(region).getAllByRole('button', { name: 'back to before this' });
    fireEvent.click(back[1]!);
    expect(idsOf(store.getState().document)).toEqual(['coat-off', 'narrow-hum', 'pulley']);
    expect(lines().slice(0, 2)).toEqual([
      'Pulley added as number 3: undone',
      'Coat off left out: undone',
    ]);
    fireEvent.click(within(region).getAllByRole('button', { name: 'again, up to here' })[0]!);
    expect(store.getState().document.segments).toHaveLength(3);
    expect(idsOf(store.getState().document)).not.toContain('coat-off');
  });

  it('is compared with how it was before, and taken back in part or whole', async () => {
    const then = documentOf('coat-off', 'embers', 'narrow-hum', 'pulley');
    const saved = { savedAt: '2026-12-01T19:12:00.000Z', savedBy: 'Joss Whitlam' };
    const edits = [{ code: 'taken-out' as const, name: 'Embers' }];
    serve({
      listPlanVersions: () => ({
        items: [
          { ...saved, version: 3, edits, whole: false },
          { ...saved, version: 2, edits: [], whole: true },
        ],
        next: null,
      }),
      listKeptPlans: () => [],
      showPlanVersion: () => ({ ...saved, version: 2, edits: [], document: then }),
    });
    const changed = performAll(document, [choose('pulley', { tempo: 90 })]);
    const store = await view(changed);
    press('w');
    const region = await screen.findByRole('region', { name: 'What was done' });
    expect(await within(region).findByText('Embers left out')).toBeTruthy();
    fireEvent.click(within(region).getByRole('button', { name: 'compare with now' }));
    const figures = await within(region).findByRole('table', { name: /in figures/ });
    expect(within(figures).getByRole('row', { name: /^segments 4 3$/ })).toBeTruthy();
    expect(within(region).getByText(/^tempo 126; now tempo 90$/)).toBeTruthy();
    fireEvent.click(within(region).getByRole('button', { name: 'Embers: bring back' }));
    expect(idsOf(store.getState().document)).toEqual(idsOf(then));
    expect(store.getState().document.segments[3]!.choices.tempo).toBe(90);
    fireEvent.click(within(region).getByRole('button', { name: 'Take it back whole' }));
    expect(store.getState().document.segments).toEqual(then.segments);
    expect(within(region).getByText(/^Both have the same segments/)).toBeTruthy();
  });
});

describe('plans that are kept', () => {
  const kept = {
    id: '00000000-0000-4000-8000-0000000000aa',
    name: 'Short and high',
    ...{ keptAt: '2026-11-03T19:12:00.000Z', keptBy: 'Joss Whitlam' },
  };
  const of = documentOf('coat-off', 'embers');
  it('are begun from where nothing is planned, on the sections of tonight', async () => {
    let all = [{ ...kept, exercises: ['Coat off', 'Embers'] }];
    const server = serve({
      listPlanVersions: () => ({ items: [], next: null }),
      listKeptPlans: () => all,
      showKeptPlan: () => ({ ...all[0]!, document: of }),
      keepPlan: ({ body }) => {
        const one = { ...kept, id: ids.two, name: body.name, exercises: [] };
        all = [one, ...all];
        return one;
      },
      removeKeptPlan: () => {
        all = all.slice(0, 1);
        return undefined;
      },
    });
    const store = await view(emptyDocument(tonight));
    fireEvent.click(await screen.findByRole('button', { name: 'begin from a plan that is kept' }));
    const list = await screen.findByRole('list', { name: 'Plans to begin from' });
    expect(list.textContent).toContain('two segments: Coat off, Embers; Joss Whitlam');
    fireEvent.click(within(list).getByRole('button', { name: 'look at it' }));
    fireEvent.click(await within(list).findByRole('button', { name: 'Take it whole' }));
    expect(idsOf(store.getState().document)).toEqual(['coat-off', 'embers']);
    expect(store.getState().document.tonight).toEqual(tonight);

    // This one is kept under a name; without one it is said at the field.
    fireEvent.click(screen.getByRole('button', { name: 'Keep it' }));
    expect(await screen.findByText('Write something here.')).toBeTruthy();
    fireEvent.change(screen.getByLabelText('Keep this plan as'), { target: { value: 'Usual' } });
    fireEvent.click(screen.getByRole('button', { name: 'Keep it' }));
    expect(await screen.findByText('Kept as “Usual”.')).toBeTruthy();
    const sent = server.asked.find(({ name }) => name === 'keepPlan')!.body as SavePlan;
    expect(idsOf(sent.document)).toEqual(['coat-off', 'embers']);
    await waitFor(() =>
      expect(within(list).getAllByRole('button', { name: 'throw away' })).toHaveLength(2),
    );
    fireEvent.click(within(list).getAllByRole('button', { name: 'throw away' })[1]!);
    fireEvent.click(within(list).getByRole('button', { name: 'yes, throw “Short and high” away' }));
    await waitFor(() => expect(within(list).queryByText('Short and high')).toBeNull());
  });

  it('is read from a file, and brings along the exercises that are not here', async () => {
    const theirs = documentOf('pulley');
    const [segment] = theirs.segments;
    const exercise = { ...segment!.exercise, id: 'their-own', name: 'Their own' };
    const handed = {
      ...theirs,
      segments: [...theirs.segments, { ...segment!, id: 'x', exercise }],
    };
    const stored: string[] = [];
    serve({
      listPlanVersions: () => ({ items: [], next: null }),
      listKeptPlans: () => [],
      showExercises: () => ({ own: [], marks: {}, lastUsed: {} }),
      keepPlan: ({ body }) => ({
        ...{ id: ids.two, name: body.name, keptBy: '', exercises: [] },
        keptAt: '2026-12-01T19:12:00.000Z',
      }),
      storeExercises: ({ body }) => {
        stored.push(...body.exercises.map(({ id }) => id));
        return { stored: body.exercises, alike: [] };
      },
    });
    await view(emptyDocument(tonight));
    fireEvent.click(await screen.findByRole('button', { name: 'begin from a plan that is kept' }));
    const written = writePlanFile('From afar', handed);
    // This browser's files cannot say what is in them.
    const file = Object.assign(new File([written], 'plan.json'), {
      text: () => Promise.resolve(written),
    });
    fireEvent.change(await screen.findByLabelText('A file with a warm-up'), {
      target: { files: [file] },
    });
    expect(await screen.findByText(/Kept as “From afar”\..*One exercise came along/)).toBeTruthy();
    expect(stored).toEqual(['their-own']);
  });
});

describe('one clock', () => {
  it('goes from key to key by the keyboard, and says the moment in words', async () => {
    await view(documentOf('coat-off', 'slate-steps'));
    const slider = await screen.findByRole('slider', { name: 'Moment of the warm-up' });
    const mark = () => window.document.querySelector('[data-moment]')?.textContent;
    expect(mark()).toBeUndefined();
    act(() => slider.focus());
    expect(mark()).toMatch(/^19:30:00, Coat off: talk$/);
    fireEvent.keyDown(slider, { key: 'End' });
    expect(mark()).toMatch(/^19:3\d:\d\d, Slate steps, \w+ key, [A-G]/);
    expect(slider.getAttribute('aria-valuetext')).toBe(mark());
    const last = mark();
    fireEvent.keyDown(slider, { key: 'ArrowRight' });
    expect(mark()).toBe(last);
    fireEvent.keyDown(slider, { key: 'ArrowLeft' });
    expect(mark()).not.toBe(last);
    fireEvent.keyDown(slider, { key: 'Escape' });
    expect(mark()).toBeUndefined();
  });
});

describe('the keys of a plan', () => {
  const acts = (mayEdit: boolean) =>
    planShortcuts({
      mayEdit,
      go: () => undefined,
      nearer: () => undefined,
      whole: () => undefined,
      asTable: () => undefined,
      startBy: () => undefined,
      keysBy: () => undefined,
      moveBy: () => undefined,
      hear: () => undefined,
      undo: () => undefined,
      redo: () => undefined,
      build: () => undefined,
      fit: () => undefined,
      keepChosen: () => undefined,
      onceMore: () => undefined,
      pin: () => undefined,
      instead: () => undefined,
      whatWasDone: () => undefined,
      openShelf: () => undefined,
      lead: () => undefined,
      toggleKeys: () => undefined,
    });
  it('are each one’s own, and each has words', () => {
    const all = acts(true);
    expect(new Set(all.map(({ keys }) => keys)).size).toBe(all.length);
    for (const { words } of all) expect(words).not.toBe('');
  });
  it('of a reader only look', () => {
    expect(acts(false).map(({ keys }) => keys)).toEqual([
      ...['n', 'p', 'h', 'v', 'Shift and v', 't', '?'],
    ]);
  });
  it('of the platform undo and redo, and are told apart by Shift', () => {
    const find = (init: KeyboardEventInit) =>
      acts(true).find(({ match }) => match(new KeyboardEvent('keydown', init)))?.keys;
    expect(find({ key: 'z', ctrlKey: true })).toBe('u');
    expect(find({ key: 'Z', metaKey: true, shiftKey: true })).toBe('Shift and u');
    expect(find({ key: 'z' })).toBeUndefined();
  });
});

describe('the page of a plan', () => {
  const open = () =>
    show(<PlanPage />, {
      path: `/evenings/${ids.one}/plan/warm-up`,
      pattern: '/evenings/:evening/plan/:item',
    });
  beforeEach(() => {
    queryClient.clear();
  });

  it('opens the server’s plan and saves what is changed in it, and no more than that', async () => {
    let now = planOf(document);
    const server = serve({
      showPlan: () => ({ plan: now }),
      showEvening: () => evening,
      changePlan: ({ body }) => {
        now = planOf(withStored(now.document, body.changes), body.version + 1);
        return now;
      },
    });
    await open();
    await waitFor(() => expect(segments()).toHaveLength(3));
    fireEvent.click(segments()[2]!);
    press('+');
    fireEvent(window, new Event('online'));
    await waitFor(() => expect(server.asked.some(({ name }) => name === 'changePlan')).toBe(true));
    const saved = server.asked.find(({ name }) => name === 'changePlan')!.body as ChangePlan;
    const { id, choices } = document.segments[2]!;
    expect(saved).toMatchObject({
      version: 1,
      changes: [{ kind: 'choose', id, choices: { repetitions: choices.repetitions + 1 } }],
    });
    expect(JSON.stringify(saved).length).toBeLessThan(300);
    expect(idsOf(now.document)).toEqual(idsOf(document));
  });

  it('says what went wrong, and tries again when asked', async () => {
    const server = serve({
      showEvening: () => evening,
      showPlan: () => {
        throw new Refusal(404, 'not_found', 'This evening has no such plan.');
      },
    });
    await open();
    expect((await screen.findByRole('alert')).textContent).toContain(
      'This evening has no such plan.',
    );
    server.answers = { showEvening: () => evening, showPlan: () => ({ plan: planOf(document) }) };
    fireEvent.click(screen.getByRole('button', { name: 'Try again' }));
    await waitFor(() => expect(segments()).toHaveLength(3));
  });
});
