import fc from 'fast-check';
import { givenKey, isLasting, type GivenKey } from './given';

const key: GivenKey = {
  opening: {
    tonic: 60,
    chord: [48, 60, 64, 67],
    entries: [
      { part: 'S', note: 72, after: 0 },
      { part: 'A', note: null, after: 4 },
      { part: 'B', note: 48, after: 0 },
    ],
  },
  score: {
    ...{ title: 'x', tempo: 60, mode: 'major', parts: [], between: 2 },
    keys: [
      {
        tonic: 60,
        lines: [
          {
            part: 'S',
            events: [
              { midi: 72, beats: 1 },
              { midi: 74, beats: 1 },
            ],
          },
        ],
      },
    ],
  } as unknown as NonNullable<GivenKey['score']>,
  ...{ key: 0, tempo: 60, metre: { beats: 3, unit: 4 } },
  listening: { countIn: 2, breathBeats: 1, verses: 3 },
};
const nothing: GivenKey = { ...key, opening: undefined, score: undefined };

describe('a key that is given', () => {
  it('is its chord at once', () => {
    const { sounded, seconds } = givenKey(key, 'chord');
    expect(sounded.map(({ midi, at }) => [midi, at])).toEqual([
      [48, 0],
      [60, 0],
      [64, 0],
      [67, 0],
    ]);
    expect(seconds).toBeGreaterThan(1);
  });
  it('is the first note of every part that sings, one after the other', () => {
    const { sounded, seconds } = givenKey(key, 'notes');
    expect(sounded.map(({ voice, midi }) => [voice, midi])).toEqual([
      ['S', 72],
      ['B', 48],
    ]);
    expect(sounded[1]!.at).toBeGreaterThanOrEqual(sounded[0]!.at + sounded[0]!.seconds);
    expect(seconds).toBeGreaterThanOrEqual(sounded[1]!.at + sounded[1]!.seconds);
  });
  it('is what is sung in it once, without what leads to it', () => {
    const { sounded } = givenKey(key, 'pattern');
    expect(sounded.map(({ voice, midi, at }) => [voice, midi, at])).toEqual([
      ['S', 72, 0],
      ['S', 74, 1],
    ]);
  });
  it('is its chord and the count-in at the tempo that is sung', () => {
    const { sounded, seconds } = givenKey(key, 'count-in');
    const chord = givenKey(key, 'chord').seconds;
    const counts = sounded.filter(({ voice }) => voice === 'count').map(({ at }) => at - chord);
    expect(counts).toEqual([expect.closeTo(0, 9), expect.closeTo(1, 9)]);
    expect(seconds).toBeCloseTo(chord + 2, 9);
  });
  it('is its tonic, held until it is stopped', () => {
    const { sounded } = givenKey(key, 'drone');
    expect(sounded.map(({ midi }) => midi)).toEqual([48, 60]);
    expect(sounded.every(({ seconds }) => seconds > 200)).toBe(true);
    expect([isLasting('drone'), isLasting('pulse'), isLasting('chord')]).toEqual([
      true,
      true,
      false,
    ]);
  });
  it('or the beat, even over five minutes, the first of each bar louder', () => {
    fc.assert(
      fc.property(fc.integer({ min: 30, max: 220 }), (tempo) => {
        const { sounded } = givenKey({ ...key, tempo }, 'pulse');
        const last = sounded.at(-1)!.at;
        expect(last > 290 && last < 300).toBe(true);
        for (const [i, { at, loudness }] of sounded.entries()) {
          if (Math.abs(at - (i * 60) / tempo) > 1e-9) throw new Error(`beat ${i} at ${at}`);
          expect(loudness).toBe(i % 3 === 0 ? 0.6 : 0.4);
        }
      }),
      { numRuns: 20 },
    );
  });
  it('is nothing where nothing is given', () => {
    for (const how of ['chord', 'notes', 'pattern', 'drone'] as const) {
      expect(givenKey(nothing, how)).toMatchObject({ seconds: 0, sounded: [] });
    }
    // What has no key is counted in all the same.
    expect(givenKey(nothing, 'count-in').sounded).toHaveLength(2);
  });
});
