import { choose, evaluate, performAll } from '@wide-fern/plan';
import { documentOf } from '@wide-fern/plan/testing';
import { keyRange } from './keyRange';

const keysOf = (changed: object) => {
  const { keys } = evaluate(performAll(documentOf('pulley'), [choose('pulley', changed)]), 900)
    .segments[0]!.computed;
  if (keys.kind !== 'ladder') throw new Error('This has a ladder.');
  return keys;
};

describe('the tonics a key strip shows', () => {
  it('hold the ladder and the best start, filled up around them', () => {
    const keys = keysOf({});
    const [low, high] = keyRange(keys, 15);
    expect(high - low + 1).toBe(15);
    expect(low).toBeLessThanOrEqual(Math.min(...keys.sung!.tonics));
    expect(high).toBeGreaterThanOrEqual(Math.max(...keys.sung!.tonics));
  });
  it('keep the start in view when the ladder is wider than the strip', () => {
    const keys = keysOf({ repetitions: 7, step: 2 });
    const [low, high] = keyRange(keys, 5);
    expect(high - low + 1).toBe(5);
    expect(low).toBe(keys.sung!.start);
  });
  it('are somewhere sensible when nothing can be sung', () => {
    const keys = keysOf({ start: 110 });
    const [low, high] = keyRange({ ...keys, sung: undefined }, 9);
    expect(high - low + 1).toBe(9);
  });
});
