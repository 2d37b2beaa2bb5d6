import fc from 'fast-check';
import { moveMoment } from './movement';
import { movementSeconds } from './segment';

const lean = { sides: 2 as const, times: 2, seconds: 3, held: 5 };

describe('where a movement is', () => {
  it.each([
    [0, 0, 1, 'move', 3, 0],
    [1.5, 0, 1, 'move', 2, 0.5],
    [3, 0, 1, 'hold', 5, 1],
    [7.9, 0, 1, 'hold', 1, 1],
    [8, 0, 2, 'move', 3, 0],
    [16, 1, 1, 'move', 3, 0],
    [31.5, 1, 2, 'hold', 1, 1],
  ])('%s s after it began', (since, side, time, of, left, level) => {
    expect(moveMoment(lean, since)).toEqual({
      ...{ round: 0, side, time, of, left, level },
    });
    expect(moveMoment(lean, 32 + since, 2)).toEqual({ round: 1, side, time, of, left, level });
  });
  it('is nowhere before it and after it', () => {
    expect(moveMoment(lean, -0.1)).toBeUndefined();
    expect(moveMoment(lean, movementSeconds(lean))).toBeUndefined();
    expect(moveMoment({ ...lean, seconds: 0, held: 0 }, 0)).toBeUndefined();
  });
  it('does each time on each side in turn, for just as long as it lasts', () => {
    const some = fc.record({
      sides: fc.constantFrom(1 as const, 2 as const),
      times: fc.integer({ min: 1, max: 5 }),
      seconds: fc.integer({ min: 1, max: 6 }),
      held: fc.integer({ min: 0, max: 6 }),
    });
    fc.assert(
      fc.property(some, (of) => {
        const said: string[] = [];
        for (let at = 0.5; at < movementSeconds(of); at += 1) {
          const { side, time, of: does, left } = moveMoment(of, at)!;
          said.push(`${side} ${time} ${does} ${left}`);
        }
        const down = (from: number, words: string) =>
          Array.from({ length: from }, (_, i) => `${words} ${from - i}`);
        const wanted = Array.from({ length: of.sides }, (_, side) =>
          Array.from({ length: of.times }, (__, i) => [
            ...down(of.seconds, `${side} ${i + 1} move`),
            ...down(of.held, `${side} ${i + 1} hold`),
          ]),
        ).flat(2);
        expect(said).toEqual(wanted);
      }),
      { numRuns: 200 },
    );
  });
});
