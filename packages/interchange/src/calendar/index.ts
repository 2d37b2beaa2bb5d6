/** Evenings as calendar files, apart from the rest: pages fetch it only when it is wanted. */
export { UnreadableFile } from '../common/found';
export { readCalendar, type FoundDate, type FoundDates, type ReadingOf } from './read';
export { writeCalendar, type CalendarEvent } from './write';
