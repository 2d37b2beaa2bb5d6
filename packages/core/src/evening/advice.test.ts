import fc from 'fast-check';
import { eveningAdvice, type EveningItem } from './advice';

const sections = [
  { id: 'S', comfort: [62, 79] },
  { id: 'B', comfort: [43, 62] },
] as const;
const item = (id: string, kind: string, minutes: number, top?: number): EveningItem => ({
  ...{ id, kind, minutes },
  ...(top === undefined ? {} : { ranges: { S: [64, top] as const } }),
});
const advice = (...agenda: EveningItem[]) => eveningAdvice(agenda, sections);

describe('what would spare the voices of an evening', () => {
  it('is nothing where they are spared', () => {
    expect(
      advice(
        item('w', 'warm-up', 15),
        item('a', 'piece', 30, 84),
        item('p', 'break', 10),
        item('b', 'piece', 40, 79),
      ),
    ).toEqual([]);
    expect(advice()).toEqual([]);
  });
  it('is a warm-up before the first piece', () => {
    expect(advice(item('a', 'piece', 20), item('w', 'warm-up', 10))).toEqual([
      { code: 'warm-up-before', item: 'a' },
    ]);
  });
  it('is a break where a long stretch is parted most evenly', () => {
    const long = [item('w', 'warm-up', 15), item('a', 'piece', 20), item('b', 'piece', 30)];
    expect(advice(...long)).toEqual([{ code: 'break-after', item: 'a', from: 'w', to: 'b' }]);
    const rested = [long[0]!, long[1]!, item('n', 'notices', 5), long[2]!];
    expect(advice(...rested)).toEqual([]);
    // One long piece cannot be parted.
    expect(advice(item('w', 'warm-up', 0), item('a', 'piece', 90))).toEqual([]);
  });
  it('is another order where the hardest comes late', () => {
    const late = [
      item('w', 'warm-up', 10),
      item('a', 'piece', 15, 80),
      item('b', 'piece', 15, 79),
      item('c', 'piece', 15, 83),
    ];
    expect(advice(...late)).toEqual([
      { code: 'earlier', item: 'c', before: 'a', part: 'S', minutes: 30 },
    ]);
  });
  it('is never more than two, and names what is there', () => {
    const kinds = fc.constantFrom('warm-up', 'piece', 'break', 'notices', 'cool-down');
    const any = fc.array(fc.tuple(kinds, fc.nat(60), fc.integer({ min: 60, max: 90 })), {
      maxLength: 10,
    });
    fc.assert(
      fc.property(any, (rows) => {
        const agenda = rows.map(([kind, minutes, top], i) =>
          item(`i${i}`, kind, minutes, kind === 'piece' ? top : undefined),
        );
        const found = eveningAdvice(agenda, sections);
        expect(found.length).toBeLessThanOrEqual(2);
        const at = (id: string) => agenda.findIndex((one) => one.id === id);
        for (const one of found) {
          expect(at(one.item)).toBeGreaterThanOrEqual(0);
          if (one.code === 'earlier') expect(at(one.before)).toBeLessThan(at(one.item));
          if (one.code === 'break-after') expect(at(one.to)).toBeGreaterThan(at(one.item));
        }
      }),
    );
  });
});
