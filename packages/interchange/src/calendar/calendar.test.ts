import fc from 'fast-check';
import { UnreadableFile } from '../common/found';
import { readCalendar } from './read';
import { writeCalendar } from './write';

/** The clock of a zone, by what the platform knows of it. */
function clockOf(timeZone: string, moment: Date) {
  const parts = Object.fromEntries(
    new Intl.DateTimeFormat('en-GB', {
      timeZone,
      year: 'numeric',
      month: '2-digit',
      day: '2-digit',
      hour: '2-digit',
      minute: '2-digit',
      hourCycle: 'h23',
    })
      .formatToParts(moment)
      .map(({ type, value }) => [type, value]),
  );
  return {
    date: `${parts.year}-${parts.month}-${parts.day}`,
    time: `${parts.hour}:${parts.minute}`,
  };
}
const london = { timeZone: 'Europe/London', today: '2026-10-01' };
const calendar = (...lines: string[]) =>
  ['BEGIN:VCALENDAR', 'VERSION:2.0', 'PRODID:x', ...lines, 'END:VCALENDAR', ''].join('\r\n');
const event = (...lines: string[]) => ['BEGIN:VEVENT', 'UID:1', ...lines, 'END:VEVENT'];

describe('evenings as a calendar', () => {
  it('are moments in UTC, with their place and what is done', () => {
    const text = writeCalendar(
      'Quarry Lane',
      [
        {
          id: 'a',
          name: 'Rehearsal; with, signs',
          startsAt: new Date('2026-12-01T19:30:00Z'),
          endsAt: new Date('2026-12-01T21:30:00Z'),
          place: 'Canteen',
          description: 'Warm-up, 15 minutes',
        },
      ],
      new Date('2026-11-26T10:00:00Z'),
    );
    expect(text).toContain('DTSTART:20261201T193000Z\r\n');
    expect(text).toContain('DTEND:20261201T213000Z\r\n');
    expect(text).toContain('SUMMARY:Rehearsal\\; with\\, signs\r\n');
    expect(text).toContain('UID:a@wide-fern\r\n');
    expect(text.startsWith('BEGIN:VCALENDAR\r\nVERSION:2.0\r\n')).toBe(true);
  });
  it('come back at the same time by the clock, in summer and winter', () => {
    fc.assert(
      fc.property(
        fc.date({ min: new Date('2026-01-01'), max: new Date('2030-12-31'), noInvalidDate: true }),
        fc.integer({ min: 1, max: 300 }),
        fc.constantFrom('Europe/London', 'America/New_York', 'Asia/Kolkata'),
        (moment, minutes, zone) => {
          const startsAt = new Date(Math.floor(moment.getTime() / 60_000) * 60_000);
          const endsAt = new Date(startsAt.getTime() + minutes * 60_000);
          const one = { id: 'a', name: 'Evening', startsAt, endsAt, place: '', description: '' };
          const reading = { timeZone: zone, today: '2026-01-01' };
          const { dates } = readCalendar(writeCalendar('x', [one], startsAt), reading);
          expect(dates).toEqual([
            {
              name: 'Evening',
              place: '',
              date: clockOf(zone, startsAt).date,
              start: clockOf(zone, startsAt).time,
              end: clockOf(zone, endsAt).time,
            },
          ]);
        },
      ),
    );
  });
});

