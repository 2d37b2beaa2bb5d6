import { TZDate } from '@date-fns/tz';
import ICAL from 'ical.js';

/** A date and a time by the clock of the choir; no time for a whole day. */
export interface LocalTime {
  readonly date: string;
  readonly time: string | null;
}

const two = (value: number): string => String(value).padStart(2, '0');
const asWritten = ({ year, month, day, hour, minute, isDate }: ICAL.Time): LocalTime => ({
  date: `${year}-${two(month)}-${two(day)}`,
  time: isDate ? null : `${two(hour)}:${two(minute)}`,
});

/** Whether the platform knows a time zone by this name. */
function isKnown(zone: string): boolean {
  try {
    new Intl.DateTimeFormat('en', { timeZone: zone });
    return true;
  } catch {
    return false;
  }
}

function byClock(moment: Date, timeZone: string): LocalTime {
  const local = new TZDate(moment.getTime(), timeZone);
  return {
    date: `${local.getFullYear()}-${two(local.getMonth() + 1)}-${two(local.getDate())}`,
    time: `${two(local.getHours())}:${two(local.getMinutes())}`,
  };
}

/**
 * A time by the choir's clock. What floats is taken as it stands; a zone that the file only names is
 * the platform's of that name; one that nobody knows is taken as it stands too.
 * @param named the zone's name as the file gives it, where it gives one
 */
export function localTime(time: ICAL.Time, named: string | undefined, timeZone: string): LocalTime {
  if (time.isDate) return asWritten(time);
  const floats = time.zone === ICAL.Timezone.localTimezone;
  if (!floats) return byClock(time.toJSDate(), timeZone);
  if (named === undefined || !isKnown(named)) return asWritten(time);
  const { year, month, day, hour, minute } = time;
  return byClock(
    new Date(new TZDate(year, month - 1, day, hour, minute, named).getTime()),
    timeZone,
  );
}

/** Whether a zone is only named in a file, and nobody knows it. */
export const isUnknownZone = (named: string | undefined): boolean =>
  named !== undefined && !ICAL.TimezoneService.has(named) && !isKnown(named);
