import { QueryObserver } from '@tanstack/query-core';
import type { ChoirEvent, RunNews, SentEvent } from '@wide-fern/contract';
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
  tell(event: unknown, what = 'change'): void {
    this.dispatchEvent(new MessageEvent(what, { data: JSON.stringify(event) }));
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

const until = async (holds: () => boolean): Promise<void> => {
  for (let i = 0; i < 400 && !holds(); i += 1) await new Promise((done) => setTimeout(done));
};

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
    last().dispatchEvent(new MessageEvent('missed', { data: '', lastEventId: '41' }));
    expect(isStale(pieces)).toBe(true);
    expect(isStale(plan)).toBe(true);
    // Fetched anew, all up to there is known: the next window goes on from it.
    stop();
    stop = followChoir(choir);
    expect(last().url).toBe(`/api/choirs/${choir}/events?after=41`);
  });

  it('of a kind this page does not know make everything stale', () => {
    last().tell({ id: 8, kind: 'splendour' });
    expect(isStale(pieces)).toBe(true);
    // What was not understood is asked for again by whoever understands it.
    expect(localStorage.length).toBe(0);
  });

  describe('of a run', () => {
    const run = '00000000-0000-4000-8000-0000000000f0';
    const key = keyOf('showRunEvents', { choir, evening, item: 'warm-up', run });
    const of = (n: number, kind: 'again' | 'held' = 'again'): SentEvent => ({
      ...{ id: `e${n}`, n, at: 1000 * n, act: { kind } },
    });
    const told = (from: number, to: number, events: SentEvent[]) =>
      last().tell(
        { kind: 'happened', evening, item: 'warm-up', run, from, to, events },
        'happened',
      );
    const changed = (events: number) =>
      last().tell(event({ kind: 'run', evening, item: 'warm-up', run, events }));
    const known = () => queryClient.getQueryData<RunNews>(key)!;
    beforeEach(() => {
      queryClient.setQueryData<RunNews>(key, { endedAt: null, stored: 2, events: [of(0), of(1)] });
    });

    it('are there as soon as they are told, and are not asked for', () => {
      told(2, 4, [of(3), of(2), of(1)]);
      expect(known()).toEqual({ endedAt: null, stored: 4, events: [of(0), of(1), of(2), of(3)] });
      changed(4);
      expect(isStale(key)).toBe(false);
    });

    it('are asked for where something lies between, or was not told at all', () => {
      told(3, 4, [of(3)]);
      expect(known().events).toHaveLength(3);
      changed(4);
      expect(isStale(key)).toBe(true);
      queryClient.setQueryData<RunNews>(key, { endedAt: null, stored: 2, events: [of(0), of(1)] });
      changed(3);
      expect(isStale(key)).toBe(true);
    });

    it('are asked for where they are not understood', () => {
      last().tell({ kind: 'happened', evening, run, what: 'splendour' }, 'happened');
      expect(known().stored).toBe(2);
    });

    it('are asked for once more while an answer is on its way that may not know of them', async () => {
      const answers: ((news: RunNews) => void)[] = [];
      const observer = new QueryObserver(queryClient, {
        queryKey: key,
        queryFn: () => new Promise<RunNews>((done) => answers.push(done)),
      });
      const leave = observer.subscribe(() => undefined);
      void observer.refetch();
      expect(answers).toHaveLength(1);
      told(2, 3, [of(2)]);
      changed(3);
      await Promise.resolve();
      expect(answers).toHaveLength(2);
      answers[0]!({ endedAt: null, stored: 2, events: [of(0), of(1)] });
      answers[1]!({ endedAt: null, stored: 3, events: [of(0), of(1), of(2)] });
      await until(() => !queryClient.isFetching());
      expect(known().stored).toBe(3);
      leave();
    });

    it.each([
      ['and asked for where it does not know of them', 2, 2],
      ['and not asked for where it does', 3, 1],
    ])(
      'are waited for while a first answer is on its way, %s',
      async (_what, stored, questions) => {
        queryClient.removeQueries({ queryKey: key });
        const all = [of(0), of(1), of(2)];
        const answers: ((news: RunNews) => void)[] = [];
        const observer = new QueryObserver(queryClient, {
          queryKey: key,
          queryFn: () => new Promise<RunNews>((done) => answers.push(done)),
        });
        const leave = observer.subscribe(() => undefined);
        told(2, 3, [of(2)]);
        changed(3);
        answers[0]!({ endedAt: null, stored, events: all.slice(0, stored) });
        await until(() => known()?.stored === stored && answers.length === questions);
        answers[1]?.({ endedAt: null, stored: 3, events: all });
        await until(() => !queryClient.isFetching());
        expect(known().stored).toBe(3);
        expect(answers).toHaveLength(questions);
        leave();
      },
    );

    it('that nobody looks at are not kept', () => {
      queryClient.removeQueries({ queryKey: key });
      told(0, 1, [of(0)]);
      expect(queryClient.getQueryData(key)).toBeUndefined();
    });
  });

  it('are not lost on what is fetched for the first time, nor on what is fetched ahead', async () => {
    queryClient.removeQueries({ queryKey: pieces });
    const answers: ((names: string[]) => void)[] = [];
    const query = {
      queryKey: pieces,
      queryFn: () => new Promise<string[]>((done) => answers.push(done)),
    };
    void queryClient.prefetchQuery(query);
    last().tell(event({ kind: 'pieces' }));
    answers[0]!(['as it was']);
    await until(() => !queryClient.isFetching());
    // Nobody looks at it yet: it is asked for again when somebody does.
    expect(isStale(pieces)).toBe(true);
    queryClient.removeQueries({ queryKey: pieces });
    const leave = new QueryObserver(queryClient, query).subscribe(() => undefined);
    last().tell(event({ kind: 'pieces' }));
    answers[1]!(['as it was']);
    await until(() => answers.length === 3);
    answers[2]!(['as it is']);
    await until(() => !queryClient.isFetching());
    expect(queryClient.getQueryData(pieces)).toEqual(['as it is']);
    leave();
  });

  it('are heard from the window that reads them', async () => {
    const other = new BroadcastChannel(`wide-fern-changes-${choir}`);
    other.postMessage(event({ kind: 'pieces' }));
    await until(() => isStale(pieces) === true);
    expect(isStale(pieces)).toBe(true);
    other.close();
  });
});