describe('a list of dates', () => {
  it('may float, lie in a zone of its own, or be whole days', () => {
    const text = calendar(
      ...event('SUMMARY:Floats', 'DTSTART:20261201T193000', 'DTEND:20261201T213000'),
      ...event('SUMMARY:Day', 'DTSTART;VALUE=DATE:20261203'),
      'BEGIN:VTIMEZONE',
      'TZID:Somewhere',
      'BEGIN:STANDARD',
      'DTSTART:19700101T000000',
      'TZOFFSETFROM:+0200',
      'TZOFFSETTO:+0200',
      'END:STANDARD',
      'END:VTIMEZONE',
      ...event('SUMMARY:Zoned', 'DTSTART;TZID=Somewhere:20261202T210000', 'DURATION:PT2H'),
    );
    expect(readCalendar(text, london).dates).toEqual([
      { name: 'Floats', place: '', date: '2026-12-01', start: '19:30', end: '21:30' },
      { name: 'Zoned', place: '', date: '2026-12-02', start: '19:00', end: '21:00' },
      { name: 'Day', place: '', date: '2026-12-03', start: null, end: null },
    ]);
  });
  it('may repeat, without end for two years of weeks at most', () => {
    const weekly = (rule: string) =>
      readCalendar(
        calendar(...event('SUMMARY:Tuesdays', 'DTSTART:20261020T193000', `RRULE:${rule}`)),
        london,
      );
    const { dates, notTaken } = weekly('FREQ=WEEKLY;COUNT=3');
    expect(dates.map(({ date, start }) => [date, start])).toEqual([
      ['2026-10-20', '19:30'],
      ['2026-10-27', '19:30'],
      ['2026-11-03', '19:30'],
    ]);
    expect(notTaken).toEqual(['Tuesdays: its dates are taken one by one.']);
    expect(weekly('FREQ=WEEKLY').dates).toHaveLength(104);
    // A rule that never comes true ends too.
    expect(weekly('FREQ=YEARLY;UNTIL=20270101').dates).toHaveLength(1);
  });
  const tuesdays = (...more: string[]) =>
    calendar(
      ...event('SUMMARY:Tuesdays', 'DTSTART:20261020T193000', 'DTEND:20261020T213000', ...more),
    );
  const days = (text: string, reading = london) =>
    readCalendar(text, reading).dates.map(({ date, start }) => `${date} ${start}`);

  it('may have dates taken out, added, moved and cancelled', () => {
    const rule = 'RRULE:FREQ=WEEKLY;COUNT=4';
    expect(days(tuesdays(rule, 'EXDATE:20261027T193000', 'RDATE:20261029T180000'))).toEqual([
      '2026-10-20 19:30',
      '2026-10-29 18:00',
      '2026-11-03 19:30',
      '2026-11-10 19:30',
    ]);
    const changed = calendar(
      ...event('SUMMARY:Tuesdays', 'DTSTART:20261020T193000', rule),
      ...event(
        'SUMMARY:In the crypt',
        'RECURRENCE-ID:20261027T193000',
        'DTSTART:20261028T180000',
        'LOCATION:Crypt',
      ),
      ...event('STATUS:CANCELLED', 'RECURRENCE-ID:20261103T193000', 'DTSTART:20261103T193000'),
    );
    expect(days(changed)).toEqual(['2026-10-20 19:30', '2026-10-28 18:00', '2026-11-10 19:30']);
    expect(readCalendar(changed, london).dates[1]).toMatchObject({
      name: 'In the crypt',
      place: 'Crypt',
    });
    const off = calendar(
      ...event('SUMMARY:Off', 'STATUS:CANCELLED', 'DTSTART:20261201T193000'),
      ...event('SUMMARY:On', 'DTSTART:20261202T193000'),
    );
    expect(days(off)).toEqual(['2026-12-02 19:30']);
  });
  it('may name a zone without saying what it is', () => {
    const zoned = (zone: string) =>
      calendar(...event('SUMMARY:x', `DTSTART;TZID=${zone}:20261202T210000`));
    expect(days(zoned('Europe/Oslo'))).toEqual(['2026-12-02 20:00']);
    expect(days(zoned('Fern/Nowhere'))).toEqual(['2026-12-02 21:00']);
    expect(readCalendar(zoned('Fern/Nowhere'), london).notTaken).toEqual([
      'x: its time zone is not known; taken as your clock.',
    ]);
  });
  it('may be several calendars in one file', () => {
    const one = calendar(...event('SUMMARY:a', 'DTSTART:20261201T193000'));
    const other = calendar(...event('SUMMARY:b', 'DTSTART:20261202T193000'));
    expect(days(one + other)).toEqual(['2026-12-01 19:30', '2026-12-02 19:30']);
  });
  it('is read from today on: what began years ago comes as it goes on', () => {
    const old = calendar(
      ...event('SUMMARY:Old', 'DTSTART:20100105T193000', 'RRULE:FREQ=WEEKLY'),
      ...event('SUMMARY:Past', 'DTSTART:20200105T193000'),
    );
    const read = readCalendar(old, london);
    expect(read.dates).toHaveLength(104);
    expect(read.dates[0]!.date).toBe('2026-10-06');
    expect(read.notTaken).toContain('One date has passed.');
    // Where nothing comes, what has passed is better than nothing.
    expect(days(tuesdays(), { ...london, today: '2027-01-01' })).toEqual(['2026-10-20 19:30']);
  });
  it.each([
    ['nothing', ''],
    ['a letter', 'Dear choir'],
    ['a card', 'BEGIN:VCARD\r\nVERSION:4.0\r\nFN:X\r\nEND:VCARD\r\n'],
    ['a calendar without dates', calendar()],
  ])('that is %s is refused in words', (_, text) => {
    expect(() => readCalendar(text, london)).toThrow(UnreadableFile);
  });
});
