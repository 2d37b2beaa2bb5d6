import { act, fireEvent, screen, waitFor } from '@testing-library/react';
import type { Followed, RunNews, SentAct, SentEvent } from '@wide-fern/contract';
import { documentOf } from '@wide-fern/plan/testing';
import { ids, plainNames, show, tidy } from '../../testing/page';
import { Refusal, serve } from '../../testing/served';
import FollowPage from './FollowPage';

/** A stream that this browser has not: the tests say when something is told. */
class Stream extends EventTarget {
  static last: Stream | undefined;
  readonly close = () => undefined;
  constructor(readonly address: string) {
    super();
    Stream.last = this;
  }
}
const tell = (what = 'change', data: object = { id: 1, kind: 'run' }) =>
  act(async () => {
    Stream.last!.dispatchEvent(new MessageEvent(what, { data: JSON.stringify(data) }));
    await Promise.resolve();
  });

const head = {
  ...{ startedAt: new Date().toISOString(), seconds: 900 },
  document: documentOf('coat-off', 'slate-steps'),
};
const eventsOf = (...acts: readonly SentAct[]) =>
  acts.map((one, n) => ({ id: `e${n}`, n, at: 1000 * n, act: one }));
const news = (events: readonly SentEvent[], endedAt: string | null = null): RunNews => ({
  ...{ endedAt, stored: events.length, events: [...events] },
});
const opened = (segment: string): SentAct => ({ kind: 'opened', segment });
const runOf = (id: string, ...acts: readonly SentAct[]): NonNullable<Followed['run']> => ({
  ...{ id, startedAt: head.startedAt, endedAt: null, ledBy: '', head, events: eventsOf(...acts) },
});
const followed = (run: Followed['run'], mayStep = false): Followed => ({
  ...{ choir: 'Quarry Lane Singers', timeZone: 'Europe/London', clock: '24', ...plainNames },
  ...{ mayStep, run },
});
const title = () => screen.getByRole('heading', { level: 1 }).textContent;

beforeEach(() => {
  Object.assign(globalThis, { EventSource: Stream });
});
afterEach(tidy);

