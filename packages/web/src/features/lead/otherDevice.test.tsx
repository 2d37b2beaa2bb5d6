import { act, screen, waitFor } from '@testing-library/react';
import { leadRun, type RunLead } from '@wide-fern/client';
import { followChoir } from '@wide-fern/client/follow';
import type { SentAct, SentEvent } from '@wide-fern/contract';
import { documentOf } from '@wide-fern/plan/testing';
import { ids, show, tidy } from '../../testing/page';
import { serve } from '../../testing/served';
import OtherDevice from './OtherDevice';

const run = ids.three;
const place = { choir: ids.choir, evening: ids.one, item: 'warm-up' };
const head = {
  ...{ startedAt: new Date().toISOString(), seconds: 900 },
  document: documentOf('coat-off', 'slate-steps'),
};
const event = (id: string, n: number, what: SentAct): SentEvent => ({
  id,
  n,
  at: 1000 * n,
  act: what,
});
const opened = event('here-0', 0, { kind: 'opened', segment: head.document.segments[0]!.id });
const next = event('there-1', 1, { kind: 'opened', segment: head.document.segments[1]!.id });
const idsOf = (lead: RunLead) => lead.store.getState().run.events.map(({ id }) => id);

/** A run that the server knows, led from this device; what it answers to a question can be held back. */
function led() {
  const stored: SentEvent[] = [opened];
  const { asked } = serve({
    showRunEvents: () => ({ endedAt: null, stored: stored.length, events: [...stored] }),
  });
  const questions = () => asked.filter(({ name }) => name === 'showRunEvents').length;
  const lead = leadRun(
    ids.account,
    place,
    { id: run, head, events: [opened], known: [opened.id], begun: true },
    {
      send: (_run, { events }) => Promise.resolve(stored.push(...events)),
      now: () => Date.now(),
      later: () => () => undefined,
    },
  );
  return { stored, questions, lead };
}
/** Holds the first answer back, as it was when it was asked for. */
function heldBack(): () => void {
  const whole = globalThis.fetch;
  let release: () => void = () => undefined;
  const held = new Promise<void>((done) => (release = done));
  globalThis.fetch = async (...request) => {
    globalThis.fetch = whole;
    const answer = await whole(...request);
    await held;
    return answer;
  };
  return release;
}
/** A stream that this browser has not. */
class Stream extends EventTarget {
  static last: Stream;
  readonly close = () => undefined;
  constructor() {
    super();
    Stream.last = this;
  }
}
/** It is told that so many events are stored. */
const tell = (events: number) =>
  act(async () => {
    const change = { id: 7, kind: 'run', evening: ids.one, item: 'warm-up', run, events };
    Stream.last.dispatchEvent(new MessageEvent('change', { data: JSON.stringify(change) }));
    await Promise.resolve();
  });

const realStream = globalThis.EventSource;
let leave: () => void;
beforeEach(() => {
  localStorage.clear();
  globalThis.EventSource = Stream as unknown as typeof EventSource;
  leave = followChoir(ids.choir);
});
afterEach(() => {
  leave();
  globalThis.EventSource = realStream;
  tidy();
});

describe('another device that leads the same run', () => {
  it('is followed and said, though an answer of before it is on its way and something was touched here', async () => {
    const { stored, questions, lead } = led();
    const release = heldBack();
    await show(<OtherDevice place={place} lead={lead} />);
    await waitFor(() => expect(questions()).toBe(1));
    // The answer is on its way; then something is touched here, and there.
    await act(async () => {
      lead.note({ kind: 'began', key: 0 });
      await Promise.resolve();
    });
    stored.push(next);
    await tell(3);
    release();
    await waitFor(() => expect(idsOf(lead)).toContain(next.id));
    expect(screen.getByText(/^Another device leads this too/)).toBeTruthy();
    lead.stop();
  });

  it('is not said where nothing came from elsewhere', async () => {
    const { stored, questions, lead } = led();
    await show(<OtherDevice place={place} lead={lead} />);
    await waitFor(() => expect(questions()).toBe(1));
    await act(async () => {
      lead.note({ kind: 'began', key: 0 });
      await Promise.resolve();
    });
    expect(stored).toHaveLength(2);
    await tell(2);
    await waitFor(() => expect(questions()).toBe(2));
    expect(idsOf(lead)).toHaveLength(2);
    expect(screen.queryByText(/^Another device/)).toBeNull();
    lead.stop();
  });
});
