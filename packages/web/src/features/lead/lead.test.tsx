import { act, fireEvent, screen, waitFor, within } from '@testing-library/react';
import { keepRun, lastKeptRun } from '@wide-fern/client';
import type { SentEvent } from '@wide-fern/contract';
import { documentOf, planOf } from '@wide-fern/plan/testing';
import { eveningFor } from '../../testing/evening';
import { ids, show, tidy } from '../../testing/page';
import { serve } from '../../testing/served';
import LeadPage from './LeadPage';

const document_ = documentOf('coat-off', 'slate-steps');
const evening = { ...eveningFor(), id: ids.one };
const place = { choir: ids.choir, evening: ids.one, item: 'warm-up' };
const address = {
  path: `/evenings/${ids.one}/lead/warm-up`,
  pattern: '/evenings/:evening/lead/:item',
};

/** A server with the plan, that keeps what is sent to it. */
function served() {
  const kept = new Map<string, SentEvent>();
  const server = serve({
    showEvening: () => evening,
    showPlan: () => ({ plan: planOf(document_) }),
    savePlan: () => planOf(document_, 2),
    sendRun: ({ body }) => {
      for (const event of body.events) kept.set(event.id, event);
      return { events: kept.size };
    },
  });
  return { server, kept: () => [...kept.values()] };
}
const touch = (name: string | RegExp) => fireEvent.click(screen.getByRole('button', { name }));
const press = (key: string) => fireEvent.keyDown(window, { key });
const kinds = () => lastKeptRun(ids.account, place)!.events.map(({ act: { kind } }) => kind);
const begin = async () => {
  await show(<LeadPage />, address);
  fireEvent.click(await screen.findByRole('button', { name: 'Begin' }));
};

beforeEach(() => localStorage.clear());
afterEach(tidy);

