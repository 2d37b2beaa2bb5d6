import { mixedChoir } from '../voices/parts';
import { fitOnTonic, sharedTonics, stageWindow } from './fit';
import { keyStrip } from './keyStrip';

const soprano = mixedChoir[0]!;
const bass = mixedChoir[3]!;

describe('fitOnTonic', () => {
  it('measures room to the comfort at both ends, in the part’s octave', () => {
    const fit = fitOnTonic(soprano, { lowest: 0, highest: 12 }, 64);
    expect(fit).toEqual({ low: 64, high: 76, roomBelow: 2, roomAbove: 3, state: 'comfortable' });
    expect(fitOnTonic(bass, { lowest: 0, highest: 7 }, 60)).toMatchObject({ low: 48, high: 55 });
  });
  it('tells the edge of the comfort from what is out of reach', () => {
    expect(fitOnTonic(soprano, { lowest: 0, highest: 14 }, 67).state).toBe('edge');
    expect(fitOnTonic(soprano, { lowest: 0, highest: 14 }, 68).state).toBe('out');
    expect(fitOnTonic(bass, { lowest: 0, highest: 4 }, 52).state).toBe('edge');
    expect(fitOnTonic(bass, { lowest: 0, highest: 4 }, 51).state).toBe('out');
  });
});

describe('sharedTonics', () => {
  it('is where all four are comfortable', () => {
    expect(sharedTonics(mixedChoir, { lowest: 0, highest: 7 })).toEqual([62, 67]);
    expect(sharedTonics(mixedChoir, { lowest: 0, highest: 12 })).toEqual([62, 62]);
    expect(sharedTonics(mixedChoir, { lowest: 0, highest: 14 })).toBeUndefined();
  });
});

describe('stageWindow', () => {
  it('keeps whole notes inside the fraction', () => {
    expect(stageWindow([62, 79], 0.6)).toEqual([66, 75]);
    expect(stageWindow([62, 79], 1)).toEqual([62, 79]);
  });
  it('keeps whole limits whole although 0.55 is not exact in binary', () => {
    // Half of 40 is 20; 0.55 of it 11, which binary fractions put at 11.000000000000002.
    expect(stageWindow([40, 80], 0.55)).toEqual([49, 71]);
    expect(stageWindow([50, 70], 0.7)).toEqual([53, 67]);
  });
});

describe('keyStrip', () => {
  it('gives a column for every tonic with the fit of each part', () => {
    const strip = keyStrip(mixedChoir, () => ({ lowest: 0, highest: 12 }), [60, 67]);
    expect(strip.map(({ tonic }) => tonic)).toEqual([60, 61, 62, 63, 64, 65, 66, 67]);
    expect(strip[2]?.fits).toMatchObject({ S: { state: 'comfortable' }, B: { roomAbove: 0 } });
    expect(keyStrip(mixedChoir, () => ({ lowest: 0, highest: 1 }), [60, 59])).toEqual([]);
  });
});
