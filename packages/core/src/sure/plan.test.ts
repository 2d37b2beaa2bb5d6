import type { Repetition } from '../fit/sounding';
import { sectionSureness, spanSureness, unsureKeys, worthSaying } from './index';

const alto = { comfort: [57, 72] as const, sigma: 1, present: 0.9 };
const parts = { A: [alto, { ...alto, comfort: [55, 70] as const }, alto], S: [] };
const sings = (part: string, low: number, high: number): Repetition['parts'][number] => ({
  ...{ part, does: 'sing', tonic: low, away: 0 },
  fit: { low, high, state: 'easy', roomAbove: 0, roomBelow: 0 } as never,
});
const repetition = (...sounding: Repetition['parts']): Repetition => ({
  ...{ at: 0, seconds: 8, tonic: 60, parts: sounding },
});

describe('keys of which it is not sure that enough are comfortable', () => {
  const sureness = spanSureness(parts, 0.85);
  it('are those above one evening in five, each with its own chance', () => {
    const highs = [64, 68, 69, 70, 71, 72, 74];
    const found = unsureKeys(
      [{ id: 'one', repetitions: highs.map((high) => repetition(sings('A', 60, high))) }],
      sureness,
    );
    const told = highs.map((high) => sectionSureness(parts.A, [60, high], 0.85).tooFew);
    expect(found.map(({ repetition: i, tooFew }) => [i, tooFew])).toEqual(
      told.flatMap((chance, i) => (chance > worthSaying ? [[i, chance]] : [])),
    );
    // Both kinds are among them, else this would say nothing.
    expect(found.length).toBeGreaterThan(1);
    expect(found.length).toBeLessThan(highs.length);
  });
  it('are none where a part rests, sings on its own pitch, or nobody’s range is known', () => {
    const silent: Repetition['parts'] = [
      { part: 'A', does: 'rest' },
      { ...sings('A', 30, 99), does: 'own' } as never,
      sings('S', 30, 99),
      sings('constructor', 30, 99),
    ];
    expect(unsureKeys([{ id: 'one', repetitions: [repetition(...silent)] }], sureness)).toEqual([]);
  });
});
