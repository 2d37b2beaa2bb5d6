import type { Evening } from '@wide-fern/contract';
import { tonight } from '@wide-fern/plan/testing';
import { ids } from './page';

/** An evening of the demo’s choir that begins with its warm-up, fifteen minutes unless it is said. */
export const eveningFor = (minutes = 15): Evening => ({
  id: ids.one,
  version: 1,
  name: null,
  startsAt: '2026-12-01T19:30:00.000Z',
  endsAt: '2026-12-01T21:30:00.000Z',
  place: 'Quarry Lane Hall',
  occasion: 'evening after work',
  forbids: [],
  agenda: [
    { id: 'warm-up', kind: 'warm-up', title: 'Warm-up', minutes, piece: null },
    { id: 'break', kind: 'break', title: 'Break', minutes: 15, piece: null },
  ],
  tonight: { sections: [...tonight.sections], needs: [...tonight.needs] },
  pieces: [],
  withEveryone: [...tonight.sections] as Evening['withEveryone'],
  asUsual: [...tonight.sections] as Evening['asUsual'],
  wishes: [],
});
