import type { LedOnce } from '@wide-fern/contract';
import { phraseByLed } from './phrase';

const led = (day: number, breath: number | null, more: Partial<LedOnce> = {}): LedOnce => ({
  exercise: 'long-s',
  ledAt: `2026-11-${String(day).padStart(2, '0')}T18:30:00.000Z`,
  ...{ talk: 20, coach: 0, after: 0, singing: 60, planned: 60, strained: [] },
  ...{ managed: 'most', keys: 0, breath },
  ...more,
});

describe('the comfortable phrase by what was led', () => {
  it('takes the longest of each evening that most managed, in whole seconds', () => {
    const evenings = [led(3, 8), led(10, 9), led(17, 9), led(24, 9)];
    const shorter = evenings.map(({ ledAt }) => led(1, 4, { ledAt, exercise: 'part-breaths' }));
    expect(phraseByLed([...shorter, ...evenings])).toEqual({
      seconds: 8,
      from: [24, 17, 10, 3].map((day, i) => ({ ledAt: led(day, 0).ledAt, seconds: i < 3 ? 9 : 8 })),
    });
    expect(phraseByLed([...evenings, led(30, 9, { managed: 'all' })])!.seconds).toBe(9);
  });

  it('leaves out what few managed, what was not said, what was not breathed, and what was refused', () => {
    const three = [led(3, 8), led(10, 9), led(17, 9)];
    expect(phraseByLed(three)).toBeUndefined();
    const nothing = [
      led(24, 30, { managed: 'few' }),
      led(24, 30, { managed: null }),
      led(24, null),
    ];
    expect(phraseByLed([...three, ...nothing])).toBeUndefined();
    const refused = { 'long-s': { learnedFrom: '2026-11-05T00:00:00.000Z' } };
    expect(phraseByLed([...three, led(24, 9)], refused)).toBeUndefined();
    expect(phraseByLed([...three, led(24, 9), led(26, 9)], refused)!.from).toHaveLength(4);
  });
});
