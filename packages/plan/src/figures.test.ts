import { evaluate } from './evaluate';
import { figuresOf } from './figures';
import { documentOf } from './testing/plans';

describe('figures of a plan', () => {
  it('count keys at the edge, rests and strong singing, and nothing of what has no keys', () => {
    expect(figuresOf(evaluate(documentOf('coat-off', 'long-s'), 900))).toMatchObject({
      ...{ segments: 2, edges: 0, rests: 0, strong: 0 },
    });
    const plan = evaluate(documentOf('slate-steps'), 900);
    const figures = figuresOf(plan);
    const all = plan.segments[0]!.computed.repetitions.flatMap(({ parts }) => parts);
    expect(figures.rests).toBe(all.filter((one) => one.does === 'rest').length);
    expect(figures.rests).toBeGreaterThan(0);
    expect(figures.edges).toBeGreaterThan(0);
    expect(figures.strong).toBeGreaterThan(30);
    expect(figures.strong).toBeLessThan(plan.total);
  });
});
