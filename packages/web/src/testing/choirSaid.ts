import type { Choir } from '@wide-fern/contract';
import { ids } from './page';

/** A choir as the server says it, with what is otherwise in it. */
export const choirSaid = (changed: Partial<Choir> = {}): Choir => ({
  id: ids.choir,
  name: 'Low Quarry Choir',
  timeZone: 'Europe/London',
  accidentals: 'flats',
  naming: 'octaves',
  clock: '24',
  phraseSeconds: 9,
  demoUntil: null,
  closesAt: null,
  approach: 'evening-after-work',
  level: 2,
  approaches: [],
  courses: {},
  ...changed,
});