describe('leading', () => {
  it('goes through a warm-up by one key, and says at its end what happened', async () => {
    served();
    await begin();
    expect(screen.getByRole('heading', { level: 1 }).textContent).toBe('Ready');
    press('PageDown');
    expect(screen.getByRole('heading', { level: 1 }).textContent).toBe('Coat off');
    // Five movements, then its explaining and seven keys, then the end.
    for (let i = 0; i < 6; i += 1) press('PageDown');
    expect(screen.getByRole('heading', { level: 1 }).textContent).toBe('Slate steps');
    const keys = within(screen.getByRole('list', { name: 'Keys' })).getAllByRole('listitem');
    expect(keys).toHaveLength(7);
    for (let i = 0; i < 7; i += 1) press(' ');
    expect(screen.getByRole('button', { name: /^End/ })).toBeTruthy();
    press(' ');
    const title = await screen.findByRole('heading', { level: 1 });
    expect(title.textContent).toBe('What happened');
    touch('Slate steps: most managed');
    expect(screen.getByText('most managed', { selector: 'div' })).toBeTruthy();
    expect(kinds().at(-1)).toBe('managed');
  });

  it('shows the key, the parts, and what is lowered at once', async () => {
    served();
    await begin();
    press('o');
    press('o');
    press('PageDown');
    const now = () => screen.getByLabelText(/^now /).textContent;
    const first = () =>
      within(screen.getByRole('list', { name: 'First notes' })).getAllByRole('listitem')[1]!
        .textContent;
    const [key, alto] = [now(), first()];
    touch(/^Lower/);
    expect(now()).not.toBe(key);
    expect(first()).not.toBe(alto);
    press('.');
    expect([now(), first()]).toEqual([key, alto]);
    press('u');
    press('u');
    press('u');
    expect(screen.getByLabelText(/^first /).textContent).toBe(key);
  });

  it('keeps everything at once, and goes on where it was with one touch', async () => {
    served();
    await begin();
    press('PageDown');
    press('PageDown');
    press('PageDown');
    expect(kinds()).toEqual(['opened', 'began', 'began']);
    const left = lastKeptRun(ids.account, place)!;
    tidy();
    // The server is away now: the device has all it takes.
    keepRun(ids.account, place, left);
    serve({});
    await show(<LeadPage />, address);
    fireEvent.click(await screen.findByRole('button', { name: 'Carry on' }));
    expect(screen.getByRole('heading', { level: 1 }).textContent).toBe('Coat off');
    press('PageUp');
    expect(kinds()).toEqual(['opened', 'began', 'began', 'began']);
    expect(await screen.findByText('offline, kept here')).toBeTruthy();
  });

  it('sends all of it when the server is back, once', async () => {
    const { server, kept } = served();
    const { sendRun, ...others } = server.answers;
    server.answers = others;
    await begin();
    press('PageDown');
    press('PageDown');
    await screen.findByText('offline, kept here');
    server.answers = { ...others, sendRun: sendRun! };
    await act(async () => {
      window.dispatchEvent(new Event('online'));
      await Promise.resolve();
    });
    press('s');
    await waitFor(() =>
      expect(kept().map(({ act: { kind } }) => kind)).toEqual(['opened', 'began', 'held']),
    );
  });

  it('begins anew where that is wanted: what was left is over, and not lost', async () => {
    const { kept } = served();
    const run = {
      id: ids.two,
      head: {
        startedAt: new Date(Date.now() - 3_600_000).toISOString(),
        seconds: 900,
        document: document_,
      },
      events: [{ id: 'x', n: 0, at: 0, act: { kind: 'opened' as const, segment: 'coat-off' } }],
      known: [],
      begun: false,
    };
    keepRun(ids.account, place, run);
    await show(<LeadPage />, address);
    touch('Begin anew');
    await screen.findByRole('button', { name: 'Begin' });
    expect(kept().map(({ act: { kind } }) => kind)).toEqual(['opened', 'ended']);
  });

  it('notes what happens in one touch, and stops for pain before anything else', async () => {
    served();
    await begin();
    press('PageDown');
    press('PageDown');
    press('m');
    fireEvent.click(await screen.findByRole('button', { name: 'sopranos strained' }));
    press('m');
    touch('it hurts somebody');
    expect(screen.getByRole('alert').textContent).toMatch(
      /^Stop\. Nobody sings through pain\..*doctor/,
    );
    expect(kinds().slice(-3)).toEqual(['marked', 'marked', 'paused']);
    fireEvent.click(within(screen.getByRole('alert')).getByRole('button', { name: 'Go on' }));
    expect(kinds().at(-1)).toBe('resumed');
    // Led on meanwhile, it is not paused by being read.
    press('m');
    touch('it hurts somebody');
    press('PageDown');
    fireEvent.click(within(screen.getByRole('alert')).getByRole('button', { name: 'Go on' }));
    expect(kinds().at(-1)).toBe('began');
  });

  it('makes the next rounds of breath shorter when few managed, by the rule that was set', async () => {
    const server = served().server;
    server.answers = {
      ...server.answers,
      showPlan: () => ({ plan: planOf(documentOf('long-s', 'slate-steps')) }),
    };
    await begin();
    press('PageDown');
    press('PageDown');
    const last = () => lastKeptRun(ids.account, place)!.events.at(-1)!.act;
    press('3');
    expect(last()).toEqual({ kind: 'managed', how: 'few' });
    press('m');
    const counts = await screen.findByRole('radiogroup', { name: 'Counts of breath' });
    fireEvent.click(within(counts).getByRole('radio', { name: 'by 2' }));
    press('3');
    expect(last()).toMatchObject({ how: 'few', longer: { counts: -2 } });
    expect(await screen.findByText(/the next rounds go out two counts shorter/)).toBeTruthy();
    const few = screen.getByRole('radiogroup', { name: 'When few managed a key' });
    fireEvent.click(within(few).getByRole('radio', { name: 'the same key again' }));
    press('o');
    press('PageDown');
    press('3');
    expect(kinds().slice(-2)).toEqual(['managed', 'again']);
    touch('few managed');
    expect(kinds().slice(-2)).toEqual(['managed', 'again']);
  });

  it('goes from movement to movement by itself where that is wished, and stops before what follows', async () => {
    served();
    const began = Date.now() - 200_000;
    const events = [
      { id: 'a', n: 0, at: 0, act: { kind: 'opened' as const, segment: 'coat-off' } },
      { id: 'b', n: 1, at: 1000, act: { kind: 'began' as const, key: 3 } },
    ];
    const head = {
      ...{ startedAt: new Date(began).toISOString(), seconds: 900, document: document_ },
    };
    keepRun(ids.account, place, { id: ids.two, head, events, known: [], begun: false });
    await show(<LeadPage />, address);
    touch('Carry on');
    press('v');
    const moving = await screen.findByRole('radiogroup', { name: 'From movement to movement' });
    expect(kinds()).toEqual(['opened', 'began']);
    fireEvent.click(within(moving).getByRole('radio', { name: 'by themselves' }));
    expect(lastKeptRun(ids.account, place)!.events.at(-1)!.act).toEqual({ kind: 'began', key: 4 });
    expect(kinds()).toEqual(['opened', 'began', 'began']);
  });

  it('is reviewed: a note, and what a piece is to become next, in one touch', async () => {
    const { server, kept } = served();
    const judged: unknown[] = [];
    const lanterns = { id: ids.two, title: 'Lanterns', ranges: {} };
    server.answers = {
      ...server.answers,
      showEvening: () => ({
        ...evening,
        pieces: [lanterns],
        wishes: [
          {
            ...{ piece: ids.two, title: 'Lanterns', skill: 'long outflow', weight: 3 as const },
            ...{ since: '2026-11-10', score: 2, last: 2 },
          },
        ],
      }),
      addJudgement: ({ body }) => {
        judged.push(body);
        return { id: ids.one, ...body, by: 'Joss Whitlam' };
      },
      removeJudgement: () => undefined,
    };
    await begin();
    press('PageDown');
    press('PageDown');
    press('o');
    press('PageDown');
    for (let i = 0; i < 7; i += 1) press('PageDown');
    const note = await screen.findByLabelText('a note, if you wish');
    fireEvent.change(note, { target: { value: ' They sang\ntogether. ' } });
    fireEvent.blur(note);
    expect(
      within(screen.getByRole('list', { name: 'Notes' })).getByText('They sang together.'),
    ).toBeTruthy();
    await screen.findByText('kept with the evening');
    expect(kept().at(-1)!.act).toEqual({ kind: 'marked', part: null, word: 'They sang together.' });
    fireEvent.click(await screen.findByRole('button', { name: 'Lanterns: long outflow 3 of 5' }));
    await screen.findByText('Kept with Lanterns.');
    expect(judged.at(-1)).toMatchObject({
      ...{ target: null, scores: [{ skill: 'long outflow', score: 3 }] },
    });
    touch('take it back');
    touch('Lanterns: next is top notes');
    await screen.findByText('Kept with Lanterns.');
    expect(judged.at(-1)).toMatchObject({ scores: [] });
  });

  it('has nothing to lead where nothing is planned, and is not for readers', async () => {
    serve({
      showEvening: () => evening,
      showPlan: () => ({ plan: planOf({ ...document_, segments: [] }) }),
    });
    await show(<LeadPage />, address);
    expect(await screen.findByText('There is nothing to lead yet')).toBeTruthy();
    tidy();
    await show(<LeadPage />, { ...address, role: 'reader' });
    expect(screen.getByText('Warm-ups are led by a director or deputy')).toBeTruthy();
  });
});
