import fc from 'fast-check';
import type { PlanDocument } from '@wide-fern/contract';
import { documentOf } from './testing/plans';
import { compare } from './compare';

const ids = ['coat-off', 'long-s', 'narrow-hum', 'embers', 'pulley', 'ebb-tide'] as const;
const whole = documentOf(...ids);
const withOrder = (order: readonly string[]): PlanDocument => ({
  ...whole,
  segments: order.map((id) => whole.segments.find((segment) => segment.id === id)!),
});
const order = fc.shuffledSubarray([...ids]);

/** The length of the longest run of ids that stands in both orders, by trying every subset. */
function mostKept(one: readonly string[], other: readonly string[]): number {
  let most = 0;
  for (let bits = 0; bits < 2 ** one.length; bits += 1) {
    const some = one.filter((_, i) => bits & (1 << i));
    const there = other.filter((id) => some.includes(id));
    if (some.length > most && some.every((id, i) => id === there[i])) most = some.length;
  }
  return most;
}

describe('two versions, whatever their orders', () => {
  it('name every segment of both exactly once', () => {
    fc.assert(
      fc.property(order, order, (mine, theirs) => {
        const named = compare(withOrder(mine), withOrder(theirs)).map(({ id }) => id);
        expect([...named].sort()).toEqual([...new Set([...mine, ...theirs])].sort());
      }),
    );
  });

  it('call as few moved as can be', () => {
    fc.assert(
      fc.property(order, order, (mine, theirs) => {
        const shared = mine.filter((id) => theirs.includes(id));
        const others = theirs.filter((id) => mine.includes(id));
        const moved = compare(withOrder(mine), withOrder(theirs)).filter(
          ({ kind }) => kind === 'changed',
        );
        expect(moved).toHaveLength(shared.length - mostKept(shared, others));
      }),
    );
  });
});
