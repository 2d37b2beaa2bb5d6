import ICAL from 'ical.js';

/** An evening as a calendar needs it. */
export interface CalendarEvent {
  readonly id: string;
  readonly name: string;
  readonly startsAt: Date;
  readonly endsAt: Date;
  readonly place: string;
  readonly description: string;
}

const utc = (moment: Date): ICAL.Time => ICAL.Time.fromJSDate(moment, true);

/**
 * Evenings as an iCalendar file (RFC 5545). Times are moments in UTC, so that every calendar shows
 * them right in its own zone, over changes of summer time too.
 * @param written when the file is written
 */
export function writeCalendar(
  choir: string,
  events: readonly CalendarEvent[],
  written: Date,
): string {
  const calendar = new ICAL.Component('vcalendar');
  calendar.addPropertyWithValue('version', '2.0');
  calendar.addPropertyWithValue('prodid', '-//Wide Fern//Evenings//EN');
  calendar.addPropertyWithValue('name', choir);
  for (const { id, name, startsAt, endsAt, place, description } of events) {
    const event = new ICAL.Component('vevent');
    event.addPropertyWithValue('uid', `${id}@wide-fern`);
    event.addPropertyWithValue('dtstamp', utc(written));
    event.addPropertyWithValue('dtstart', utc(startsAt));
    event.addPropertyWithValue('dtend', utc(endsAt));
    event.addPropertyWithValue('summary', name);
    if (place !== '') event.addPropertyWithValue('location', place);
    if (description !== '') event.addPropertyWithValue('description', description);
    calendar.addSubcomponent(event);
  }
  return `${calendar.toString()}\r\n`;
}
