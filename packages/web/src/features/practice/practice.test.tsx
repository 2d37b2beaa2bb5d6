import { cleanup, fireEvent, screen, waitFor, within } from '@testing-library/react';
import { queryClient } from '@wide-fern/client';
import type { Practice, SendAnswer } from '@wide-fern/contract';
import { choose, performAll } from '@wide-fern/plan';
import { documentOf } from '@wide-fern/plan/testing';
import { cautions, hurtWords } from '@wide-fern/words';
import * as fake from 'fake-indexeddb';
import { plainNames, show, tidy } from '../../testing/page';
import { Refusal, serve } from '../../testing/served';
import PracticePage from './PracticePage';

const practice = (more: Partial<Practice> = {}): Practice => ({
  ...{ choir: 'Quarry Lane Singers', timeZone: 'Europe/London', clock: '24', ...plainNames },
  ...{ startsAt: '2026-12-01T19:30:00.000Z', allotted: 900, part: 'A', asks: false, bars: [] },
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

  it('asks nothing where nobody wants to know', async () => {
    serve({ openPractice: () => practice() });
    await open();
    await screen.findByRole('heading', { level: 1 });
    expect(screen.queryByText('How was it?')).toBeNull();
    expect(screen.queryByRole('region', { name: 'What was easy today' })).toBeNull();
  });

  it('asks how it was, without a name; said otherwise it is sent in its place', async () => {
    const sent: { id: string; body: SendAnswer }[] = [];
    const server = serve({
      openPractice: () => practice({ asks: true }),
      sendAnswer: ({ params, body }) => void sent.push({ id: params.answer!, body }),
    });
    await open();
    const how = () => screen.findByRole('radiogroup', { name: 'How was Slate steps?' });
    const say = async (words: string) =>
      fireEvent.click(within(await how()).getByRole('radio', { name: words }));
    await say('too high');
    await screen.findByText('Sent, without your name.');
    // Opened once more, it is known what was said.
    cleanup();
    await open();
    expect(
      within(await how())
        .getByRole('radio', { name: 'too high' })
        .getAttribute('aria-checked'),
    ).toBe('true');
    await say('it hurt');
    expect(await screen.findByText(hurtWords)).toBeTruthy();
    expect(sent.map(({ body }) => body.said)).toEqual([
      { kind: 'exercise', exercise: 'slate-steps', words: 'too high' },
      { kind: 'exercise', exercise: 'slate-steps', words: 'it hurt' },
    ]);
    expect(new Set(sent.map(({ id }) => id)).size).toBe(1);
    expect(sent[0]!.body).toMatchObject({ secret: 'CODE', part: 'A' });
    server.answers = {};
    await say('it helped');
    expect((await screen.findByRole('alert')).textContent).toContain('This was not sent.');
    expect(
      within(await how())
        .getByRole('radio', { name: 'it hurt' })
        .getAttribute('aria-checked'),
    ).toBe('true');
  });

  it('keeps what was easy on the device until it is sent', async () => {
    serve({ openPractice: () => practice({ asks: true }), sendAnswer: () => undefined });
    await open();
    const form = async () =>
      within(await screen.findByRole('region', { name: 'What was easy today' }));
    const before = await form();
    fireEvent.change(before.getByLabelText('Your name'), { target: { value: 'Ash Tarn' } });
    fireEvent.change(before.getByLabelText('Lowest note'), { target: { value: '57' } });
    cleanup();
    queryClient.clear();
    await open();
    const again = await form();
    const value = (label: string) => again.getByLabelText<HTMLInputElement>(label).value;
    expect([value('Your name'), value('Lowest note'), value('Highest note')]).toEqual([
      'Ash Tarn',
      '57',
      '',
    ]);
    fireEvent.change(again.getByLabelText('Highest note'), { target: { value: '72' } });
    fireEvent.click(again.getByRole('button', { name: 'Send it' }));
    await again.findByText('Sent. Whoever leads your choir looks at it.');
    expect(Object.keys(localStorage).filter((key) => key.includes(':easy:'))).toEqual([]);
  });

  it('takes what was easy with a name, and says what is missing where it is', async () => {
    const sent: { id: string; body: SendAnswer }[] = [];
    serve({
      openPractice: () => practice({ asks: true }),
      sendAnswer: ({ params, body }) => void sent.push({ id: params.answer!, body }),
    });
    await open();
    const easy = within(await screen.findByRole('region', { name: 'What was easy today' }));
    const press = () => fireEvent.click(easy.getByRole('button', { name: 'Send it' }));
    press();
    expect(easy.getByText('Choose the lowest note that was easy.')).toBeTruthy();
    expect(easy.getByText('Choose the highest note that was easy.')).toBeTruthy();
    expect(easy.getByText('Write something here.')).toBeTruthy();
    const pick = (label: string, note: number) =>
      fireEvent.change(easy.getByLabelText(label), { target: { value: String(note) } });
    fireEvent.change(easy.getByLabelText('Your name'), { target: { value: ' Branwen Tulley ' } });
    pick('Lowest note', 70);
    pick('Highest note', 58);
    press();
    expect(easy.getByText('Choose a highest note above the lowest.')).toBeTruthy();
    expect(sent).toEqual([]);
    pick('Lowest note', 57);
    pick('Highest note', 72);
    press();
    expect(await easy.findByText('Sent. Whoever leads your choir looks at it.')).toBeTruthy();
    const said = { kind: 'range', name: 'Branwen Tulley', low: 57, high: 72 };
    expect(sent.map(({ body }) => body)).toEqual([{ secret: 'CODE', part: 'A', said }]);
    // Pressed once more it is not there twice; somebody else's is.
    press();
    await waitFor(() => expect(sent).toHaveLength(2));
    await easy.findByText('Sent. Whoever leads your choir looks at it.');
    fireEvent.change(easy.getByLabelText('Your name'), { target: { value: 'Ash Tarn' } });
    press();
    await waitFor(() => expect(sent).toHaveLength(3));
    const [first, again, other] = sent.map(({ id }) => id);
    expect([again === first, other === first]).toEqual([true, false]);
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
