import { ordered, type LedSegment, type RunAct, type RunEvent } from './act';
import { actOf, type Touch } from './next';
import { ledSeconds, restOf } from './rest';
import { runState } from './state';

const key = (tonic: number | null, seconds: number, span = seconds) => ({
  tonic,
  seconds,
  span,
  wait: 0,
});
const hum: LedSegment = {
  id: 'hum',
  talk: 20,
  keys: [key(60, 8, 10), key(61, 8, 10), key(62, 8)],
  after: 5,
};
const breath: LedSegment = { id: 'breath', talk: 10, keys: [key(null, 60)], after: 0 };
const steps: LedSegment = { id: 'steps', talk: 0, keys: [key(65, 12, 15), key(66, 12)], after: 0 };
const plan = [hum, breath, steps];

/** Events at seconds, each with an id of its own. */
const run = (...acts: readonly (readonly [number, RunAct])[]): RunEvent[] =>
  acts.map(([seconds, act], n) => ({ id: `e${n}`, n, at: 1000 * seconds, act }));
const opened = (segment: string): RunAct => ({ kind: 'opened', segment });
const began = (at: number): RunAct => ({ kind: 'began', key: at });
const ended: RunAct = { kind: 'ended' };
const record = (events: readonly RunEvent[], id = 'hum') =>
  runState(plan, events).records.find((one) => one.id === id);

describe('the time of a segment', () => {
  it('is talk until its first key, singing, and what is left over after its last one', () => {
    const events = run(
      [3, opened('hum')],
      [25, began(0)],
      [35, began(1)],
      [45, began(2)],
      [60, opened('breath')],
    );
    expect(record(events)).toMatchObject({ talk: 22, singing: 28, coach: 0, after: 7 });
    expect(runState(plan, events)).toMatchObject({ idle: 3, elapsed: 60, open: 1, key: null });
  });
  it('tells talk from singing where a key is overdue by more than four seconds', () => {
    const late = (by: number) => run([0, opened('hum')], [0, began(0)], [10 + by, began(1)]);
    expect(record(late(4))).toMatchObject({ singing: 14, coach: 0 });
    expect(record(late(5))).toMatchObject({ singing: 10, coach: 5 });
  });
  it('is all singing where a key was told to stay', () => {
    const events = run(
      [0, opened('hum')],
      [0, began(0)],
      [8, { kind: 'held' }],
      [40, began(1)],
      [41, ended],
    );
    expect(record(events)).toMatchObject({ singing: 41, coach: 0 });
  });
  it('is talk where talking was said, between keys or after the last', () => {
    const talking = (on: boolean): RunAct => ({ kind: 'talking', on });
    const start = run(
      [0, opened('hum')],
      [0, began(0)],
      [6, talking(true)],
      [26, talking(false)],
      [28, began(1)],
    );
    expect(record(start)).toMatchObject({ singing: 8, coach: 20, after: 0 });
    const atEnd = run([0, opened('hum')], [0, began(0)], [8, talking(true)], [30, ended]);
    expect(record(atEnd)).toMatchObject({ singing: 8, coach: 0, after: 22 });
  });
  it('has no pauses in it', () => {
    const events = run(
      [0, opened('hum')],
      [5, { kind: 'paused' }],
      [65, { kind: 'resumed' }],
      [80, began(0)],
      [85, { kind: 'paused' }],
      [185, began(1)],
    );
    expect(record(events)).toMatchObject({ talk: 20, singing: 5, coach: 0 });
    expect(runState(plan, events).idle).toBe(160);
  });
});

