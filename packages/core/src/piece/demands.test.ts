import type { PieceAnalysis } from './analysis';
import { mergedDemands } from './mergedDemands';
import type { Demand } from './skills';
import { troubledPart } from './troubled';

const bars = [1, 2, 3, 4, 5, 6].map((number) => ({ number, counted: true }));
const part = (id: string, points: readonly number[]): PieceAnalysis['parts'][number] =>
  ({
    part: id,
    difficulty: points.map((one) => ({ points: one, above: false, below: false })),
    sings: points.map((one) => one > 0),
  }) as unknown as PieceAnalysis['parts'][number];
const analysis = {
  bars,
  parts: [part('S', [1, 1, 9, 1, 1, 0]), part('A', [2, 2, 3, 2, 8, 0])],
};
const demand = (changed: Partial<Demand>): Demand => ({
  ...{ kind: 'long phrase', skill: 'long outflow', parts: ['S'], fromBar: 1, toBar: 2, figure: 10 },
  ...changed,
});

describe('what the figures suggest', () => {
  it('is one line where several parts have the same trouble in bars that meet', () => {
    const merged = mergedDemands(
      [
        demand({}),
        demand({ parts: ['A'], fromBar: 2, toBar: 3, figure: 12 }),
        demand({ kind: 'wide leap', skill: 'register change' }),
      ],
      analysis,
    );
    expect(merged).toHaveLength(2);
    expect(merged[0]).toMatchObject({ parts: ['S', 'A'], fromBar: 1, toBar: 3, figure: 12 });
  });
  it('joins lines that only a later one connects', () => {
    const merged = mergedDemands(
      [
        demand({ fromBar: 1, toBar: 1 }),
        demand({ parts: ['A'], fromBar: 3, toBar: 3 }),
        demand({ fromBar: 1, toBar: 3 }),
      ],
      analysis,
    );
    expect(merged).toHaveLength(1);
  });
  it('begins with the hardest bars, of equal ones the earlier', () => {
    const order = mergedDemands(
      [
        demand({ fromBar: 1, toBar: 1 }),
        demand({ parts: ['A'], fromBar: 5, toBar: 5 }),
        demand({ fromBar: 3, toBar: 3 }),
        demand({ fromBar: 4, toBar: 4 }),
      ],
      analysis,
    ).map(({ fromBar }) => fromBar);
    expect(order).toEqual([3, 5, 1, 4]);
  });
});

describe('who has the trouble in some bars', () => {
  const mark = { fromBar: 1, toBar: 6, parts: ['A'] };
  it('is whom a mark names, else whose bars are hardest', () => {
    expect(troubledPart(analysis, [], { from: 1, to: 4 })).toBe('S');
    expect(troubledPart(analysis, [], { from: 4, to: 5 })).toBe('A');
    expect(troubledPart(analysis, [mark], { from: 1, to: 4 })).toBe('A');
    expect(troubledPart(analysis, [{ ...mark, toBar: 2 }], { from: 3, to: 4 })).toBe('S');
  });
  it('is nobody where nobody sings', () => {
    expect(troubledPart(analysis, [mark], { from: 6, to: 6 })).toBeUndefined();
  });
});
