import type { ScoreBar } from './score';
import { sungOrder } from './sungOrder';

type Signs = Omit<ScoreBar, 'number' | 'counted' | 'quarters'>;
/** Bars 1, 2, 3 … with the signs given by number. */
const bars = (count: number, signs: Readonly<Record<number, Signs>>): ScoreBar[] =>
  Array.from({ length: count }, (_, i) => ({
    number: i + 1,
    counted: true,
    quarters: 4,
    ...signs[i + 1],
  }));
/** The printed numbers in the order sung. */
const sung = (count: number, signs: Readonly<Record<number, Signs>>): string => {
  const all = bars(count, signs);
  return sungOrder(all)
    .map((place) => all[place]!.number)
    .join(' ');
};

describe('the order in which bars are sung', () => {
  it('is the written one without signs', () => {
    expect(sung(3, {})).toBe('1 2 3');
    expect(sung(0, {})).toBe('');
  });
  it('repeats from the sign, from the beginning, and from the end of the last repeat', () => {
    expect(sung(4, { 2: { repeatFrom: true }, 3: { repeatTo: {} } })).toBe('1 2 3 2 3 4');
    expect(sung(3, { 2: { repeatTo: {} } })).toBe('1 2 1 2 3');
    expect(sung(4, { 2: { repeatTo: {} }, 4: { repeatTo: {} } })).toBe('1 2 1 2 3 4 3 4');
    expect(sung(2, { 2: { repeatTo: { times: 3 } } })).toBe('1 2 1 2 1 2');
  });
  it('sings each ending in its turn', () => {
    const two = { 3: { endings: [1], repeatTo: {} }, 4: { endings: [2] } };
    expect(sung(5, two)).toBe('1 2 3 1 2 4 5');
    const three = {
      2: { endings: [1, 2], repeatTo: {} },
      3: { endings: [3] },
    };
    expect(sung(4, three)).toBe('1 2 1 2 1 3 4');
    const long = {
      1: { repeatFrom: true },
      2: { endings: [1] },
      3: { endings: [1], repeatTo: {} },
      4: { endings: [2] },
      5: { endings: [2], repeatTo: {} },
      6: { endings: [3] },
    };
    expect(sung(7, long)).toBe('1 2 3 1 4 5 1 6 7');
  });
  it('repeats again after endings, each section by itself', () => {
    const signs = {
      2: { endings: [1], repeatTo: {} },
      3: { endings: [2] },
      4: { repeatFrom: true },
      5: { endings: [1], repeatTo: {} },
      6: { endings: [2] },
    };
    expect(sung(7, signs)).toBe('1 2 1 3 4 5 4 6 7');
  });
  it('goes back to the beginning and ends at the fine, without repeats and with the last ending', () => {
    expect(sung(4, { 2: { fine: true }, 4: { backTo: 'beginning' } })).toBe('1 2 3 4 1 2');
    const signs: Record<number, Signs> = {
      2: { endings: [1], repeatTo: {} },
      3: { endings: [2] },
      4: { fine: true },
      5: { backTo: 'beginning' },
    };
    expect(sung(5, signs)).toBe('1 2 1 3 4 5 1 3 4');
    // Without a fine it is sung to the end.
    expect(sung(2, { 2: { backTo: 'beginning' } })).toBe('1 2 1 2');
  });
  it('goes back to the segno and on to the coda', () => {
    const signs: Record<number, Signs> = {
      2: { segno: true },
      3: { toCoda: true },
      5: { backTo: 'segno' },
      6: { coda: true },
    };
    expect(sung(7, signs)).toBe('1 2 3 4 5 2 3 6 7');
  });
  it('finishes a repeat before it goes back', () => {
    const signs: Record<number, Signs> = { 2: { repeatTo: {}, backTo: 'beginning' } };
    expect(sung(2, signs)).toBe('1 2 1 2 1 2');
  });
  it('says when signs ask for more than anyone sings', () => {
    expect(() => sung(3, { 3: { repeatTo: { times: 1e9 } } })).toThrow(/round without end/);
  });
});
