import fc from 'fast-check';
import { frequency } from '../pitch';
import { doseOf, type Phonation } from './dose';

const note = (from: number, to: number, seconds: number, dynamic: Phonation['dynamic'] = 'mf') => ({
  ...{ from, to, seconds, dynamic },
});

describe('the dose of singing', () => {
  it('of a held note is its frequency over its time', () => {
    const { seconds, cycles } = doseOf([note(69, 69, 3)], false);
    expect(seconds).toBe(3);
    expect(cycles).toBeCloseTo(1.32, 12);
  });
  it('of a held note travels four swings a cycle, as worked by hand', () => {
    // A soprano's A4, mf: threshold 0.14 + 0.06·(440/190)² = 0.46177 kPa; above it 10^(−4.5/27.3) = 0.68417;
    // a swing of 0.05·10·√(0.68417/0.46177) = 0.60861 mm; 4 · 0.60861 mm · 440 = 1.07115 m a second.
    expect(doseOf([note(69, 69, 1)], false).metres).toBeCloseTo(1.07115, 4);
  });
  it('of a slide is the sum of its frequency over its time', () => {
    fc.assert(
      fc.property(
        fc.integer({ min: 40, max: 84 }),
        fc.integer({ min: 40, max: 84 }),
        fc.integer({ min: 1, max: 8 }),
        (from, to, seconds) => {
          const steps = 4000;
          let sum = 0;
          for (let i = 0; i < steps; i += 1) {
            sum += (frequency(from + ((to - from) * (i + 0.5)) / steps) * seconds) / steps;
          }
          expect(doseOf([note(from, to, seconds)], true).cycles).toBeCloseTo(sum / 1000, 5);
        },
      ),
    );
  });
  it('of short notes is less than of a held one, by the silence between them', () => {
    const held = doseOf([note(60, 60, 4, 'p')], true);
    const short = doseOf(
      Array.from({ length: 8 }, () => note(60, 60, 0.25, 'p')),
      true,
    );
    expect(short.seconds).toBeCloseTo(held.seconds / 2, 12);
    expect(short.cycles).toBeCloseTo(held.cycles / 2, 12);
    expect(short.metres).toBeCloseTo(held.metres / 2, 12);
  });
  it('grows with loudness in distance only, and nothing is nothing', () => {
    const of = (dynamic: Phonation['dynamic']) => doseOf([note(62, 62, 1, dynamic)], false);
    expect(of('ff').metres).toBeGreaterThan(2 * of('pp').metres);
    expect(of('ff').cycles).toBe(of('pp').cycles);
    expect(doseOf([note(62, 62, 0)], true)).toEqual({ seconds: 0, cycles: 0, metres: 0 });
  });
});
