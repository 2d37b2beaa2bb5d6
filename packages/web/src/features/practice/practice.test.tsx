import { fireEvent, screen, within } from '@testing-library/react';
import { queryClient } from '@wide-fern/client';
import type { Practice } from '@wide-fern/contract';
import { choose, performAll } from '@wide-fern/plan';
import { documentOf } from '@wide-fern/plan/testing';
import { cautions } from '@wide-fern/words';
import * as fake from 'fake-indexeddb';
import { plainNames, show, tidy } from '../../testing/page';
import { Refusal, serve } from '../../testing/served';
import PracticePage from './PracticePage';

const practice = (more: Partial<Practice> = {}): Practice => ({
  ...{ choir: 'Quarry Lane Singers', timeZone: 'Europe/London', clock: '24', ...plainNames },
  ...{ startsAt: '2026-12-01T19:30:00.000Z', allotted: 900, part: 'A' },
  document: performAll(documentOf('coat-off', 'slate-steps'), [
    choose('slate-steps', { repetitions: 3, told: { A: { 1: 'rest' } } }),
  ]),
  ...more,
});
const open = async (secret = 'CODE') => {
  await show(<PracticePage />, { path: `/practice#${secret}`, pattern: '/practice' });
};
const exercise = (name: string) =>
  within(screen.getAllByRole('listitem').find((one) => one.getAttribute('aria-label') === name)!);
const options = (select: HTMLElement) =>
  within(select)
    .getAllByRole('option')
    .map(({ textContent }) => textContent);

beforeAll(() => {
  const { indexedDB, IDBCursor, IDBDatabase, IDBIndex } = fake;
  const { IDBObjectStore, IDBRequest, IDBTransaction } = fake;
  Object.assign(globalThis, { indexedDB, IDBCursor, IDBDatabase, IDBIndex });
  Object.assign(globalThis, { IDBObjectStore, IDBRequest, IDBTransaction });
});
afterEach(tidy);

describe('a page to practise from at home', () => {
  it('is for one part: its notes, its keys, and what to mind', async () => {
    serve({ openPractice: () => practice() });
    await open();
    const title = await screen.findByRole('heading', { level: 1 });
    expect(title.textContent).toBe('Warm-up of Tue 1 Dec');
    expect(screen.getByText('Quarry Lane Singers · for altos · to practise at home')).toBeTruthy();
    expect(screen.getByText(cautions.pain)).toBeTruthy();
    expect(screen.queryByRole('radiogroup', { name: 'I sing' })).toBeNull();
    const steps = exercise('Slate steps');
    const staff = await steps.findByRole('img');
    expect(staff.getAttribute('aria-label')).toMatch(/^[A-G]/);
    const keys = options(steps.getByRole('combobox', { name: 'In which key' }));
    expect(keys[0]).toBe('all its keys');
    expect(keys.map((key) => key.endsWith('(rests)')).slice(0, 3)).toEqual([false, false, true]);
    expect(steps.getByRole('button', { name: 'Hear it' })).toBeTruthy();
    const resting = keys[2]!.replace(' (rests)', '');
    fireEvent.change(steps.getByRole('combobox', { name: 'In which key' }), {
      target: { value: '1' },
    });
    const first = keys[1]!;
    expect(
      steps.getByText(
        `Your part rests in ${resting}, and the others are heard. Above stands what it sings in ${first}.`,
      ),
    ).toBeTruthy();
    // What is not sung is told in words, and has nothing to be heard.
    expect(exercise('Coat off').queryByRole('button', { name: 'Hear it' })).toBeNull();
  });

  it('lets whoever opens it choose a part where it is for all', async () => {
    serve({ openPractice: () => practice({ part: null }) });
    await open();
    const choice = await screen.findByRole('radiogroup', { name: 'I sing' });
    const heardWith = () =>
      screen.queryByRole('radiogroup', { name: 'Who is heard in Slate steps' });
    expect(heardWith()).toBeNull();
    fireEvent.click(within(choice).getByRole('radio', { name: 'basses' }));
    expect(screen.getByText(/for basses/)).toBeTruthy();
    expect(heardWith()).not.toBeNull();
  });

  it('says so where the part rests from beginning to end', async () => {
    const document = performAll(documentOf('slate-steps'), [
      choose('slate-steps', { repetitions: 1, told: { A: { 0: 'rest' } } }),
    ]);
    serve({ openPractice: () => practice({ document }) });
    await open();
    expect(await screen.findByText('Your part rests in this one, and listens.')).toBeTruthy();
  });

  it('is there without a connection once it was opened, and says of when it is', async () => {
    serve({ openPractice: () => practice() });
    await open('KEPT');
    await screen.findByRole('heading', { level: 1, name: 'Warm-up of Tue 1 Dec' });
    tidy();
    queryClient.clear();
    serve({});
    await open('KEPT');
    expect(await screen.findByText(/^There is no connection: this is how it was on /)).toBeTruthy();
    expect(exercise('Slate steps').getByRole('button', { name: 'Hear it' })).toBeTruthy();
  });

  it('is gone everywhere once it was taken back, and says so kindly', async () => {
    serve({ openPractice: () => practice() });
    await open('BACK');
    await screen.findByRole('heading', { level: 1, name: 'Warm-up of Tue 1 Dec' });
    tidy();
    queryClient.clear();
    serve({
      openPractice: () => {
        throw new Refusal(404, 'not_found', 'This page was taken back.');
      },
    });
    await open('BACK');
    expect((await screen.findByRole('alert')).textContent).toContain('This page was taken back.');
    tidy();
    queryClient.clear();
    serve({});
    await open('BACK');
    expect((await screen.findByRole('alert')).textContent).toContain('cannot be reached');
    expect(screen.queryByText('Slate steps')).toBeNull();
  });

  it('says that a link is not whole, and that nothing is planned', async () => {
    serve({ openPractice: () => practice({ document: documentOf() }) });
    await open('');
    expect(screen.getByText('This link is not whole')).toBeTruthy();
    tidy();
    await open('EMPTY');
    expect(await screen.findByText('Nothing is planned yet')).toBeTruthy();
  });
});
