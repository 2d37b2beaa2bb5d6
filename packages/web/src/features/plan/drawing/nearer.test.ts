import { evaluate } from '@wide-fern/plan';
import { documentOf } from '@wide-fern/plan/testing';
import { timeAxis } from '../../../music/lanes/geometry';
import { moved, nearer, viewOfSegment, zoomed } from './nearer';
import { within } from './view';

const whole = 900;
const plan = evaluate(documentOf('coat-off', 'narrow-hum', 'pulley'), whole);

describe('a view of a plan', () => {
  it('keeps the moment under the pointer where it is, however often and wherever it is zoomed', () => {
    let view = { from: 0, to: whole };
    for (const [by, share] of [
      [0.5, 0.3],
      [0.8, 0.9],
      [0.25, 0.1],
      [1.6, 0.5],
    ] as const) {
      const axis = timeAxis(100, 1100, whole, view);
      const x = 100 + 1000 * share;
      const at = axis.at(x);
      view = zoomed(view, by, at, whole);
      expect(timeAxis(100, 1100, whole, view).x(at)).toBeCloseTo(x, 6);
    }
  });

  it('never leaves the plan, never shows less than can be seen, and ends by showing all', () => {
    let view = { from: 200, to: 300 };
    for (let i = 0; i < 30; i += 1) view = zoomed(view, 0.5, 300, whole);
    expect(view.to - view.from).toBeCloseTo(4);
    for (let i = 0; i < 30; i += 1) view = zoomed(view, 2, view.to, whole);
    expect(view).toEqual({ from: 0, to: whole });
    expect(moved({ from: 100, to: 200 }, -500, whole)).toEqual({ from: 0, to: 100 });
    expect(moved({ from: 100, to: 200 }, 5000, whole)).toEqual({ from: 800, to: 900 });
    expect(within({ from: -50, to: 2000 }, whole)).toEqual({ from: 0, to: whole });
  });

  it('goes nearer from the whole to the segment, then to the key that is pointed at, then no further', () => {
    const { placed, repetitions } = plan.segments[1]!.computed;
    const segment = nearer(undefined, plan, 'narrow-hum', undefined, whole)!;
    expect(segment).toEqual(viewOfSegment(plan, 'narrow-hum', whole));
    expect(segment.from).toBeLessThan(placed.from);
    expect(segment.to).toBeGreaterThan(placed.to);
    const third = repetitions[2]!;
    const moment = placed.from + third.at + third.seconds / 2;
    const key = nearer(segment, plan, 'narrow-hum', moment, whole)!;
    expect(key.from).toBeLessThan(placed.from + third.at);
    expect(key.to).toBeGreaterThan(placed.from + third.at + third.seconds);
    expect(key.to - key.from).toBeLessThan(1.2 * third.seconds);
    expect(nearer(key, plan, 'narrow-hum', moment, whole)).toBeUndefined();
    // Another segment's moment leads to the first key of this one.
    const first = nearer(segment, plan, 'narrow-hum', 1, whole)!;
    expect(first.from).toBeLessThan(placed.from + repetitions[0]!.at);
    expect(nearer(undefined, plan, null, undefined, whole)).toBeUndefined();
  });
});
