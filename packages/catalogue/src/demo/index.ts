import { mixedChoir } from '@wide-fern/core';

export * from './checks';
export * from './course';
export * from './evenings';
export * from './judgings';
export * from './scores';
export * from './singers';
export * from './story';

/** The demo choir, its people and its figures; everything in it is invented. */
export const demoChoir = {
  name: 'Quarry Lane Singers',
  place: 'Canteen of the slate works',
  timeZone: 'Europe/London',
  startsAt: '19:30',
  endsAt: '21:30',
  /** Day of the week as dates count it: Tuesday. */
  weekday: 2,
  parts: mixedChoir,
  people: [
    { name: 'Imke Sandvoort', email: 'imke@quarrylane.example', role: 'director' },
    { name: 'Joss Whitlam', email: 'joss@quarrylane.example', role: 'deputy' },
    { name: 'Ruta Oksanen-Bey', email: 'ruta@quarrylane.example', role: 'reader' },
  ],
} as const;