describe('the keys of a segment', () => {
  it('are kept as they sounded: again, lowered from one on, skipped', () => {
    const events = run(
      [0, opened('hum')],
      [1, began(0)],
      [9, { kind: 'again' }],
      [18, { kind: 'shifted', semitones: -1 }],
      [30, began(2)],
      [40, opened('steps')],
      [41, began(0)],
    );
    expect(record(events)!.keys).toEqual([
      { key: 0, tonic: 60, times: 1 },
      { key: 0, tonic: 59, times: 1 },
      { key: 2, tonic: 61, times: 1 },
    ]);
    // Another segment begins as it was planned.
    expect(record(events, 'steps')!.keys).toEqual([{ key: 0, tonic: 65, times: 1 }]);
  });
  it('carry what was noticed in them', () => {
    const events = run(
      [0, opened('hum')],
      [1, began(1)],
      [2, { kind: 'marked', part: 'S', word: 'strained' }],
      [3, { kind: 'managed', how: 'most' }],
    );
    expect(record(events)).toMatchObject({
      marks: [{ part: 'S', word: 'strained', key: 1 }],
      managed: ['most'],
    });
  });
  it('carry what is said of them when all is over, and only then what is named', () => {
    const events = run(
      [0, opened('hum')],
      [1, began(0)],
      [9, opened('steps')],
      [20, ended],
      [30, { kind: 'managed', how: 'few', segment: 'hum' }],
      [31, { kind: 'marked', part: null, word: 'too long', segment: 'hum' }],
      [32, { kind: 'managed', how: 'all' }],
    );
    expect(record(events)).toMatchObject({
      managed: ['few'],
      marks: [{ part: null, word: 'too long', key: null }],
    });
    expect(record(events, 'steps')).toMatchObject({ managed: [], after: 0, talk: 11 });
    expect(runState(plan, events).elapsed).toBe(20);
  });
  it('are not begun where there are none', () => {
    for (const act of [began(9), began(-1), { kind: 'again' } as const, opened('gone')]) {
      expect(record(run([0, opened('hum')], [5, act]))!.keys).toEqual([]);
    }
    expect(runState(plan, run([0, began(0)])).records).toEqual([]);
  });
});

describe('what was undone', () => {
  const base = run([0, opened('hum')], [10, began(0)], [20, opened('steps')]);
  it('never was, and its time belongs to what was going on', () => {
    const events = [
      ...base,
      ...run([0, ended]).map((one) => ({ ...one, id: 'x', n: 9, at: 30_000 })),
    ];
    const undone: RunEvent = { id: 'u', n: 10, at: 31_000, act: { kind: 'undone', event: 'e2' } };
    const state = runState(plan, [...base, undone], 40_000);
    expect(state).toMatchObject({ open: 0, key: 0, spent: 30 });
    expect(state.records.map(({ id }) => id)).toEqual(['hum']);
    expect(runState(plan, events).isOver).toBe(true);
    const notOver: RunEvent = { ...undone, act: { kind: 'undone', event: 'x' } };
    expect(runState(plan, [...events, notOver]).isOver).toBe(false);
  });
  it('is there again where its undoing was undone', () => {
    const events: RunEvent[] = [
      ...base,
      { id: 'u', n: 3, at: 21_000, act: { kind: 'undone', event: 'e2' } },
      { id: 'v', n: 4, at: 22_000, act: { kind: 'undone', event: 'u' } },
    ];
    expect(runState(plan, events).open).toBe(2);
  });
});

describe('what remains', () => {
  it('is the whole at first, and less as it goes on', () => {
    const total = plan.reduce((sum, one) => sum + ledSeconds(one), 0);
    expect(restOf(runState(plan, []))).toBe(total);
    const events = run([0, opened('hum')]);
    expect(restOf(runState(plan, events, 5000))).toBe(total - 5);
    // Who explains longer than planned is late by what is over.
    expect(restOf(runState(plan, events, 50_000))).toBe(total - 20);
    expect(restOf(runState(plan, run([0, opened('hum')], [0, began(1)])))).toBe(total - 30);
    expect(restOf(runState(plan, run([0, opened('hum')], [0, ended])))).toBe(0);
  });
  it('leaves out what was led already, in whatever order', () => {
    const events = run([0, opened('steps')], [0, began(0)], [12, opened('hum')]);
    expect(restOf(runState(plan, events))).toBe(ledSeconds(hum) + ledSeconds(breath));
  });
  it('is what was put in its place, with the open segment in its key', () => {
    const shorter = { ...hum, keys: hum.keys.slice(0, 2) };
    const events = run(
      [0, opened('hum')],
      [0, began(1)],
      [0, { kind: 'renewed', why: 'offer', rest: [shorter, steps] }],
    );
    const state = runState(plan, events);
    expect(state.segments.map(({ id }) => id)).toEqual(['hum', 'steps']);
    expect(restOf(state)).toBe(10 + 5 + ledSeconds(steps));
    const tooShort = { ...hum, keys: hum.keys.slice(0, 1) };
    const kept = runState(
      plan,
      run(
        [0, opened('hum')],
        [0, began(1)],
        [0, { kind: 'renewed', why: 'here', rest: [tooShort] }],
      ),
    );
    expect(kept.segments).toEqual([hum]);
  });
});

