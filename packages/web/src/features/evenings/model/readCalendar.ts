import { askWithin, WorkerLost } from '@wide-fern/client';
import type { CalendarApi, CalendarReading } from './calendar.worker';
import { localOf } from './typed';

/** A calendar that takes longer is not read. */
const longest = 3000;
const tooLong = 'Reading this calendar takes too long, so it was stopped.';

/** Reads a calendar file by the choir's clock, from today on; what takes too long is refused in words. */
export async function readCalendarFile(file: File, timeZone: string): Promise<CalendarReading> {
  const text = await file.text();
  const today = localOf(new Date(), timeZone).date;
  try {
    return await askWithin<CalendarApi, CalendarReading>(
      () => new Worker(new URL('./calendar.worker.ts', import.meta.url), { type: 'module' }),
      { milliseconds: longest, tooLong },
      async (api) => api.read(text, { timeZone, today }),
    );
  } catch (error) {
    return { kind: 'refused', message: error instanceof WorkerLost ? error.message : tooLong };
  }
}
