import ICAL from 'ical.js';
import { refuse } from '../common/found';

/** A date read from a calendar, by the clock of the choir. */
export interface FoundDate {
  readonly name: string;
  readonly place: string;
  /** «2026-12-01» */
  readonly date: string;
  /** «19:30»; null for a whole day, or where it is not said. */
  readonly start: string | null;
  readonly end: string | null;
}

export interface FoundDates {
  readonly dates: readonly FoundDate[];
  /** What could not be taken, in words. */
  readonly notTaken: readonly string[];
}

/** The local date and time of a moment, by the choir's clock. */
export type LocalClock = (moment: Date) => { readonly date: string; readonly time: string };

const largest = 2_000_000;
/** Dates that repeat without end are read for two years of weeks. */
const mostTimes = 104;
const mostDates = 208;

const two = (value: number): string => String(value).padStart(2, '0');
const dateOf = ({ year, month, day }: ICAL.Time): string => `${year}-${two(month)}-${two(day)}`;
const timeOf = ({ hour, minute }: ICAL.Time): string => `${two(hour)}:${two(minute)}`;

/** A time by the choir's clock: what floats is taken as it stands, all else by its zone. */
function local(time: ICAL.Time, clock: LocalClock): { date: string; time: string | null } {
  if (time.isDate) return { date: dateOf(time), time: null };
  const floats = time.zone === ICAL.Timezone.localTimezone;
  if (floats) return { date: dateOf(time), time: timeOf(time) };
  return clock(time.toJSDate());
}

function occurrences(event: ICAL.Event): { start: ICAL.Time; end: ICAL.Time | null }[] {
  const length = event.endDate ? event.endDate.subtractDate(event.startDate) : null;
  const endOf = (start: ICAL.Time): ICAL.Time | null => {
    if (!length) return null;
    const end = start.clone();
    end.addDuration(length);
    return end;
  };
  if (!event.isRecurring()) return [{ start: event.startDate, end: endOf(event.startDate) }];
  const all: { start: ICAL.Time; end: ICAL.Time | null }[] = [];
  const iterator = event.iterator();
  for (let next = iterator.next(); next && all.length < mostTimes; next = iterator.next()) {
    all.push({ start: next, end: endOf(next) });
  }
  return all;
}

/**
 * Reads the dates of an iCalendar file: single ones and those that repeat.
 * @throws UnreadableFile with words for a person
 */
export function readCalendar(text: string, clock: LocalClock): FoundDates {
  if (text.length > largest) refuse('This calendar has more than 2 MB. Save fewer dates in it.');
  let calendar: ICAL.Component;
  try {
    const parsed = ICAL.parse(text) as unknown[];
    calendar = new ICAL.Component(
      (Array.isArray(parsed[0]) ? parsed[0] : parsed) as ConstructorParameters<
        typeof ICAL.Component
      >[0],
    );
  } catch {
    return refuse('This is no calendar file. Choose one that ends in .ics.');
  }
  if (calendar.name !== 'vcalendar') {
    refuse('This is no calendar file. Choose one that ends in .ics.');
  }
  const dates: FoundDate[] = [];
  const notTaken: string[] = [];
  for (const zone of calendar.getAllSubcomponents('vtimezone')) {
    ICAL.TimezoneService.register(zone);
  }
  for (const component of calendar.getAllSubcomponents('vevent')) {
    const event = new ICAL.Event(component);
    const name = (event.summary ?? '').trim().slice(0, 120);
    // A single changed date of one that repeats stands by itself in the file.
    if (!component.hasProperty('dtstart')) {
      notTaken.push(`${name || 'A date'} says no day.`);
      continue;
    }
    for (const { start, end } of occurrences(event)) {
      if (dates.length >= mostDates) break;
      const begins = local(start, clock);
      const ends = end ? local(end, clock) : null;
      dates.push({
        name,
        place: (event.location ?? '').trim().slice(0, 80),
        date: begins.date,
        start: begins.time,
        end: begins.time === null ? null : (ends?.time ?? null),
      });
    }
    if (event.isRecurring()) {
      notTaken.push(`${name || 'A date that repeats'}: its dates are taken one by one.`);
    }
  }
  if (dates.length === 0) refuse('There is no date in this calendar.');
  if (dates.length >= mostDates) notTaken.push(`Only the first ${mostDates} dates are taken.`);
  dates.sort((a, b) => (`${a.date} ${a.start}` < `${b.date} ${b.start}` ? -1 : 1));
  return { dates, notTaken };
}
