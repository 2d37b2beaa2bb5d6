import { longestRun, type SendRun, type SentAct } from '@wide-fern/contract';
import { runState } from '@wide-fern/core';
import { ledSegments } from '@wide-fern/plan';
import { documentOf } from '@wide-fern/plan/testing';
import { ApiError } from '../call/call';
import { forgetRun, joinedRuns, lastKeptRun } from './keptRun';
import { beginRun, isEnded, isSent, leadRun, takenOver, type RunWorld } from './leadRun';

const place = { choir: 'c', evening: 'e', item: 'warm-up' };
const startedAt = '2026-12-01T18:30:00.000Z';
const document = documentOf('coat-off', 'pulley');
const head = { startedAt, seconds: 900, document };
const opened = (segment: string): SentAct => ({ kind: 'opened', segment });
const gone = () => new ApiError(0, 'unreachable', 'The server cannot be reached.');

/** A server that keeps each event once, and is away when it is told to be; a clock turned by hand. */
function world() {
  const kept = new Map<string, SendRun['events'][number]>();
  let hasHead = false;
  const state = { away: false, refuses: false, loses: false, now: Date.parse(startedAt) };
  const due: (() => void)[] = [];
  const bodies: SendRun[] = [];
  const it: RunWorld = {
    send: async (_, sent) => {
      if (state.away) throw gone();
      if (state.refuses) throw new ApiError(409, 'too_many', 'At most 2000 touches.');
      bodies.push(sent);
      if (sent.head) hasHead = true;
      if (!hasHead) throw new ApiError(404, 'not_found', 'This run is not here.');
      for (const event of sent.events) if (!kept.has(event.id)) kept.set(event.id, event);
      // Stored, but nobody is told.
      if (state.loses) throw gone();
      return Promise.resolve();
    },
    now: () => state.now,
    later: (_, action) => {
      due.push(action);
      return () => void due.splice(due.indexOf(action), 1);
    },
  };
  const settle = async () => {
    for (let i = 0; i < 20; i += 1) await Promise.resolve();
  };
  return {
    ...{ it, state, bodies, settle },
    kept: () => [...kept.values()],
    pass: async () => {
      for (const action of due.splice(0)) action();
      await settle();
    },
  };
}
beforeEach(() => localStorage.clear());

