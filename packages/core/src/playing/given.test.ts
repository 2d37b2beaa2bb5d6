import { givenKey } from './given';

const opening = {
  chord: [48, 60, 64, 67],
  entries: [
    { part: 'S', note: 72, after: 0 },
    { part: 'A', note: null, after: 4 },
    { part: 'B', note: 48, after: 0 },
  ],
};

describe('a key that is given', () => {
  it('is its chord at once, moved as it is sung', () => {
    const { sounded, seconds } = givenKey(opening, 'chord', -1);
    expect(sounded.map(({ midi, at }) => [midi, at])).toEqual([
      [47, 0],
      [59, 0],
      [63, 0],
      [66, 0],
    ]);
    expect(seconds).toBeGreaterThan(1);
  });
  it('is the first note of every part that sings, one after the other', () => {
    const { sounded, seconds } = givenKey(opening, 'notes', 2);
    expect(sounded.map(({ voice, midi }) => [voice, midi])).toEqual([
      ['S', 74],
      ['B', 50],
    ]);
    expect(sounded[1]!.at).toBeGreaterThanOrEqual(sounded[0]!.at + sounded[0]!.seconds);
    expect(seconds).toBeGreaterThanOrEqual(sounded[1]!.at + sounded[1]!.seconds);
  });
  it('is nothing where nothing is given', () => {
    expect(givenKey({ chord: [], entries: [] }, 'chord')).toMatchObject({
      seconds: 0,
      sounded: [],
    });
  });
});
