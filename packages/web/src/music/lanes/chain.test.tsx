import { choose, evaluate, performAll, type EvaluatedPlan } from '@wide-fern/plan';
import { documentOf } from '@wide-fern/plan/testing';
import { render } from '@testing-library/react';
import { Chain } from './Chain';
import { axisFrom, timeAxis } from './geometry';

const document = documentOf('coat-off', 'narrow-hum', 'pulley', 'slate-steps');
const plan = evaluate(document, 900);
const hum = plan.segments[1]!.segment;
const grown = evaluate(
  performAll(document, [choose(hum.id, { repetitions: hum.choices.repetitions + 2 })]),
  900,
);
const axis = timeAxis(96, 1208, 900);

const drawn = ({ segments }: EvaluatedPlan) => (
  <svg>
    <Chain segments={segments} axis={axis}>
      {({ segment, computed: { placed } }, own) => (
        <rect data-of={segment.id} x={own.x(placed.from)} width={own.x(placed.to)} />
      )}
    </Chain>
  </svg>
);
const moved = (element: Element): number =>
  Number(/translate\((.*) 0\)/.exec(element.getAttribute('transform') ?? '')?.[1] ?? 0);
/** Where what is drawn of a segment stands, by all that moves it. */
const placeOf = (element: Element): number => {
  let x = Number(element.getAttribute('x'));
  for (let at = element.parentElement; at; at = at.parentElement) x += moved(at);
  return x;
};

describe('segments one inside the other', () => {
  it('stand where they are on the axis, each as wide as its time', () => {
    const { container } = render(drawn(plan));
    const all = [...container.querySelectorAll('rect')];
    expect(all).toHaveLength(4);
    all.forEach((one, i) => {
      const { placed } = plan.segments[i]!.computed;
      expect(placeOf(one)).toBeCloseTo(axis.x(placed.from), 1);
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
      [...container.querySelectorAll('g, rect')].map((element) => ({
        element,
        // As far as it itself goes, without what it holds.
        tag: (element.cloneNode(false) as Element).outerHTML,
      }));
    const before = look();
    rerender(drawn(grown));
    const after = look();
    expect(after.map(({ element }) => element)).toEqual(before.map(({ element }) => element));
    const changed = after.filter(({ tag }, i) => tag !== before[i]!.tag);
    expect(changed.map(({ element }) => element.tagName)).toEqual(['rect', 'g']);
    expect(changed[0]!.element.getAttribute('data-of')).toBe(hum.id);
    container.querySelectorAll('rect').forEach((one, i) => {
      expect(placeOf(one)).toBeCloseTo(axis.x(grown.segments[i]!.computed.placed.from), 1);
    });
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
