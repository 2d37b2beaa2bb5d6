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