describe('a run that is led', () => {
  it('has what is noted weeks later at its end, and goes on at its time where the end is taken back', async () => {
    const server = world();
    const lead = leadRun('a', place, beginRun(head), server.it);
    lead.note(opened('coat-off'));
    server.state.now += 60_000;
    lead.note({ kind: 'ended' });
    server.state.now += 20 * 24 * 60 * 60_000;
    lead.note({ kind: 'marked', part: null, word: 'Bright.' });
    await server.settle();
    expect(server.kept().map(({ at }) => at)).toEqual([0, 60_000, 60_000]);
    const { run } = lead.store.getState();
    expect(runState(ledSegments(document), run.events)).toMatchObject({
      notes: ['Bright.'],
      elapsed: 60,
    });
    const other = leadRun('b', place, beginRun(head), world().it);
    other.note({ kind: 'ended' });
    other.undo();
    expect(isEnded(other.store.getState().run)).toBe(false);
    lead.stop();
    other.stop();
  });
  it('that was left and is ended days later is over where it was touched last', async () => {
    const server = world();
    const lead = leadRun('a', place, beginRun(head), server.it);
    server.state.now += 60_000;
    lead.note(opened('coat-off'));
    server.state.now += longestRun;
    lead.note({ kind: 'ended' });
    await server.settle();
    expect(server.kept().map(({ at }) => at)).toEqual([60_000, 60_000]);
    lead.stop();
  });
  it('is kept at once and sent: the beginning once, then only what is new', async () => {
    const server = world();
    const lead = leadRun('a', place, beginRun(head), server.it);
    await server.settle();
    server.state.now += 5000;
    lead.note(opened('coat-off'));
    expect(lastKeptRun('a', place)!.events.map(({ at, n }) => [at, n])).toEqual([[5000, 0]]);
    await server.settle();
    server.state.now += 1000;
    lead.note({ kind: 'began', key: 0 });
    await server.settle();
    expect(server.bodies.map((body) => [body.head !== undefined, body.events.length])).toEqual([
      [true, 0],
      [false, 1],
      [false, 1],
    ]);
    expect(lead.store.getState().sent).toEqual({ kind: 'all' });
    expect(isSent(lead.store.getState().run)).toBe(true);
  });

  it('goes on without the server, and is sent whole when it is back: once and in order', async () => {
    const server = world();
    server.state.away = true;
    const lead = leadRun('a', place, beginRun(head), server.it);
    for (const act of [opened('coat-off'), { kind: 'began', key: 0 } as const, opened('pulley')]) {
      server.state.now += 4000;
      lead.note(act);
      await server.settle();
    }
    expect(lead.store.getState().sent).toMatchObject({ kind: 'waiting' });
    expect(server.kept()).toEqual([]);
    server.state.away = false;
    // The answer to the first attempt is lost on its way.
    server.state.loses = true;
    await server.pass();
    server.state.loses = false;
    await server.pass();
    expect(server.kept()).toEqual(lead.store.getState().run.events);
    const led = ledSegments(document);
    expect(runState(led, server.kept())).toEqual(runState(led, lead.store.getState().run.events));
  });

  it('writes nothing on the device once its page was left, whatever was on its way', async () => {
    const server = world();
    const lead = leadRun('a', place, beginRun(head), server.it);
    lead.note(opened('pulley'));
    lead.stop();
    forgetRun('a', place, lead.store.getState().run.id);
    await server.settle();
    expect(server.bodies).not.toEqual([]);
    expect(lastKeptRun('a', place)).toBeUndefined();
  });

  it('comes back where it was when the window was closed, and sends what was left', async () => {
    const server = world();
    server.state.away = true;
    const first = leadRun('a', place, beginRun(head), server.it);
    first.note(opened('pulley'));
    await server.settle();
    first.stop();
    server.state.away = false;
    const there = lastKeptRun('a', place)!;
    const again = leadRun('a', place, there, server.it);
    await server.settle();
    expect(server.kept().map(({ act }) => act)).toEqual([opened('pulley')]);
    expect(isEnded(again.store.getState().run)).toBe(false);
    again.note({ kind: 'ended' });
    expect(isEnded(again.store.getState().run)).toBe(true);
    again.undo();
    expect(isEnded(again.store.getState().run)).toBe(false);
  });

  it('counts sleep, and time never goes back', () => {
    const server = world();
    const lead = leadRun('a', place, beginRun(head), server.it);
    server.state.now += 600_000;
    lead.note(opened('pulley'));
    server.state.now -= 300_000;
    lead.note({ kind: 'began', key: 0 });
    expect(lead.store.getState().run.events.map(({ at }) => at)).toEqual([600_000, 600_000]);
    expect(lead.elapsed()).toBe(600_000);
  });

  it('takes back one thing after the other', () => {
    const server = world();
    const lead = leadRun('a', place, beginRun(head), server.it);
    lead.note(opened('coat-off'));
    lead.note(opened('pulley'));
    const where = () => runState(ledSegments(document), lead.store.getState().run.events).open;
    expect(where()).toBe(1);
    lead.undo();
    expect(where()).toBe(0);
    lead.undo();
    expect(where()).toBe(-1);
    lead.undo();
    expect(lead.store.getState().run.events).toHaveLength(4);
  });

  it('says when the server will not have it, and keeps it', async () => {
    const server = world();
    server.state.refuses = true;
    const lead = leadRun('a', place, beginRun(head), server.it);
    lead.note(opened('pulley'));
    await server.settle();
    expect(lead.store.getState().sent).toEqual({
      kind: 'refused',
      message: 'At most 2000 touches.',
    });
    expect(lastKeptRun('a', place)!.events).toHaveLength(1);
  });

  it('goes on in memory where the device keeps nothing, and says so', () => {
    const kept = Object.getOwnPropertyDescriptor(Storage.prototype, 'setItem')!;
    const server = world();
    Storage.prototype.setItem = () => {
      throw new DOMException('full', 'QuotaExceededError');
    };
    try {
      const lead = leadRun('a', place, beginRun(head), server.it);
      lead.note(opened('pulley'));
      expect(lead.store.getState()).toMatchObject({ isKept: false });
      expect(lead.store.getState().run.events).toHaveLength(1);
    } finally {
      Object.defineProperty(Storage.prototype, 'setItem', kept);
    }
  });

  it('is one run in two windows of a device', () => {
    const server = world();
    const one = leadRun('a', place, beginRun(head), server.it);
    const other = leadRun('a', place, lastKeptRun('a', place)!, server.it);
    one.note(opened('coat-off'));
    other.note({ kind: 'began', key: 0 });
    one.readAgain();
    const kinds = (lead: typeof one) => lead.store.getState().run.events.map(({ act }) => act.kind);
    expect(kinds(one)).toEqual(['opened', 'began']);
    expect(kinds(other)).toEqual(kinds(one));
    const { run } = one.store.getState();
    expect(joinedRuns(run, run)).toEqual(run);
    forgetRun('a', place, run.id);
    expect(lastKeptRun('a', place)).toBeUndefined();
  });
});

describe('a run that another device takes over', () => {
  it('goes on where it was, and both know all of it, each event once', async () => {
    const server = world();
    const first = leadRun('a', place, beginRun(head), server.it);
    first.note(opened('coat-off'));
    await server.settle();
    const { run } = first.store.getState();
    const there = { ...run, startedAt, endedAt: null, ledBy: 'Wren' };
    // Another device knows nothing of what lies on this one.
    localStorage.clear();
    const second = leadRun('b', place, takenOver({ ...there, events: server.kept() }), server.it);
    server.state.now += 5000;
    second.note({ kind: 'began', key: 0 });
    await server.settle();
    expect(server.kept().map(({ act }) => act.kind)).toEqual(['opened', 'began']);
    expect(first.take(server.kept())).toBe(true);
    expect(first.take(server.kept())).toBe(false);
    const state = (lead: typeof first) =>
      runState(ledSegments(document), lead.store.getState().run.events);
    expect(state(first)).toEqual(state(second));
    // What came from there is not sent again from here.
    const sent = server.bodies.length;
    first.sendNow();
    await server.settle();
    expect(server.bodies.length).toBe(sent);
    expect(isSent(first.store.getState().run)).toBe(true);
  });
});
