import fc from 'fast-check';
import { atUsualLevel, inARow, loudnessOf } from './level';

const sampleRate = 8000;
/** Tones with rests between them, as an exercise's file has. */
const tones = fc
  .array(
    fc.record({
      hertz: fc.integer({ min: 90, max: 1200 }),
      level: fc.double({ min: 0.02, max: 1.6, noNaN: true }),
      sounding: fc.double({ min: 0.2, max: 1, noNaN: true }),
      rest: fc.double({ min: 0, max: 0.4, noNaN: true }),
    }),
    { minLength: 1, maxLength: 6 },
  )
  .map((all) =>
    Float32Array.from(
      all.flatMap(({ hertz, level, sounding, rest }) =>
        Array.from({ length: Math.round((sounding + rest) * sampleRate) }, (_, i) =>
          i > sounding * sampleRate ? 0 : level * Math.sin((2 * Math.PI * hertz * i) / sampleRate),
        ),
      ),
    ),
  );

describe('a sound file', () => {
  it('leaves as loud as others, and no sample of it is clipped', () => {
    fc.assert(
      fc.property(tones, (samples) => {
        const { samples: level } = atUsualLevel({ sampleRate, samples });
        expect(loudnessOf(level)).toBeGreaterThanOrEqual(-20);
        expect(loudnessOf(level)).toBeLessThanOrEqual(-16);
        expect(level.every((one) => Math.abs(one) < 0.98)).toBe(true);
      }),
    );
  });
  it('stays silent where it is', () => {
    const samples = new Float32Array(4000);
    expect(atUsualLevel({ sampleRate, samples }).samples).toEqual(samples);
  });
});

describe('recordings in a row', () => {
  it('keep every sample, with silence between them and none at the ends', () => {
    const [one, two] = [Float32Array.of(0.5, 0.25), Float32Array.of(-0.5)];
    expect([...inARow([one, two, one], 2)]).toEqual([0.5, 0.25, 0, 0, -0.5, 0, 0, 0.5, 0.25]);
    expect(inARow([], 2)).toHaveLength(0);
    expect([...inARow([one], 2)]).toEqual([0.5, 0.25]);
  });
});