describe('a screen that follows by a code', () => {
  it('asks for the code, says when it is none, and lets another be typed', async () => {
    serve({
      openRunLink: () => {
        throw new Refusal(404, 'not_found', 'It is not here.');
      },
    });
    await show(<FollowPage />, { path: '/follow', pattern: '/follow' });
    fireEvent.change(screen.getByLabelText('Code'), { target: { value: 'abcd efgh' } });
    fireEvent.click(screen.getByRole('button', { name: 'Follow' }));
    expect((await screen.findByRole('alert')).textContent).toContain('This code leads nowhere');
    fireEvent.click(screen.getByRole('button', { name: 'Type another code' }));
    expect(await screen.findByLabelText('Code')).toBeTruthy();
  });

  it('waits until it is begun, follows what happens, and waits again when it is over', async () => {
    const server = serve({
      openRunLink: () => ({ link: ids.one }),
      showFollowed: () => followed(null),
    });
    await show(<FollowPage />, { path: '/follow#ABCD-EFGH', pattern: '/follow' });
    expect(await screen.findByText('Quarry Lane Singers has not begun yet')).toBeTruthy();
    let told = news(eventsOf(opened('coat-off')));
    server.answers = {
      ...server.answers,
      showFollowed: () => followed(runOf(ids.two, opened('coat-off'))),
      showFollowedEvents: () => told,
    };
    await tell();
    await screen.findByText('Coat off');
    expect(screen.queryByRole('button', { name: 'Next' })).toBeNull();
    told = news(eventsOf(opened('coat-off'), opened('slate-steps')));
    await tell();
    await screen.findByText('Slate steps');
    expect(title()).toBe('Slate steps');
    // Large for the choir, and back: the code is not lost by it.
    fireEvent.click(screen.getByRole('button', { name: 'for the choir to see' }));
    fireEvent.click(await screen.findByRole('button', { name: 'as whoever leads sees it' }));
    await screen.findByRole('button', { name: 'for the choir to see' });
    told = news(told.events, head.startedAt);
    await tell();
    expect(await screen.findByText('It is over')).toBeTruthy();
    // Led once more, it is another run.
    server.answers = {
      ...server.answers,
      showFollowed: () => followed(runOf(ids.choir, opened('slate-steps'))),
      showFollowedEvents: () => news(eventsOf(opened('slate-steps'))),
    };
    await tell();
    await screen.findByText('Slate steps');
  });

  it('shows what is told at once, and asks only for what was not told', async () => {
    let asked = 0;
    const all = eventsOf(opened('coat-off'), opened('slate-steps'), { kind: 'talking', on: true });
    let there = news(all.slice(0, 1));
    serve({
      openRunLink: () => ({ link: ids.one }),
      showFollowed: () => followed(runOf(ids.two, opened('coat-off'))),
      showFollowedEvents: () => {
        asked += 1;
        return there;
      },
    });
    await show(<FollowPage />, { path: '/follow#ABCD-EFGH', pattern: '/follow' });
    await screen.findByText('Coat off');
    await waitFor(() => expect(asked).toBe(1));
    const place = { kind: 'happened', evening: ids.three, item: 'warm-up', run: ids.two };
    await tell('happened', { ...place, from: 1, to: 2, events: [all[1]!] });
    await screen.findByText('Slate steps');
    const change = { kind: 'run', run: ids.two };
    await tell('change', { id: 2, ...change, events: 2 });
    expect([title(), asked]).toEqual(['Slate steps', 1]);
    // One that was not told: it is asked for.
    there = news(all);
    await tell('change', { id: 3, ...change, events: 3 });
    await waitFor(() => expect(asked).toBe(2));
  });

  it('says when nothing is heard any more, and when its code was taken back', async () => {
    const server = serve({
      openRunLink: () => ({ link: ids.one }),
      showFollowed: () => followed(runOf(ids.two, opened('slate-steps'))),
      showFollowedEvents: () => news(eventsOf(opened('slate-steps'))),
    });
    await show(<FollowPage />, { path: '/follow#ABCD-EFGH', pattern: '/follow' });
    await screen.findByText('this screen follows');
    const { answers } = server;
    server.answers = {};
    await tell('error');
    expect(await screen.findByText('no connection: this is how it stood')).toBeTruthy();
    expect(title()).toBe('Slate steps');
    server.answers = answers;
    await tell('open');
    await screen.findByText('this screen follows');
    server.answers = {
      showFollowed: () => {
        throw new Refusal(404, 'not_found', 'What this link was for is not here any more.');
      },
    };
    await tell('error');
    expect(await screen.findByRole('alert')).toBeTruthy();
    expect(screen.queryByText('Slate steps')).toBeNull();
  });

  it('steps along where it may, and says what was refused', async () => {
    const asked: string[] = [];
    const server = serve({
      openRunLink: () => ({ link: ids.one }),
      showFollowed: () => followed(runOf(ids.two, opened('slate-steps')), true),
      showFollowedEvents: () => news(eventsOf(opened('slate-steps'))),
      stepRun: ({ body }) => {
        asked.push(body.touch);
        return { done: true };
      },
    });
    await show(<FollowPage />, { path: '/follow#ABCD-EFGH', pattern: '/follow' });
    fireEvent.click(await screen.findByRole('button', { name: 'Next' }));
    fireEvent.click(screen.getByRole('button', { name: 'Again' }));
    await waitFor(() => expect(asked).toEqual(['next', 'again']));
    server.answers = {
      ...server.answers,
      stepRun: () => {
        throw new Refusal(403, 'not_allowed', 'You may not do that.');
      },
    };
    fireEvent.click(screen.getByRole('button', { name: 'Back' }));
    expect(await screen.findByRole('alert')).toBeTruthy();
    expect(asked).toEqual(['next', 'again']);
  });
});
