import type { ChoirEvent } from '@wide-fern/contract';
import { keyOf, queryClient } from '../queries';
import { followChoir } from './follow';

const choir = '00000000-0000-4000-8000-0000000000c0';
const evening = '00000000-0000-4000-8000-0000000000e0';

/** A stream as a browser has it, fed by the test. */
class Stream extends EventTarget {
  static readonly open: Stream[] = [];
  isClosed = false;
  constructor(readonly url: string) {
    super();
    Stream.open.push(this);
  }
  close(): void {
    this.isClosed = true;
  }
  tell(event: unknown): void {
    this.dispatchEvent(new MessageEvent('change', { data: JSON.stringify(event) }));
  }
}
const realStream = globalThis.EventSource;
const last = () => Stream.open.at(-1)!;
const isStale = (key: readonly string[]) =>
  queryClient.getQueryState(key)?.isInvalidated ?? 'unknown';
const event = (more: Partial<ChoirEvent> & { kind: ChoirEvent['kind'] }): ChoirEvent => ({
  id: 7,
  ...more,
});
const pieces = keyOf('listPieces', { choir });
const plan = keyOf('showPlan', { choir, evening, item: 'warm-up' });

let stop: () => void;
beforeEach(() => {
  globalThis.EventSource = Stream as unknown as typeof EventSource;
  localStorage.clear();
  for (const key of [pieces, plan, keyOf('showChoir', { choir })]) {
    queryClient.setQueryData(key, {});
  }
  stop = followChoir(choir);
});
afterEach(() => {
  stop();
  queryClient.clear();
  globalThis.EventSource = realStream;
});

describe('the changes of a choir', () => {
  it('make stale what they touch, and nothing else', () => {
    last().tell(event({ kind: 'plan', evening, item: 'warm-up' }));
    expect(isStale(plan)).toBe(true);
    expect(isStale(pieces)).toBe(false);
  });

  it('go on from the last one seen, in whichever window opens the stream next', () => {
    expect(last().url).toBe(`/api/choirs/${choir}/events`);
    last().tell(event({ id: 41, kind: 'pieces' }));
    stop();
    expect(last().isClosed).toBe(true);
    stop = followChoir(choir);
    expect(last().url).toBe(`/api/choirs/${choir}/events?after=41`);
  });

  it('make everything stale when some were missed', () => {
    last().dispatchEvent(new Event('missed'));
    expect(isStale(pieces)).toBe(true);
    expect(isStale(plan)).toBe(true);
  });

  it('of a kind this page does not know make everything stale', () => {
    last().tell({ id: 8, kind: 'splendour' });
    expect(isStale(pieces)).toBe(true);
    // What was not understood is asked for again by whoever understands it.
    expect(localStorage.length).toBe(0);
  });

  it('are heard from the window that reads them', async () => {
    const other = new BroadcastChannel(`wide-fern-changes-${choir}`);
    other.postMessage(event({ kind: 'pieces' }));
    for (let i = 0; i < 400 && isStale(pieces) !== true; i += 1) {
      await new Promise((done) => setTimeout(done));
    }
    expect(isStale(pieces)).toBe(true);
    other.close();
  });
});
