import { fireEvent, screen } from '@testing-library/react';
import type { StoreEvening, Template } from '@wide-fern/contract';
import { readCalendar, writeCalendar, type FoundDate } from '@wide-fern/interchange/calendar';
import { ids, show, tidy } from '../../testing/page';
import { FoundList } from './FoundList';
import { newItem } from './model/typed';
import { calendarEvents, dateRows, eveningsOf } from './model/dates';

const zone = 'Europe/London';
const date = (day: string, more: Partial<FoundDate> = {}): FoundDate => ({
  name: '',
  place: '',
  date: day,
  start: null,
  end: null,
  ...more,
});
const template: Template = {
  id: ids.one,
  name: 'An evening as usual',
  start: '19:00',
  end: '21:00',
  place: 'Quarry Lane Hall',
  occasion: 'evening after work',
  forbids: ['loud'] as unknown as Template['forbids'],
  agenda: [newItem([], 'warm-up'), newItem([], 'break')],
};
const unsaid = { like: undefined, start: '19:30', end: '21:30' };
const here = [{ startsAt: '2026-12-01T19:30:00.000Z' }];

describe('dates of a calendar', () => {
  it('take what is not said from the agenda they go like, else from what was typed', () => {
    const all = [date('2026-12-08'), date('2026-12-15', { start: '18:00', end: '20:00' })];
    const clocks = (like: Template | undefined) =>
      dateRows(all, [], zone, { ...unsaid, like }, new Set()).map(({ begins, ends }) => [
        begins,
        ends,
      ]);
    expect(clocks(undefined)).toEqual([
      ['19:30', '21:30'],
      ['18:00', '20:00'],
    ]);
    expect(clocks(template)).toEqual([
      ['19:00', '21:00'],
      ['18:00', '20:00'],
    ]);
  });

  it('are not taken twice: one that begins when an evening does is here already', () => {
    const rows = dateRows(
      [date('2026-12-01'), date('2026-12-08'), date('2026-12-15')],
      here,
      zone,
      unsaid,
      new Set([2]),
    );
    expect(rows.map(({ isHere, isTaken }) => [isHere, isTaken])).toEqual([
      [true, false],
      [false, true],
      [false, false],
    ]);
  });

  it('become evenings with a warm-up, or like the agenda, in a place', () => {
    const rows = dateRows(
      [date('2026-12-08', { name: 'Dress rehearsal', place: 'St Oswin' }), date('2026-12-15')],
      [],
      zone,
      unsaid,
      new Set(),
    );
    const plain = eveningsOf(rows, undefined, 'Quarry Lane Singers');
    expect(plain.map(({ name, place }) => [name, place])).toEqual([
      ['Dress rehearsal', 'St Oswin'],
      [null, 'Quarry Lane Singers'],
    ]);
    expect(plain[0]!.agenda.map(({ kind }) => kind)).toEqual(['warm-up']);
    const like = eveningsOf(rows, template, 'Quarry Lane Singers');
    expect(like.map(({ place }) => place)).toEqual(['St Oswin', 'Quarry Lane Hall']);
    expect(like[1]!.agenda).toEqual(template.agenda);
  });

  it('come back from the calendar they were written in', () => {
    const evenings = [
      {
        id: ids.one,
        name: null,
        startsAt: '2026-12-08T19:30:00.000Z',
        endsAt: '2026-12-08T21:30:00.000Z',
        place: 'Quarry Lane Hall',
      },
    ];
    const text = writeCalendar(
      'Quarry Lane Singers',
      calendarEvents(evenings, 'Quarry Lane Singers'),
      new Date('2026-11-28T12:00:00Z'),
    );
    const { dates } = readCalendar(text, { timeZone: zone, today: '2026-12-01' });
    expect(dates).toEqual([
      {
        name: 'Quarry Lane Singers: rehearsal',
        place: 'Quarry Lane Hall',
        date: '2026-12-08',
        start: '19:30',
        end: '21:30',
      },
    ]);
  });
});

describe('the list of dates', () => {
  afterEach(tidy);
  const taken: StoreEvening[][] = [];
  const list = (dates: readonly FoundDate[], notTaken: readonly string[] = []) =>
    show(
      <FoundList
        file="season.ics"
        found={{ dates, notTaken }}
        evenings={here}
        templates={[template]}
        choir={{ name: 'Quarry Lane Singers', timeZone: zone }}
        storing={false}
        onStore={(evenings) => taken.push(evenings)}
      />,
    );
  const ticks = () => screen.getAllByRole<HTMLInputElement>('checkbox');
  const add = () => screen.getByRole<HTMLButtonElement>('button', { name: /^Add/ });
  beforeEach(() => {
    taken.length = 0;
  });

  it('shows what was found, and what could not be taken', async () => {
    await list([date('2026-12-08')], ['One date has no day.']);
    expect(screen.getByRole('heading').textContent).toBe('One date in season.ics');
    expect(screen.getByText('One date has no day.')).toBeTruthy();
  });

  it('adds what is ticked', async () => {
    await list([date('2026-12-01'), date('2026-12-08'), date('2026-12-15')]);
    expect(ticks().map(({ checked, disabled }) => [checked, disabled])).toEqual([
      [false, true],
      [true, false],
      [true, false],
    ]);
    expect(screen.getByText('is here already')).toBeTruthy();
    fireEvent.click(ticks()[2]!);
    expect(add().textContent).toBe('Add one evening');
    fireEvent.click(add());
    expect(taken[0]!.map((one) => one.date)).toEqual(['2026-12-08']);
    fireEvent.click(ticks()[2]!);
    expect(add().textContent).toBe('Add two evenings');
  });

  it('asks for no clock where every date says it', async () => {
    await list([{ ...date('2026-12-08'), start: '19:30', end: '21:30' }]);
    expect(screen.queryByLabelText(/^Starts/)).toBeNull();
    fireEvent.click(ticks()[0]!);
    expect(screen.getByText('Choose the dates to add')).toBeTruthy();
  });

  it('asks for the clock only where no agenda says it', async () => {
    await list([date('2026-12-08')]);
    fireEvent.change(screen.getByLabelText(/^Starts/), { target: { value: '18:15' } });
    fireEvent.click(add());
    expect(taken[0]).toMatchObject([{ start: '18:15', end: '21:30' }]);
    fireEvent.change(screen.getByLabelText('They go like'), { target: { value: ids.one } });
    expect(screen.queryByLabelText(/^Starts/)).toBeNull();
    fireEvent.click(add());
    expect(taken[1]).toMatchObject([{ start: '19:00', place: 'Quarry Lane Hall' }]);
  });

  it('has nothing to add when nothing is left', async () => {
    await list([date('2026-12-01')]);
    expect(screen.getByText('All of these evenings are here already.')).toBeTruthy();
    expect(screen.queryByRole('button', { name: /^Add/ })).toBeNull();
  });
});
