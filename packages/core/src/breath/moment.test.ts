import fc from 'fast-check';
import { breathRounds, breathSeconds, type BreathTiming } from '../timing';
import {
  breathLengthened,
  breathMoment,
  changedRounds,
  longestOut,
  type BreathChange,
} from './moment';

const timing: BreathTiming = {
  ...{ in: 4, hold: 2, out: 8, rest: 2, rounds: 2, tempo: 60 },
  increment: { in: 0, hold: 0, out: 4, rest: 0 },
};

describe('where breath is', () => {
  it.each([
    [0, 0, 'in', 1, 0],
    [2, 0, 'in', 3, 0.5],
    [4.5, 0, 'hold', 1, 1],
    [10, 0, 'out', 5, 0.5],
    [15, 0, 'rest', 2, 0],
    [16, 1, 'in', 1, 0],
    [28, 1, 'out', 7, 0.5],
  ])('%s s after the first breath', (seconds, round, of, count, level) => {
    const counts = { in: 4, hold: 2, out: round === 0 ? 8 : 12, rest: 2 }[of as 'in'];
    expect(breathMoment(timing, seconds)).toEqual({ round, of, count, counts, level });
  });
  it('is nowhere before it and after it', () => {
    expect(breathMoment(timing, -0.1)).toBeUndefined();
    expect(breathMoment(timing, breathSeconds(timing))).toBeUndefined();
  });
  it('goes through every count of every round in order, and is never more than full', () => {
    const some = fc.record({
      ...{ in: fc.nat(6), hold: fc.nat(4), out: fc.nat(9), rest: fc.nat(3) },
      rounds: fc.integer({ min: 1, max: 4 }),
      tempo: fc.integer({ min: 40, max: 120 }),
      increment: fc.constant({ in: 0, hold: 0, out: 1, rest: 0 }),
    });
    fc.assert(
      fc.property(some, (of) => {
        const said: string[] = [];
        // In the middle of each count.
        for (let at = 30 / of.tempo; at < breathSeconds(of); at += 60 / of.tempo) {
          const moment = breathMoment(of, at)!;
          expect(moment.level).toBeGreaterThanOrEqual(0);
          expect(moment.level).toBeLessThanOrEqual(1);
          said.push(`${moment.round} ${moment.of} ${moment.count}`);
        }
        const wanted = breathRounds(of).flatMap((counts, round) =>
          (['in', 'hold', 'out', 'rest'] as const).flatMap((what) =>
            Array.from({ length: counts[what] }, (_, i) => `${round} ${what} ${i + 1}`),
          ),
        );
        expect(said).toEqual(wanted);
      }),
      { numRuns: 150 },
    );
  });
});

describe('breath made longer while it goes on', () => {
  it('changes the rounds that begin later, and leaves the one that goes on', () => {
    const outs = (changes: readonly BreathChange[]) =>
      changedRounds({ ...timing, rounds: 3 }, changes).map(({ out }) => out);
    expect(outs([])).toEqual([8, 12, 16]);
    // The second round begins after 16 s.
    expect(outs([{ at: 15, counts: -3 }])).toEqual([8, 9, 13]);
    expect(outs([{ at: 17, counts: -3 }])).toEqual([8, 12, 13]);
    expect(outs([{ at: 0.5, counts: -100 }])).toEqual([8, 1, 1]);
  });
  it('never moves what was, and is as much longer as is said', () => {
    const changes = fc.array(
      fc.record({
        at: fc.double({ min: 0, max: 60, noNaN: true }),
        counts: fc.integer({ min: -6, max: 6 }),
      }),
      { maxLength: 4 },
    );
    const one = fc.record({
      at: fc.double({ min: 0.01, max: 60, noNaN: true }),
      counts: fc.integer({ min: -6, max: 6 }),
    });
    fc.assert(
      fc.property(
        changes,
        one,
        fc.double({ min: 0, max: 1, noNaN: true }),
        (before, last, share) => {
          // What is said last is said last.
          const at = Math.max(last.at, ...before.map((change) => change.at));
          const more = { ...last, at };
          const after = [...before, more];
          expect(breathMoment(timing, share * at, after)).toEqual(
            breathMoment(timing, share * at, before),
          );
          const end = (all: readonly BreathChange[]) =>
            changedRounds(timing, all).reduce(
              (sum, round) => sum + round.in + round.hold + round.out + round.rest,
              0,
            );
          expect(breathLengthened(timing, before, more)).toBeCloseTo(end(after) - end(before), 6);
          expect(breathMoment(timing, end(after) + 1e-6, after)).toBeUndefined();
          expect(breathMoment(timing, end(after) - 1e-6, after)).toBeDefined();
        },
      ),
      { numRuns: 300 },
    );
  });
});

describe('the longest stretch out on one breath', () => {
  const whole = breathSeconds(timing);
  it.each([
    [0, 0],
    // Not to the end of the first one.
    [12.5, 0],
    [14, 8],
    [16 + 14, 8],
    [whole, 12],
    // The last rest is cut short.
    [whole - 2, 12],
  ])('after %s s it was %s', (seconds, longest) => {
    expect(longestOut(timing, seconds)).toBe(longest);
  });
  it('goes by what was made longer or shorter meanwhile', () => {
    expect(longestOut(timing, whole, [{ at: 10, counts: -2 }])).toBe(10);
    expect(longestOut(timing, whole + 3, [{ at: 10, counts: 3 }])).toBe(15);
  });
});
