import { fireEvent, screen, waitFor, within } from '@testing-library/react';
import type { ChangeChoir, KeptCourse, LedOnce } from '@wide-fern/contract';
import { choirSaid } from '../../testing/choirSaid';
import { show, tidy } from '../../testing/page';
import { serve } from '../../testing/served';
import CoursesPage from './CoursesPage';
import { movedStep, needOfKind } from './model/own';

const at = { path: '/courses' };
const since = '2026-10-01T00:00:00.000Z';
const led = (exercise: string, day: number, more: Partial<LedOnce> = {}): LedOnce => ({
  exercise,
  ledAt: `2026-10-${String(day).padStart(2, '0')}T18:30:00.000Z`,
  ...{ talk: 10, coach: 0, after: 0, singing: 60, planned: 60, strained: [] },
  ...{ managed: null, keys: 0, breath: null },
  ...more,
});

/** A page of courses; answers what was sent of courses. */
async function page(
  courses: Readonly<Record<string, KeptCourse>> = {},
  once: readonly LedOnce[] = [],
  role: 'director' | 'reader' = 'director',
) {
  const sent: NonNullable<ChangeChoir['courses']>[] = [];
  serve({
    listLedOnce: () => [...once],
    showExercises: () => ({ own: [], marks: {}, lastUsed: {} }),
    changeChoir: ({ body }) => {
      sent.push(body.courses!);
      return choirSaid();
    },
  });
  await show(<CoursesPage />, { ...at, role, courses });
  await screen.findByRole('heading', { level: 1 });
  return sent;
}
const card = (name: string) => within(screen.getByRole('region', { name }));
const click = (name: string | RegExp) => fireEvent.click(screen.getByRole('button', { name }));

afterEach(tidy);

describe('courses', () => {
  it('shows those there are, and says that none is followed', async () => {
    const sent = await page();
    expect(screen.getByRole('heading', { level: 1 }).textContent).toBe(
      'No course is followed now.',
    );
    const steps = card('A longer breath').getAllByRole('listitem');
    expect(steps[0]!.textContent).toBe(
      'Under the door · eight seconds out on one breath, in two evenings',
    );
    fireEvent.click(card('A longer breath').getByRole('button', { name: /^follow it/ }));
    await waitFor(() => expect(sent).toHaveLength(1));
    expect(sent[0]!['longer-breath']).toMatchObject({ course: null });
    expect(Date.parse(sent[0]!['longer-breath']!.since!)).toBeLessThanOrEqual(Date.now());
  });
  it('says how far the choir is, marks what is next, and can be left', async () => {
    const sent = await page({ 'longer-breath': { course: null, since } }, [
      led('under-the-door', 6, { breath: 8.3 }),
      led('under-the-door', 13, { breath: 8.3, managed: 'most' }),
      led('long-s', 20, { breath: 10, managed: 'all' }),
    ]);
    expect(screen.getByRole('heading', { level: 1 }).textContent).toBe(
      '“A longer breath”: next is Long s.',
    );
    const steps = card('A longer breath').getAllByRole('listitem');
    expect(steps.map((step) => step.getAttribute('aria-current'))).toEqual([
      ...[null, 'step', null, null, null],
    ]);
    expect(steps[0]!.textContent).toContain('managed, 13 Oct');
    expect(steps[1]!.textContent).toContain('managed once, once more to go');
    expect(steps[2]!.textContent).toContain('not led yet');
    click('do not follow it any more');
    click('leave it');
    await waitFor(() => expect(sent).toEqual([{ 'longer-breath': null }]));
  });
  it('is made of one’s own, with what is missing said at its field', async () => {
    const sent = await page();
    click('make a course of your own');
    click('Keep the course');
    expect(screen.getByText('Write something here.')).toBeTruthy();
    expect(screen.getAllByText('Choose an exercise.')).toHaveLength(2);
    expect(screen.queryByText(/twice/)).toBeNull();
    expect(sent).toEqual([]);
    fireEvent.change(screen.getByLabelText('What it is called'), { target: { value: 'Ours' } });
    const step = (place: number) => within(screen.getByRole('group', { name: `Step ${place}` }));
    const choose = (place: number, label: string, value: string) =>
      fireEvent.change(step(place).getByLabelText(label), { target: { value } });
    choose(1, 'exercise', 'long-s');
    choose(1, 'done when', 'breath');
    choose(2, 'exercise', 'keel');
    click('Step 2: earlier');
    click(/^Step 1, evenings: more/);
    click('Keep the course');
    await waitFor(() => expect(sent).toHaveLength(1));
    expect(sent[0]!['own-course-1']).toEqual({
      course: {
        ...{ id: 'own-course-1', name: 'Ours', purpose: '' },
        steps: [
          { exercise: 'keel', need: { kind: 'managed', by: 'most' }, evenings: 3 },
          { exercise: 'long-s', need: { kind: 'breath', seconds: 10 }, evenings: 2 },
        ],
      },
      since: null,
    });
  });
  it('keeps a half-made one on this device', async () => {
    await page();
    click('make a course of your own');
    fireEvent.change(screen.getByLabelText('What it is called'), { target: { value: 'Half' } });
    document.body.replaceChildren();
    await page();
    click('make a course of your own');
    expect(screen.getByLabelText<HTMLInputElement>('What it is called').value).toBe('Half');
    // One begun from another course is another one.
    document.body.replaceChildren();
    await page();
    fireEvent.click(card('An easy top').getByRole('button', { name: 'make your own from it' }));
    expect(screen.getByLabelText<HTMLInputElement>('What it is called').value).toBe(
      'An easy top, our way',
    );
  });
  it('is only looked at by readers', async () => {
    await page({}, [], 'reader');
    expect(screen.queryByRole('button', { name: /^follow it/ })).toBeNull();
    expect(screen.getByText(/^A director chooses/)).toBeTruthy();
  });
});

describe('a draft of a course', () => {
  const steps = ['a', 'b', 'c'].map((exercise) => ({
    ...{ exercise, evenings: 1 },
    need: needOfKind('managed'),
  }));
  it('moves its steps, and none beyond the ends', () => {
    const order = (from: number, by: number) =>
      movedStep(steps, from, by)
        .map(({ exercise }) => exercise)
        .join('');
    expect([order(0, 1), order(2, -1), order(0, -1), order(2, 1), order(9, 1)]).toEqual([
      ...['bac', 'acb', 'abc', 'abc', 'abc'],
    ]);
  });
});
