import type { AgendaItem, Evening, StoreEvening } from '@wide-fern/contract';
import { eveningAdvice } from '@wide-fern/core';
import fc from 'fast-check';
import { eveningErrors } from './model/useEveningSaving';
import {
  advised,
  agendaMinutes,
  clockAfter,
  eveningMinutes,
  fillInWords,
  isOverfull,
  localOf,
  moved,
  newItem,
  lengthAdviceInWords,
  typedOf,
  weeksAfter,
} from './model/typed';

const item = (id: string, minutes: number) => ({ ...newItem([], 'notices'), id, minutes });
const evening = (start: string, end: string, ...minutes: number[]): StoreEvening => ({
  name: null,
  date: '2026-12-01',
  start,
  end,
  place: 'Hall',
  occasion: 'morning',
  forbids: [],
  agenda: minutes.map((one, i) => item(`x${i}`, one)),
});

describe('an evening as it is typed', () => {
  it('is as long as its clock says, over midnight too', () => {
    expect(eveningMinutes({ start: '19:30', end: '21:30' })).toBe(120);
    expect(eveningMinutes({ start: '23:00', end: '00:30' })).toBe(90);
    expect(clockAfter('23:50', 25)).toBe('00:15');
  });
  it('says in minutes what is too much and what is left', () => {
    expect(fillInWords(evening('19:30', '21:30', 100, 30))).toBe(
      '10 minutes too much for the evening',
    );
    expect(isOverfull(evening('19:30', '21:30', 100, 30))).toBe(true);
    expect(fillInWords(evening('19:30', '21:30', 119))).toBe('1 minute left over');
    expect(fillInWords(evening('19:30', '21:30', 120))).toBe('the evening is full');
    expect(agendaMinutes([])).toBe(0);
  });
  it('keeps its local clock in summer and winter', () => {
    const at = (moment: string, zone: string) => localOf(new Date(moment), zone);
    expect(at('2026-10-20T18:30:00Z', 'Europe/London')).toEqual({
      date: '2026-10-20',
      time: '19:30',
    });
    expect(at('2026-10-27T19:30:00Z', 'Europe/London').time).toBe('19:30');
    const typed = typedOf(
      {
        ...evening('', ''),
        startsAt: '2026-12-01T23:00:00.000Z',
        endsAt: '2026-12-02T00:30:00.000Z',
      } as unknown as Evening,
      'Europe/London',
    );
    expect([typed.date, typed.start, typed.end]).toEqual(['2026-12-01', '23:00', '00:30']);
  });
  it('gives every new item an id of its own, and a second warm-up a short time', () => {
    const first = newItem([], 'warm-up');
    const second = newItem([first], 'warm-up');
    expect([first.id, second.id, first.minutes, second.minutes]).toEqual([
      'warm-up',
      'warm-up-2',
      15,
      5,
    ]);
  });
  it('moves items and nothing is lost', () => {
    const agenda = [item('a', 1), item('b', 2), item('c', 3)];
    const ids = (all: { id: string }[]) => all.map(({ id }) => id).join('');
    expect(ids(moved(agenda, 0, 2))).toBe('bca');
    expect(ids(moved(agenda, 2, 1))).toBe('acb');
    expect(ids(moved(agenda, 1, 1))).toBe('abc');
  });
  it('repeats on the same weekday, over months and years', () => {
    expect(weeksAfter('2026-12-22', 3)).toEqual(['2026-12-29', '2027-01-05', '2027-01-12']);
    // The night the clocks change is no day longer or shorter.
    expect(weeksAfter('2026-10-20', 1)).toEqual(['2026-10-27']);
  });
  it('recommends a length with its reason', () => {
    expect(lengthAdviceInWords('morning', { start: '10:00', end: '12:00' })).toMatch(
      /^15 to 20 minutes\. Voices in the morning/,
    );
    expect(lengthAdviceInWords('morning', { start: '10:00', end: '11:00' })).toMatch(
      /^12 minutes\./,
    );
  });
  it('names what is wrong at its field', () => {
    expect(eveningErrors(evening('19:30', '21:30'))).toEqual({});
    expect(Object.keys(eveningErrors(evening('19:30', '19:30')))).toEqual(['end']);
    expect(Object.keys(eveningErrors({ ...evening('19:30', '21:30'), place: '' }))).toEqual([
      'place',
    ]);
  });
});

describe('an advice that is taken', () => {
  const sections = [{ id: 'S', comfort: [62, 79] as const }];
  const ranges = { S: [64, 84] as const };
  const advice = (agenda: readonly AgendaItem[]) =>
    eveningAdvice(
      agenda.map(({ id, kind, minutes, note }) => ({
        ...{ id, kind, minutes, ranges: note === 'hard' ? ranges : undefined },
      })),
      sections,
    );
  it('is not given again, and takes nothing out', () => {
    const kinds = fc.constantFrom('warm-up', 'piece', 'break', 'notices', 'cool-down');
    const items = fc.array(fc.tuple(kinds, fc.nat(60), fc.boolean()), { maxLength: 12 });
    let taken = 0;
    fc.assert(
      fc.property(items, (rows) => {
        const agenda = rows.map(([kind, minutes, isHard], i): AgendaItem => ({
          ...{ id: `i${i}`, kind, title: kind, minutes, piece: null },
          ...(isHard && kind === 'piece' ? { note: 'hard' } : {}),
        }));
        for (const one of advice(agenda)) {
          taken += 1;
          const next = advised(agenda, one);
          expect(next.filter(({ id }) => /^i/.test(id))).toHaveLength(agenda.length);
          expect(advice(next)).not.toContainEqual(one);
        }
      }),
    );
    expect(taken).toBeGreaterThan(0);
  });
});