describe('one touch', () => {
  /** What the touches one after the other lead to. */
  const after = (...all: readonly Touch[]) => {
    let events: RunEvent[] = [];
    for (const [n, touch] of all.entries()) {
      const act = actOf(runState(plan, events), touch);
      if (act) events = ordered([...events, { id: `t${n}`, n, at: 1000 * n, act }]);
    }
    const { open, key, isOver, shift } = runState(plan, events);
    return { at: `${plan[open]?.id ?? 'before'} ${key ?? 'talk'}`, isOver, shift };
  };
  it.each<[Touch[], string]>([
    [['next'], 'hum talk'],
    [['next', 'next', 'next'], 'hum 1'],
    [['next', 'next', 'next', 'next', 'next'], 'breath talk'],
    [['next', 'next', 'back'], 'hum talk'],
    [['next', 'next', 'next', 'back'], 'hum 0'],
    [['next', 'next', 'on', 'on'], 'steps talk'],
    [['on', 'on', 'on', 'on', 'on'], 'steps talk'],
    [['next', 'back'], 'hum talk'],
    [['on', 'on', 'back'], 'hum talk'],
  ])('%j leads to %s', (touches, where) => {
    expect(after(...touches).at).toBe(where);
  });
  it('does nothing where there is nothing to be done', () => {
    const before = runState(plan, []);
    for (const touch of ['again', 'stay', 'lower', 'talk', 'pause', 'back'] as const) {
      expect(actOf(before, touch)).toBeUndefined();
    }
    const { isOver } = after('next', 'stop', 'next');
    expect(isOver).toBe(true);
    expect(after('next', 'next', 'higher', 'higher', 'lower').shift).toBe(1);
  });
});

describe('breath made longer or shorter while it goes on', () => {
  const longer = (counts: number, seconds: number): RunAct => ({
    kind: 'managed',
    how: counts > 0 ? 'all' : 'few',
    longer: { counts, seconds },
  });
  const led = [[0, opened('breath')] as const, [10, began(0)] as const];
  it('has what was said at its moment, and as much more to come', () => {
    const before = runState(plan, run(...led), 30_000);
    const after = runState(plan, run(...led, [30, longer(-2, -6)]), 30_000);
    expect(after.longer).toEqual([{ at: 20, counts: -2 }]);
    expect(restOf(after)).toBe(restOf(before) - 6);
    expect(record(run(...led, [30, longer(-2, -6)]), 'breath')!.managed).toEqual(['few']);
  });
  it('is over later, and none of that is talk', () => {
    const events = run(...led, [30, longer(2, 9)], [79, opened('steps')]);
    expect(record(events, 'breath')).toMatchObject({ singing: 69, after: 0 });
  });
  it('is as planned when it is done again, undone, or said of another', () => {
    const again = runState(plan, run(...led, [30, longer(2, 9)], [60, began(0)]));
    expect(again.longer).toEqual([]);
    expect(again.segments).toEqual(plan);
    const undone = run(...led, [30, longer(2, 9)], [31, { kind: 'undone', event: 'e2' }]);
    expect(runState(plan, undone).segments).toEqual(plan);
    const other: RunAct = { ...longer(2, 9), segment: 'hum' } as RunAct;
    expect(runState(plan, run(...led, [30, other])).longer).toEqual([]);
  });
});

describe('what is noted when all is over', () => {
  const note = (word: string): RunAct => ({ kind: 'marked', part: null, word });
  it('is of the whole where no exercise is named', () => {
    const state = runState(
      plan,
      run([0, opened('hum')], [5, note('bright')], [9, ended], [20, note('A good evening.')]),
    );
    expect(state.notes).toEqual(['A good evening.']);
    expect(state.records[0]!.marks.map(({ word }) => word)).toEqual(['bright']);
  });
});
