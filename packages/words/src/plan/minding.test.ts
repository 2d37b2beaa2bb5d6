import { mindedInWords, reminderInWords } from './minding';

describe('what is to be minded', () => {
  it('names who it meets and where, and defers to a doctor', () => {
    expect(
      mindedInWords({ code: 'changing', singers: 2, segments: ['Pulley', 'Slate steps'] }),
    ).toBe(
      'Two changing voices are here: in Pulley and Slate steps nobody pushes an end of the range.',
    );
    expect(mindedInWords({ code: 'unwell', singers: 1, segments: ['Pulley'] })).toMatch(
      /^One singer is ill or just back: Pulley is strong; .* doctor\.$/,
    );
    expect(mindedInWords({ code: 'cold', segments: ['Narrow hum'] })).toMatch(/Narrow hum small/);
  });
});

describe('a reminder', () => {
  const at = '2026-12-01T19:30:00.000Z';
  it('has its date', () => {
    const bring = {
      code: 'bring',
      days: 1,
      things: ['a straw for each'],
      segments: ['Dry straw'],
    } as const;
    expect(reminderInWords(bring, at, 'Europe/London')).toBe(
      'By Mon 30 Nov: put a straw for each ready, for Dry straw.',
    );
    expect(
      reminderInWords({ code: 'neighbours', days: 2, segments: ['Tin'] }, at, 'Europe/London'),
    ).toBe('By Sun 29 Nov: tell the neighbours; Tin can be heard next door.');
    expect(reminderInWords({ code: 'rest', days: 1 }, at, 'Europe/London')).toMatch(
      /^On Mon 30 Nov/,
    );
  });
});
