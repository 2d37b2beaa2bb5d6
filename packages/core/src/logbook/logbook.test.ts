import fc from 'fast-check';
import { columnOf, columnsUntil, dateOfDay, dayNumber, weeksBetween } from './columns';
import { effectOf, rateOf, type JudgedSkill, type LedSkills } from './effect';
import { neglected, timeByPhase, type LedTime } from './time';

describe('columns', () => {
  it('are weeks from Monday, or months', () => {
    expect(columnOf('2026-12-01', 'week')).toBe('2026-11-30');
    expect(columnOf('2026-11-30', 'week')).toBe('2026-11-30');
    expect(columnOf('2026-11-29', 'week')).toBe('2026-11-23');
    expect(columnOf('2026-12-31', 'month')).toBe('2026-12-01');
    expect(columnOf('2026-12-31', 'year')).toBe('2026-01-01');
    expect(columnsUntil('2026-01-07', 3, 'week')).toEqual([
      '2025-12-22',
      '2025-12-29',
      '2026-01-05',
    ]);
    expect(columnsUntil('2026-01-07', 3, 'month')).toEqual([
      '2025-11-01',
      '2025-12-01',
      '2026-01-01',
    ]);
    expect(weeksBetween('2026-11-10', '2026-12-01')).toBe(3);
    expect(weeksBetween('2026-11-10', '2026-11-30')).toBe(2);
  });

  it('know the calendar: each day follows the one before it, years with a day more among them', () => {
    expect([dayNumber('1970-01-01'), dayNumber('2000-02-29'), dayNumber('2026-12-01')]).toEqual([
      ...[0, 11_016, 20_788],
    ]);
    const lengths = (year: number) => {
      const isLong = (year % 4 === 0 && year % 100 !== 0) || year % 400 === 0;
      return [31, isLong ? 29 : 28, 31, 30, 31, 30, 31, 31, 30, 31, 30, 31];
    };
    let day = dayNumber('1896-01-01');
    for (let year = 1896; year <= 2105; year += 1) {
      for (const [month, length] of lengths(year).entries()) {
        for (let date = 1; date <= length; date += 1) {
          const name = [year, month + 1, date].map((n) => String(n).padStart(2, '0')).join('-');
          if (dayNumber(name) !== day || dateOfDay(day) !== name) throw new Error(name);
          day += 1;
        }
      }
    }
  });

  it('every day lies in the week that began last before it', () => {
    fc.assert(
      fc.property(fc.integer({ min: -20_000, max: 40_000 }), (day) => {
        const week = dayNumber(columnOf(dateOfDay(day), 'week'));
        // 5 January 1970 was a Monday.
        expect([(week - 4) % 7, week <= day && day < week + 7]).toEqual([expect.closeTo(0), true]);
      }),
    );
  });
});

describe('time led', () => {
  const columns = ['a', 'b', 'c', 'd', 'e'];
  const led = (column: string, phase: LedTime['phase'], singing: number): LedTime => ({
    ...{ column, phase, singing },
  });
  it('is summed by phase and column; what lies elsewhere is left out', () => {
    const times = timeByPhase(columns, [
      led('a', 'breath', 30),
      led('a', 'breath', 20),
      led('e', 'range', 40),
      led('z', 'range', 40),
    ]);
    expect(times.find(({ phase }) => phase === 'breath')!.seconds).toEqual([50, 0, 0, 0, 0]);
    expect(times.find(({ phase }) => phase === 'range')!.seconds).toEqual([0, 0, 0, 0, 40]);
  });

  it('says what has had nothing longest; weeks without an evening do not count', () => {
    const all = columns.flatMap((column) => [led(column, 'onset', 60)]);
    const times = timeByPhase(columns, [...all, led('a', 'breath', 50), led('b', 'agility', 50)]);
    const everyWeek = columns.map(() => true);
    expect(neglected(times, everyWeek)).toEqual({ phase: 'breath', from: 1, to: 4, led: 4 });
    const gap = [true, false, true, true, true];
    expect(neglected(times, gap)).toEqual({ phase: 'breath', from: 2, to: 4, led: 3 });
    // Twice without is none, and what was never led is not missed.
    expect(neglected(times, [true, false, false, true, true])).toBeUndefined();
    expect(neglected(timeByPhase(columns, all), everyWeek)).toBeUndefined();
  });
});

describe('the effect of a skill', () => {
  const judged = (day: string, score: number, piece = 'p'): JudgedSkill => ({
    ...{ piece, skill: 'long outflow', day, score },
  });
  const led = (day: string, seconds = 60): LedSkills => ({
    ...{ day, purposes: ['low breath', 'long outflow'], seconds },
  });

  it('is the change from one judgement to the next, against what was led in between', () => {
    const { pairs, rates } = effectOf(
      'long outflow',
      [judged('2026-10-20', 3), judged('2026-10-13', 2), judged('2026-10-27', 3)],
      [led('2026-10-13'), led('2026-10-20', 30), led('2026-10-16', 15)],
    );
    expect(pairs).toEqual([
      { piece: 'p', from: '2026-10-13', to: '2026-10-20', change: 1, seconds: 45 },
      { piece: 'p', from: '2026-10-20', to: '2026-10-27', change: 0, seconds: 0 },
    ]);
    // Two pairs are too few to say.
    expect(rates).toBeUndefined();
  });

  it('judged before and after on one evening, what was led that evening counts', () => {
    const { pairs } = effectOf(
      'long outflow',
      [judged('2026-10-13', 2), judged('2026-10-13', 3)],
      [led('2026-10-13')],
    );
    expect(pairs[0]).toMatchObject({ change: 1, seconds: 60 });
  });

  it('from six pairs on it is a rate, with and without', () => {
    const days = Array.from({ length: 8 }, (_, i) => `2026-10-1${i}`);
    const scores = [1, 2, 2, 3, 3, 4, 4, 4];
    const { rates } = effectOf(
      'long outflow',
      days.map((day, i) => judged(day, scores[i]!)),
      days.filter((_, i) => i % 2 === 1).map((day) => led(day)),
    );
    expect(rates!.led).toMatchObject({ better: 3, of: 4 });
    expect(rates!.without).toMatchObject({ better: 0, of: 3 });
  });

  it('a rate lies where Beta(1,1) and what was seen put it', () => {
    // Beta(1,1): the middle 80 of 100 of everything.
    expect(rateOf(0, 0)).toEqual({
      better: 0,
      of: 0,
      low: expect.closeTo(0.1, 9),
      high: expect.closeTo(0.9, 9),
    });
    // Beta(4,1) has the distribution x^4.
    expect(rateOf(3, 3).low).toBeCloseTo(0.1 ** 0.25, 9);
    fc.assert(
      fc.property(fc.nat(30), fc.nat(30), (some, more) => {
        const of = some + more;
        const { low, high } = rateOf(some, of);
        const mirrored = rateOf(more, of);
        expect(low + mirrored.high).toBeCloseTo(1, 6);
        expect(low < (some + 1) / (of + 2) && (some + 1) / (of + 2) < high).toBe(true);
      }),
    );
  });
});
