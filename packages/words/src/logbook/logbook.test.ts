import { rateOf } from '@wide-fern/core';
import { readLogbook, type Reading } from '@wide-fern/plan';
import { ledOnce, logbookOf } from '@wide-fern/plan/testing';
import { closedInWords, effectInWords, pairsInWords } from './effect';
import { columnHeading, columnInWords, loggedCells, loggedInWords } from './logged';
import { latenessInWords, logbookSentence } from './sentence';

const dayOf = (moment: string) => moment.slice(0, 10);
const reading: Reading = { ...{ span: 'week', count: 8, today: '2026-12-01' }, dayOf };
const breath = ledOnce('long-s', { phase: 'breath' });
const days = ['2026-10-27', '2026-11-10', '2026-11-17', '2026-11-24'];
const book = logbookOf(
  days.map((day, i) => ({ day, led: i === 0 ? [breath] : [ledOnce('pulley')] })),
);
const view = readLogbook(book, reading);

describe('the sentence of the logbook', () => {
  it('says what had nothing longest, and what is still open', () => {
    expect(logbookSentence(view, 'week')).toEqual(['Breath has had nothing for three weeks.']);
    const open = [
      { title: 'A', skill: 'tuning' as const, since: '2026-11-10', score: 3, last: 3 },
      { title: 'B', skill: 'long outflow' as const, since: '2026-11-10', score: 2, last: 2 },
    ];
    expect(logbookSentence({ ...view, open }, 'week')).toEqual([
      'Breath has had nothing for three weeks;',
      'long outflow in “B” is still at 2 of 5.',
    ]);
    expect(logbookSentence({ ...view, neglected: undefined }, 'week')).toEqual([
      'Nothing that was led has been left out for long.',
    ]);
    expect(logbookSentence(readLogbook(logbookOf([]), reading), 'week')).toEqual([
      'Nothing was led in the last four weeks.',
    ]);
  });
});

describe('how evenings ended', () => {
  const late = (real: number, which = 1) =>
    readLogbook(
      {
        ...book,
        runs: book.runs.map((run, i) => (i === which ? { ...run, planned: 600, real } : run)),
      },
      reading,
    );
  it('is told with the worst of them and how close the others were', () => {
    expect(latenessInWords(view, dayOf)).toEqual({
      title: 'Never late',
      words: 'four warm-ups, each within 0:00 of its plan.',
    });
    expect(latenessInWords(late(600 + 481), dayOf)).toEqual({
      title: 'Late once, by eight minutes',
      words: 'On 10 Nov talk took 0:10. The other three ended within 0:00 of their plans.',
    });
    expect(latenessInWords(readLogbook(logbookOf([]), reading), dayOf)).toBeUndefined();
  });
});

describe('whether it helped', () => {
  const pairs = Array.from({ length: 7 }, () => ({
    ...{ piece: 'p', from: 'a', to: 'b', change: 1, seconds: 60 },
  }));
  it('says no more than can be said', () => {
    const few = { pairs: pairs.slice(0, 2), rates: undefined };
    expect(effectInWords({ skill: 'long outflow', all: few })).toBe(
      'Long outflow: judged again twice, too few to say (from six on).',
    );
    const rates = { led: rateOf(4, 5), without: rateOf(0, 2) };
    expect(effectInWords({ skill: 'tuning', all: { pairs, rates } })).toBe(
      'Tuning: after it was led, better four times in five (the true rate is likely between 5 and 9 in 10); without, never in two (the true rate is likely between 0 and 5 in 10).',
    );
    expect(effectInWords({ skill: 'tuning', all: few, title: 'A' })).toMatch(/^“A”: judged again/);
  });
  it('says of every pair what came of how much', () => {
    const pair = { piece: 'p', from: 'a', to: 'b' };
    const three = [
      { ...pair, change: 1, seconds: 380 },
      { ...pair, change: 0, seconds: 0 },
      { ...pair, change: -2, seconds: 60 },
    ];
    expect(pairsInWords({ skill: 'tuning', all: { pairs: three, rates: undefined } })).toBe(
      'tuning: better by 1 after 6:20, as before without, worse by 2 after 1:00',
    );
  });
  it('says how long a target took', () => {
    const closed = { title: 'A', skill: 'tuning' as const };
    expect(closedInWords({ ...closed, from: '2026-11-10', to: '2026-11-24' })).toBe(
      '“A”: tuning was better after two weeks.',
    );
    expect(closedInWords({ ...closed, from: '2026-11-10', to: '2026-11-12' })).toBe(
      '“A”: tuning was better within a week.',
    );
  });
});

describe('columns and rows', () => {
  it('are named shortly above, and whole elsewhere', () => {
    expect(columnHeading('2026-10-12', 'week')).toBe('12 Oct');
    expect(columnInWords('2026-10-12', 'week')).toBe('week from 12 Oct');
    expect(columnHeading('2026-10-01', 'month')).toBe('Oct');
    expect(columnHeading('2027-01-01', 'month')).toBe('Jan 2027');
    expect(columnInWords('2026-10-01', 'month')).toBe('Oct 2026');
    expect(columnHeading('2026-01-01', 'year')).toBe('2026');
  });
  it('say of an exercise how high it went and how many managed', () => {
    expect(loggedInWords({ top: 63, managed: 'most' }, 'flats')).toBe('up to E♭, most managed');
    expect(loggedInWords({ top: null, managed: null }, 'flats')).toBe('');
  });
  it('are written as a table, a row for each exercise that was led', () => {
    expect(loggedCells(book, dayOf)[0]).toEqual([
      ...['2026-10-27', 'long-s', 'breath', 'top notes', 60, 10, 62, ''],
    ]);
    expect(loggedCells(book, dayOf)).toHaveLength(4);
  });
});
