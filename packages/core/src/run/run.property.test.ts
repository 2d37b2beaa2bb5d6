import fc from 'fast-check';
import { managing, type LedSegment, type RunAct, type RunEvent } from './act';
import { actOf, touches } from './next';
import { restOf } from './rest';
import { runState } from './state';

const seconds = fc.integer({ min: 0, max: 60 });
const led = (id: string): fc.Arbitrary<LedSegment> =>
  fc.record({
    id: fc.constant(id),
    talk: seconds,
    after: seconds,
    keys: fc.array(
      fc.tuple(fc.integer({ min: 50, max: 80 }), seconds, seconds).map(([tonic, sung, gap]) => ({
        ...{ tonic, seconds: sung, span: sung + gap, wait: 0 },
      })),
      { minLength: 1, maxLength: 5 },
    ),
  });
const plan = fc.tuple(led('a'), led('b'), led('c'));

const act: fc.Arbitrary<RunAct> = fc.oneof(
  fc.record({ kind: fc.constant('opened' as const), segment: fc.constantFrom('a', 'b', 'c', 'd') }),
  fc.record({ kind: fc.constant('began' as const), key: fc.integer({ min: -1, max: 6 }) }),
  fc.constantFrom<RunAct>(
    { kind: 'again' },
    { kind: 'held' },
    { kind: 'paused' },
    { kind: 'resumed' },
    { kind: 'talking', on: true },
    { kind: 'talking', on: false },
    { kind: 'ended' },
  ),
  fc.record({ kind: fc.constant('shifted' as const), semitones: fc.integer({ min: -3, max: 3 }) }),
  fc.record({ kind: fc.constant('managed' as const), how: fc.constantFrom(...managing) }),
  fc.record({
    kind: fc.constant('managed' as const),
    how: fc.constantFrom(...managing),
    longer: fc.record({
      counts: fc.integer({ min: -4, max: 4 }),
      seconds: fc.integer({ min: -40, max: 40 }),
    }),
  }),
  fc.record({
    kind: fc.constant('renewed' as const),
    why: fc.constantFrom('offer' as const, 'here' as const),
    rest: fc.subarray(['a', 'b', 'c', 'new']).chain((ids) => fc.tuple(...ids.map(led))),
  }),
  fc.record({
    kind: fc.constant('undone' as const),
    event: fc.nat({ max: 30 }).map((n) => `e${n}`),
  }),
);
const events = fc
  .array(fc.tuple(fc.nat({ max: 90_000 }), act), { maxLength: 30 })
  .map((all): RunEvent[] => {
    let at = 0;
    return all.map(([gap, one], n) => ({ id: `e${n}`, n, at: (at += gap), act: one }));
  });

const sum = (all: readonly number[]) => all.reduce((total, one) => total + one, 0);

describe('a run, whatever happened', () => {
  it('tells apart all of its time, and no more', () => {
    fc.assert(
      fc.property(plan, events, fc.nat({ max: 60_000 }), (segments, all, later) => {
        const state = runState(segments, all, (all.at(-1)?.at ?? 0) + later);
        const { records, idle, spent, talked, elapsed, isOver } = state;
        const told = sum(
          records.map(({ talk, singing, coach, after }) => talk + singing + coach + after),
        );
        expect(told + idle + spent + talked).toBeCloseTo(elapsed, 6);
        for (const one of records) {
          expect(Math.min(one.talk, one.singing, one.coach, one.after)).toBeGreaterThanOrEqual(0);
        }
        if (isOver) expect([spent, talked]).toEqual([0, 0]);
        else expect(elapsed * 1000).toBeCloseTo((all.at(-1)?.at ?? 0) + later, 6);
      }),
      { numRuns: 400 },
    );
  });

  it('stands in a key there is, and has sung only such', () => {
    fc.assert(
      fc.property(plan, events, (segments, all) => {
        const { open, key, segments: now, records } = runState(segments, all);
        expect(open).toBeLessThan(Math.max(1, now.length));
        if (key !== null) expect(now[open]!.keys[key]).toBeDefined();
        for (const { keys } of records) {
          for (const { times, key: sung } of keys) {
            expect(times).toBeGreaterThanOrEqual(1);
            expect(sung).toBeGreaterThanOrEqual(0);
          }
        }
        expect(new Set(now.map(({ id }) => id)).size).toBe(now.length);
        expect(restOf(runState(segments, all))).toBeGreaterThanOrEqual(-1e-9);
      }),
      { numRuns: 400 },
    );
  });

  it('is the same sent twice, late, out of order', () => {
    const shuffled = events.chain((all) =>
      fc.tuple(
        fc.constant(all),
        fc.shuffledSubarray([...all, ...all], { minLength: 2 * all.length }),
      ),
    );
    fc.assert(
      fc.property(plan, shuffled, (segments, [all, sent]) => {
        expect(runState(segments, sent)).toEqual(runState(segments, all));
      }),
      { numRuns: 300 },
    );
  });

  it('is as if what was undone had never been', () => {
    fc.assert(
      fc.property(plan, events, fc.nat(), (segments, all, which) => {
        if (all.length === 0) return;
        const gone = all[which % all.length]!;
        if (gone.act.kind === 'undone') return;
        const at = all.at(-1)!.at + 1000;
        const undone: RunEvent = {
          ...{ id: 'u', n: all.length, at },
          act: { kind: 'undone', event: gone.id },
        };
        const without = all.filter(({ id }) => id !== gone.id);
        expect(runState(segments, [...all, undone], at)).toEqual(runState(segments, without, at));
      }),
      { numRuns: 300 },
    );
  });

  it('goes through every key in order by one touch, and ends', () => {
    fc.assert(
      fc.property(plan, (segments) => {
        const all: RunEvent[] = [];
        for (let n = 0; n < 40; n += 1) {
          const next = actOf(runState(segments, all), 'next');
          if (!next) break;
          all.push({ id: `e${n}`, n, at: n * 1000, act: next });
        }
        const { records } = runState(segments, all);
        expect(records.map(({ id, keys }) => [id, keys.map(({ key }) => key)])).toEqual(
          segments.map(({ id, keys }) => [id, keys.map((_, i) => i)]),
        );
      }),
    );
  });

  it('only ever does what changes something', () => {
    fc.assert(
      fc.property(plan, events, fc.constantFrom(...touches), (segments, all, touch) => {
        const now = all.at(-1)?.at ?? 0;
        const before = runState(segments, all, now);
        const done = actOf(before, touch);
        if (!done) return;
        const event: RunEvent = { id: 'now', n: all.length, at: now, act: done };
        const after = runState(segments, [...all, event], now);
        if (done.kind === 'held' && before.isHeld) return;
        expect(after).not.toEqual(before);
      }),
      { numRuns: 300 },
    );
  });
});
