import fc from 'fast-check';
import { daysAfter, readClock, readDate, showDate } from './typedTimes';

const today = '2026-11-28';

describe('a date', () => {
  it('is read as people type it, the day first', () => {
    for (const text of [
      '1 Dec',
      'Tue 1 Dec',
      '1.12.',
      '1/12',
      '1/12/26',
      '2026-12-01',
      '1st December 2026',
    ]) {
      expect([text, readDate(text, today)]).toEqual([text, '2026-12-01']);
    }
  });
  it('without a year is the one to come, or of the last weeks', () => {
    expect(readDate('3 Feb', today)).toBe('2027-02-03');
    expect(readDate('20 Nov', today)).toBe('2026-11-20');
  });
  it('is refused where there is none', () => {
    for (const text of ['', '31.2.', '0 Dec', '1.13.', 'soon', '1 Dec 1776']) {
      expect([text, readDate(text, today)]).toEqual([text, undefined]);
    }
  });
  it('comes back as it is shown', () => {
    fc.assert(
      fc.property(fc.integer({ min: 0, max: 60_000 }), (days) => {
        const date = daysAfter('1950-01-01', days);
        expect(readDate(showDate(date), today)).toBe(date);
      }),
    );
  });
});

describe('a clock time', () => {
  it('is read as people type it', () => {
    for (const text of ['19:30', '1930', '19.30', '7:30 pm', '7.30pm', '19h30']) {
      expect([text, readClock(text)]).toEqual([text, '19:30']);
    }
    expect(['9', '12 am', '12pm', '0:05'].map(readClock)).toEqual([
      '09:00',
      '00:00',
      '12:00',
      '00:05',
    ]);
  });
  it('is refused where there is none', () => {
    for (const text of ['', '24:00', '19:60', '13 pm', 'noon']) {
      expect([text, readClock(text)]).toEqual([text, undefined]);
    }
  });
});
