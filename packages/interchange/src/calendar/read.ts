import ICAL from 'ical.js';
import { refuse } from '../common/found';
import { isUnknownZone, localTime } from './zones';

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

const largest = 2_000_000;
/** Dates that repeat are read for two years of weeks from today. */
const mostTimes = 104;
const mostDates = 208;
/** So many dates that have passed are gone through to come to those that come: fifty years of days. */
const mostPassed = 18_300;

/** What dates are read for: the choir's clock, and the day from which they count. */
export interface ReadingOf {
  readonly timeZone: string;
  /** «2026-12-01» */
  readonly today: string;
}

function parse(text: string): ICAL.Component[] {
  const none = 'This is no calendar file. Choose one that ends in .ics.';
  try {
    const parsed = ICAL.parse(text) as unknown[];
    // Several calendars in one file come as a list of them.
    const all = Array.isArray(parsed[0]) ? parsed : [parsed];
    const calendars = all.map(
      (one) => new ICAL.Component(one as ConstructorParameters<typeof ICAL.Component>[0]),
    );
    return calendars.every(({ name }) => name === 'vcalendar') ? calendars : refuse(none);
  } catch {
    return refuse(none);
  }
}

const zoneNamed = (component: ICAL.Component): string | undefined => {
  const named: unknown = component.getFirstProperty('dtstart')?.getParameter('tzid');
  return typeof named === 'string' ? named : undefined;
};

interface Occurrence {
  /** The event it is said by: a moved date has one of its own. */
  readonly event: ICAL.Event;
  readonly start: ICAL.Time;
  readonly end: ICAL.Time | null;
}

function single(event: ICAL.Event): Occurrence {
  return { event, start: event.startDate, end: event.endDate };
}

const isCancelled = ({ component }: ICAL.Event): boolean =>
  String(component.getFirstPropertyValue('status') ?? '').toUpperCase() === 'CANCELLED';

/** The times of an event that repeats: those that come, and as many of the last that have passed. */
function repeated(event: ICAL.Event, isPast: (time: ICAL.Time) => boolean): Occurrence[] {
  const passed: Occurrence[] = [];
  const coming: Occurrence[] = [];
  const iterator = event.iterator();
  let count = 0;
  for (let next = iterator.next(); next; next = iterator.next()) {
    count += 1;
    if (count > mostPassed || coming.length >= mostTimes) break;
    const { item, startDate, endDate } = event.getOccurrenceDetails(next);
    if (isCancelled(item)) continue;
    const one = { event: item, start: startDate, end: endDate };
    if (isPast(startDate)) {
      passed.push(one);
      if (passed.length > mostTimes) passed.shift();
    } else coming.push(one);
  }
  return coming.length > 0 ? coming : passed;
}

/** The events of a calendar, each with the dates of it that were moved. */
function eventsOf(calendar: ICAL.Component): ICAL.Event[] {
  const components = calendar
    .getAllSubcomponents('vevent')
    .filter((component) => component.hasProperty('dtstart'));
  const moved = components.filter((component) => component.hasProperty('recurrence-id'));
  const wholes = components.filter((component) => !moved.includes(component));
  const uidOf = (component: ICAL.Component) => String(component.getFirstPropertyValue('uid') ?? '');
  const known = new Set(wholes.map(uidOf));
  return [
    ...wholes.map(
      (component) =>
        new ICAL.Event(component, {
          exceptions: moved.filter((one) => uidOf(one) === uidOf(component)),
        }),
    ),
    // A moved date whose whole is not in the file stands for itself.
    ...moved.filter((one) => !known.has(uidOf(one))).map((one) => new ICAL.Event(one)),
  ];
}

const nameOf = (event: ICAL.Event): string => (event.summary ?? '').trim().slice(0, 120);

/** A calendar's dates as they are found, and what is to be said of them. */
function datesIn(calendar: ICAL.Component, { timeZone, today }: ReadingOf) {
  const dates: FoundDate[] = [];
  const notTaken: string[] = [];
  const nameless = calendar
    .getAllSubcomponents('vevent')
    .filter((component) => !component.hasProperty('dtstart'));
  for (const component of nameless) {
    notTaken.push(`${nameOf(new ICAL.Event(component)) || 'A date'} says no day.`);
  }
  for (const event of eventsOf(calendar)) {
    const named = zoneNamed(event.component);
    const at = (time: ICAL.Time) => localTime(time, named, timeZone);
    if (isCancelled(event)) continue;
    if (isUnknownZone(named)) {
      notTaken.push(
        `${nameOf(event) || 'A date'}: its time zone is not known; taken as your clock.`,
      );
    }
    const isPast = (time: ICAL.Time) => at(time).date < today;
    const times = event.isRecurring() ? repeated(event, isPast) : [single(event)];
    for (const { event: said, start, end } of times) {
      const begins = at(start);
      const ends = end ? at(end).time : null;
      dates.push({
        name: nameOf(said),
        place: (said.location ?? '').trim().slice(0, 80),
        date: begins.date,
        start: begins.time,
        end: begins.time === null || ends === begins.time ? null : ends,
      });
    }
    if (event.isRecurring()) {
      notTaken.push(`${nameOf(event) || 'A date that repeats'}: its dates are taken one by one.`);
    }
  }
  return { dates, notTaken };
}

/**
 * Reads the dates of an iCalendar file: single ones and those that repeat, moved and cancelled ones
 * as they are now. The dates that come are taken; those that have passed only where none comes.
 * Rules can be written that never end: whoever reads what strangers wrote does it where it can be stopped.
 * @throws UnreadableFile with words for a person
 */
export function readCalendar(text: string, reading: ReadingOf): FoundDates {
  if (text.length > largest) refuse('This calendar has more than 2 MB. Save fewer dates in it.');
  const calendars = parse(text);
  ICAL.TimezoneService.reset();
  for (const calendar of calendars) {
    for (const zone of calendar.getAllSubcomponents('vtimezone')) {
      ICAL.TimezoneService.register(zone);
    }
  }
  const found = calendars.map((calendar) => datesIn(calendar, reading));
  const all = found
    .flatMap(({ dates }) => dates)
    .filter(({ date }) => date >= '1900-01-01' && date < '2201-01-01')
    .sort((a, b) => (`${a.date} ${a.start}` < `${b.date} ${b.start}` ? -1 : 1));
  if (all.length === 0) refuse('There is no date in this calendar.');
  const notTaken = found.flatMap((one) => one.notTaken);
  const coming = all.filter(({ date }) => date >= reading.today);
  const wanted = coming.length > 0 ? coming : all;
  const passed = all.length - wanted.length;
  if (passed > 0) {
    notTaken.push(`${passed === 1 ? 'One date has' : `${passed} dates have`} passed.`);
  }
  if (wanted.length > mostDates) notTaken.push(`Only the next ${mostDates} dates are taken.`);
  return {
    dates: coming.length > 0 ? wanted.slice(0, mostDates) : wanted.slice(-mostDates),
    notTaken: [...new Set(notTaken)],
  };
}
