import { holdsDrone, lineOfPart } from './roles';

const who = (holds: Parameters<typeof holdsDrone>[0], parts: number) =>
  Array.from({ length: parts }, (_, place) =>
    holdsDrone(holds, place, parts) ? 'holds' : 'moves',
  );

describe('who holds a drone, from the highest part to the lowest', () => {
  it('is the lowest part, a half of them, or all', () => {
    expect(who('lowest', 4)).toEqual(['moves', 'moves', 'moves', 'holds']);
    expect(who('lower half', 4)).toEqual(['moves', 'moves', 'holds', 'holds']);
    expect(who('upper half', 4)).toEqual(['holds', 'holds', 'moves', 'moves']);
    expect(who('all', 2)).toEqual(['holds', 'holds']);
  });
  it('leaves the middle of an odd number moving, and a part alone moves', () => {
    expect(who('lower half', 3)).toEqual(['moves', 'moves', 'holds']);
    expect(who('upper half', 3)).toEqual(['holds', 'moves', 'moves']);
    for (const holds of ['lowest', 'lower half', 'upper half'] as const) {
      expect(who(holds, 1)).toEqual(['moves']);
    }
  });
});

describe('the line a part sings', () => {
  const lines = (count: number, parts: number) =>
    Array.from({ length: parts }, (_, place) => lineOfPart(count, place, parts));
  it('is its own, or the nearest when parts are more', () => {
    expect(lines(4, 4)).toEqual([0, 1, 2, 3]);
    expect(lines(2, 4)).toEqual([0, 0, 1, 1]);
    expect(lines(3, 8)).toEqual([0, 0, 0, 1, 1, 1, 2, 2]);
    expect(lines(4, 2)).toEqual([0, 1]);
  });
});
