import { needsTonight } from './needs';

describe('needsTonight', () => {
  it('takes the extremes over the pieces, the earlier piece where they are equal', () => {
    const pieces = [
      { title: 'One', ranges: { S: [62, 77], A: [57, 70] } },
      { title: 'Two', ranges: { S: [60, 77] } },
    ] as const;
    expect(needsTonight(['S', 'A', 'T'], pieces)).toEqual([
      { part: 'S', highest: 77, highestIn: 'One', lowest: 60, lowestIn: 'Two' },
      { part: 'A', highest: 70, highestIn: 'One', lowest: 57, lowestIn: 'One' },
    ]);
  });
});

describe('what is sung of a piece', () => {
  const byBar = {
    numbers: [0, 1, 2, 3],
    parts: { S: [[60, 62], [62, 77], null, [59, 70]], A: [null, [57, 60], null, null] },
  } as const;
  const piece = { title: 'One', ranges: { S: [59, 77], A: [57, 60] }, byBar } as const;

  it('is told by bars, as high as it is sung', () => {
    expect(needsTonight(['S'], [piece])).toEqual([
      {
        part: 'S',
        highest: 77,
        highestIn: 'One',
        highestBar: 1,
        lowest: 59,
        lowestIn: 'One',
        lowestBar: 3,
      },
    ]);
    expect(needsTonight(['S'], [{ ...piece, bars: [2, 3], transpose: -2 }])).toEqual([
      {
        part: 'S',
        highest: 68,
        highestIn: 'One',
        highestBar: 3,
        lowest: 57,
        lowestIn: 'One',
        lowestBar: 3,
      },
    ]);
  });
  it('asks nothing of a part that is silent there', () => {
    expect(needsTonight(['A'], [{ ...piece, bars: [2, 3] }])).toEqual([]);
  });
});
