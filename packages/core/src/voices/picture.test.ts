import fc from 'fast-check';
import type { PitchRange } from '../units';
import { limitsProblems } from './limits';
import { mixedChoir } from './parts';
import { narrowing, sectionPicture, wantedForEdge } from './picture';

const singer = (id: string, comfort: PitchRange, states: string[] = []) => ({
  id,
  comfort,
  reach: comfort,
  states,
});
const many = (count: number, comfort: PitchRange) =>
  Array.from({ length: count }, (_, i) => singer(`m${i}`, comfort));

describe('sectionPicture', () => {
  it('counts who is comfortable on each note and lists the band for one more and one fewer', () => {
    const section = [...many(9, [62, 79]), singer('x', [64, 79]), singer('y', [62, 76])];
    const picture = sectionPicture(section, 0.85);
    expect(picture).toMatchObject({ singers: 11, wanted: 10, comfort: [62, 79], suits: true });
    expect(picture.easy.lowest).toBe(62);
    expect(picture.easy.counts.slice(0, 3)).toEqual([10, 10, 11]);
    expect(picture.around).toEqual([
      { wanted: 11, comfort: [64, 76], suits: true },
      { wanted: 10, comfort: [62, 79], suits: true },
      { wanted: 9, comfort: [62, 79], suits: true },
    ]);
  });
  it('knows the strictest share that still reaches a note', () => {
    const section = [...many(9, [62, 79]), singer('x', [64, 79]), singer('y', [62, 76])];
    expect(wantedForEdge(section, 'high', 76)).toBe(11);
    expect(wantedForEdge(section, 'high', 79)).toBe(10);
    expect(wantedForEdge(section, 'low', 62)).toBe(10);
    expect(wantedForEdge(section, 'low', 40)).toBe(1);
  });
  it('has a wider band the fewer are asked for, while its notes hang together', () => {
    const range = fc
      .tuple(fc.integer({ min: 56, max: 60 }), fc.integer({ min: 62, max: 70 }))
      .map(([low, high]): PitchRange => [low, high]);
    fc.assert(
      fc.property(fc.array(range, { minLength: 1, maxLength: 20 }), (ranges) => {
        const section = ranges.map((comfort, i) => singer(String(i), comfort));
        const widths = Array.from({ length: section.length }, (_, i) => {
          const { comfort } = sectionPicture(section, (i + 1) / section.length);
          return comfort[1] - comfort[0];
        });
        expect(widths).toEqual([...widths].sort((a, b) => b - a));
      }),
    );
  });
});

describe('narrowing', () => {
  it('names the singer without whom the band is wider', () => {
    const section = [...many(3, [60, 72]), singer('x', [60, 70])];
    expect(narrowing(section, 0.85)).toEqual([{ ids: ['x'], comfort: [60, 72] }]);
    expect(narrowing(many(4, [60, 72]), 0.85)).toEqual([]);
    expect(narrowing(many(1, [60, 72]), 0.85)).toEqual([]);
  });
  it('names those who share a state when only together they hold the band back', () => {
    const section = [
      ...many(8, [60, 74]),
      singer('x', [60, 72], ['returning']),
      singer('y', [60, 72], ['returning']),
    ];
    expect(narrowing(section, 0.9)).toEqual([{ ids: ['x', 'y'], comfort: [60, 74] }]);
  });
});

describe('limitsProblems', () => {
  const bass = mixedChoir[3]!;
  const fields = (comfort: PitchRange, reach: PitchRange, lightTop: number | null = null) =>
    limitsProblems({ comfort, reach, lightTop }, bass.reach).map(({ field }) => field);
  it('accepts what a bass can be', () => {
    expect(fields([43, 62], [40, 64], 76)).toEqual([]);
  });
  it('says what is in the wrong order or in the wrong octave', () => {
    expect(fields([62, 43], [40, 64])).toEqual(['comfortLow']);
    expect(fields([43, 62], [45, 60])).toEqual(['reachLow', 'reachHigh']);
    const [problem] = limitsProblems(
      { comfort: [43, 84], reach: [40, 84], lightTop: null },
      bass.reach,
    );
    expect(problem).toEqual({
      code: 'octave-above',
      field: 'comfortHigh',
      note: 84,
      against: 64,
    });
    expect(fields([43, 62], [40, 64], 100)).toEqual(['lightTop']);
    expect(fields([20, 62], [20, 64])).toEqual(['comfortLow', 'reachLow']);
  });
});
