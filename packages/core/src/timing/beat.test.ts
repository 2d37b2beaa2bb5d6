import fc from 'fast-check';
import { beatMoment } from './beat';
import { patternSeconds, type PatternTiming } from './segment';

const text: PatternTiming = {
  keys: 1,
  verses: 2,
  patternBeats: 8,
  breathBeats: 4,
  countIn: 4,
  tempo: 120,
  talk: 30,
};

describe('which beat is spoken', () => {
  it.each([
    [0, 'count-in', 0, 0],
    [1.75, 'count-in', 0, 3],
    [2, 'text', 0, 0],
    [5.9, 'text', 0, 7],
    [6, 'breath', 1, 0],
    [7.9, 'breath', 1, 3],
    [8, 'text', 1, 0],
    [11.9, 'text', 1, 7],
  ])('%s s after it began', (since, of, repetition, beat) => {
    expect(beatMoment(text, since)).toMatchObject({ of, repetition, beat });
  });
  it('is counted in each time, and listened to first, where that is wanted', () => {
    const told = { ...text, countInEach: true, demonstrate: 'once' } as const;
    const at = (since: number) => beatMoment(told, since);
    expect(at(0)).toMatchObject({ of: 'listen', repetition: 0, beat: 0 });
    expect(at(3.6)).toMatchObject({ of: 'listen', beat: 7 });
    expect(at(4)).toMatchObject({ of: 'count-in', repetition: 0, beat: 0 });
    expect(at(6)).toMatchObject({ of: 'text', beat: 0 });
    expect(at(12)).toMatchObject({ of: 'count-in', repetition: 1, beat: 0 });
  });
  it('is nowhere before it and after it', () => {
    expect(beatMoment(text, -0.1)).toBeUndefined();
    expect(beatMoment(text, 12)).toBeUndefined();
  });
  it('goes through every beat once, at the tempo of each time, and ends when the segment does', () => {
    const some = fc.record({
      keys: fc.constant(1),
      verses: fc.integer({ min: 1, max: 4 }),
      patternBeats: fc.integer({ min: 1, max: 12 }),
      breathBeats: fc.integer({ min: 0, max: 4 }),
      countIn: fc.integer({ min: 0, max: 4 }),
      countInEach: fc.boolean(),
      demonstrate: fc.constantFrom('no' as const, 'once' as const, 'each key' as const),
      tempo: fc.integer({ min: 40, max: 160 }),
      tempoStep: fc.integer({ min: -2, max: 12 }),
    });
    fc.assert(
      fc.property(some, (timing) => {
        const length = patternSeconds(timing);
        const said: string[] = [];
        // Half a beat into each beat, found by walking from one to the next at the tempo that is due.
        let at = 0;
        while (at < length - 1e-6) {
          const here = beatMoment(timing, at)!;
          const goes = here.of === 'breath' ? here.repetition - 1 : here.repetition;
          said.push(`${here.of} ${here.repetition} ${here.beat}`);
          expect(here.into).toBeCloseTo(0, 4);
          at += 60 / (timing.tempo + goes * timing.tempoStep);
        }
        const beats = (of: string, repetition: number, many: number) =>
          Array.from({ length: many }, (_, i) => `${of} ${repetition} ${i}`);
        const { demonstrate, countIn, countInEach, patternBeats, breathBeats } = timing;
        const wanted = Array.from({ length: timing.verses }, (_, i) => [
          ...(i > 0 ? beats('breath', i, breathBeats) : []),
          ...(i === 0 && demonstrate !== 'no' ? beats('listen', i, patternBeats) : []),
          ...(i === 0 || countInEach ? beats('count-in', i, countIn) : []),
          ...beats('text', i, patternBeats),
        ]).flat();
        expect(said).toEqual(wanted);
        expect(at).toBeCloseTo(length, 4);
      }),
      { numRuns: 300 },
    );
  });
});
