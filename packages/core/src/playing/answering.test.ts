import fc from 'fast-check';
import { slipsOf, withSlips } from './answering';
import type { Programme } from './programme';

const parts = ['S', 'A', 'T', 'B'];
const programme: Programme = {
  seconds: 4,
  keys: [0],
  sounded: [
    ...parts.map((voice, i) => ({ at: 1, seconds: 2, voice, midi: 60 - i, loudness: 0.5 })),
    { at: 0, seconds: 1, voice: 'chord', midi: 48, loudness: 0.5 },
  ],
};

describe('a simulated choir', () => {
  it('slips as often as it is asked to, and the same way each time', () => {
    const count = (rate: number) =>
      Array.from({ length: 3000 }, (_, i) =>
        slipsOf(parts, `steps ${i} 0`, { seed: 7, rate }),
      ).flat();
    expect(count(0)).toEqual([]);
    expect(count(1)).toHaveLength(12_000);
    const some = count(0.15);
    expect(some).toEqual(count(0.15));
    // 12,000 tosses at 0.15: the standard deviation is 39.
    expect(Math.abs(some.length - 1800)).toBeLessThan(160);
    const lateOnes = some.filter(({ how }) => how === 'late').length;
    expect(Math.abs(lateOnes - some.length / 2)).toBeLessThan(90);
    expect(slipsOf(parts, 'steps 0 0', { seed: 8, rate: 0.5 })).not.toEqual(
      slipsOf(parts, 'steps 1 0', { seed: 8, rate: 0.5 }),
    );
  });
  it('sounds as it should but for those who slip', () => {
    const heard = withSlips(programme, [
      { part: 'A', how: 'late' },
      { part: 'B', how: 'wrong' },
    ]);
    const of = (voice: string) => heard.sounded.find((one) => one.voice === voice)!;
    expect(of('S')).toEqual(programme.sounded[0]);
    expect(of('chord')).toEqual(programme.sounded[4]);
    expect(of('A').at).toBeCloseTo(1.45, 9);
    expect(of('A').midi).toBe(59);
    expect([of('B').at, of('B').midi]).toEqual([1, 55]);
    expect(heard.seconds).toBeCloseTo(4.45, 9);
  });
  it('lets nobody sound before the time or drop out', () => {
    fc.assert(
      fc.property(fc.nat(), fc.double({ min: 0, max: 1, noNaN: true }), (seed, rate) => {
        const { sounded } = withSlips(programme, slipsOf(parts, 'x', { seed, rate }));
        expect(sounded).toHaveLength(programme.sounded.length);
        sounded.forEach((one, i) =>
          expect(one.at).toBeGreaterThanOrEqual(programme.sounded[i]!.at),
        );
      }),
    );
  });
});
