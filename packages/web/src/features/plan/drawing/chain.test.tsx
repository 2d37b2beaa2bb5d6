import { choose, evaluate, performAll, type EvaluatedPlan } from '@wide-fern/plan';
import { documentOf } from '@wide-fern/plan/testing';
import { render } from '@testing-library/react';
import { Chain } from './Chain';
import { axisFrom, timeAxis, type TimeAxis } from '../../../music/lanes/geometry';

const document = documentOf('coat-off', 'narrow-hum', 'pulley', 'slate-steps');
const plan = evaluate(document, 900);
const hum = plan.segments[1]!.segment;
const grown = evaluate(
  performAll(document, [choose(hum.id, { repetitions: hum.choices.repetitions + 2 })]),
  900,
);
type Seen = EvaluatedPlan['segments'][number];
const axis = timeAxis(96, 1208, 900);

const drawn = ({ segments }: EvaluatedPlan) => (
  <Chain segments={segments} axis={axis}>
    {({ segment, computed: { placed } }, own) => (
      <svg>
        <rect data-of={segment.id} x={own.x(placed.from)} width={own.x(placed.to)} />
      </svg>
    )}
  </Chain>
);
const moved = (element: Element): number =>
  Number(/translateX\((.*)px\)/.exec(element.getAttribute('style') ?? '')?.[1] ?? 0);
/** Where what is drawn of a segment stands from the beginning of the axis, by all that moves it. */
const placeOf = (element: Element): number => {
  let x = Number(element.getAttribute('x'));
  for (let at = element.parentElement; at; at = at.parentElement) x += moved(at);
  return x;
};

describe('segments one inside the other', () => {
  it('know how far they are seen, and that does not change where they only move', () => {
    const ends = ({ segments }: EvaluatedPlan, on: TimeAxis) => {
      const found: number[][] = [];
      render(
        <Chain segments={segments} axis={on}>
          {(_, { left, right }) => {
            found.push([left, right]);
            return null;
          }}
        </Chain>,
      );
      return found.reverse();
    };
    const whole = ends(plan, axis);
    expect(ends(grown, axis).slice(2)).toEqual(whole.slice(2));
    expect(ends(grown, axis)[1]![1]).toBeGreaterThan(whole[1]![1]!);
    for (const [left] of whole) expect(left).toBe(0);
    // From the middle of the second to the middle of the third.
    const [, { computed: second }, { computed: third }] = plan.segments as [Seen, Seen, Seen];
    const view = {
      from: (second.placed.from + second.placed.to) / 2,
      to: (third.placed.from + third.placed.to) / 2,
    };
    const near = timeAxis(96, 1208, 900, view);
    const [first, cutBefore, cutBehind, last] = ends(plan, near);
    for (const out of [first, last]) expect(out![1]! - out![0]!).toBeLessThan(0);
    expect(cutBefore![0]).toBeCloseTo(near.x(view.from) - near.x(second.placed.from), 1);
    expect(cutBefore![1]).toBeCloseTo(near.x(second.placed.to) - near.x(second.placed.from), 1);
    expect(cutBehind![0]).toBe(0);
    expect(cutBehind![1]).toBeCloseTo(near.x(view.to) - near.x(third.placed.from), 1);
  });

  it('stand where they are on the axis, each as wide as its time', () => {
    const { container } = render(drawn(plan));
    const all = [...container.querySelectorAll('rect')];
    expect(all).toHaveLength(4);
    all.forEach((one, i) => {
      const { placed } = plan.segments[i]!.computed;
      expect(placeOf(one)).toBeCloseTo(axis.x(placed.from) - axis.left, 1);
      expect(Number(one.getAttribute('width'))).toBeCloseTo(
        axis.x(placed.to) - axis.x(placed.from),
        2,
      );
    });
  });
  it('move by one element where one of them grows, and are not drawn anew', () => {
    expect(grown.total).toBeGreaterThan(plan.total);
    const { container, rerender } = render(drawn(plan));
    const look = () =>
      [...container.querySelectorAll('div, svg, rect')].map((element) => ({
        element,
        // As far as it itself goes, without what it holds.
        tag: (element.cloneNode(false) as Element).outerHTML,
      }));
    const before = look();
    rerender(drawn(grown));
    const after = look();
    expect(after.map(({ element }) => element)).toEqual(before.map(({ element }) => element));
    const changed = after.filter(({ tag }, i) => tag !== before[i]!.tag);
    expect(changed.map(({ element }) => element.tagName)).toEqual(['rect', 'DIV']);
    expect(changed[0]!.element.getAttribute('data-of')).toBe(hum.id);
    container.querySelectorAll('rect').forEach((one, i) => {
      expect(placeOf(one)).toBeCloseTo(
        axis.x(grown.segments[i]!.computed.placed.from) - axis.left,
        1,
      );
    });
  });
  it('are kept ready to be moved behind the one whose end is pulled', () => {
    const ready = (growing: string | undefined) => {
      const { container } = render(
        <Chain segments={plan.segments} axis={axis} growing={growing}>
          {({ segment }) => <i data-of={segment.id} />}
        </Chain>,
      );
      return [...container.querySelectorAll('[data-of]')].flatMap((one) =>
        one.parentElement!.style.willChange ? [one.getAttribute('data-of')] : [],
      );
    };
    expect(ready(hum.id)).toEqual([plan.segments[2]!.segment.id]);
    expect(ready(plan.segments.at(-1)!.segment.id)).toEqual([]);
    expect(ready(undefined)).toEqual([]);
  });
  it('have an axis of their own that is the same wherever they stand', () => {
    const lengths = [0, 7.3, 61.1, 437.7].map((from) => {
      const own = axisFrom(axis, from);
      expect(own.at(own.x(from + 5))).toBeCloseTo(from + 5, 2);
      expect(own.right - own.left).toBeCloseTo(1112, 9);
      return [own.x(from), own.x(from + 10.1), own.x(from + 33.3)];
    });
    for (const one of lengths) expect(one).toEqual(lengths[0]);
  });
});
