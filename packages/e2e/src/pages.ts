import type { Evening } from '@wide-fern/contract';

/** Every page of the application that is about something, for what has to hold on each. */
export const pagesOf = ({ id }: Pick<Evening, 'id'>): readonly string[] => [
  '/',
  `/evenings/${id}/plan`,
  '/voices',
  '/voices?who',
  '/voices/roster',
  '/voices/roster/read',
  '/voices/parts',
  '/voices/room',
  '/exercises',
  '/exercises/pulley',
  '/exercises/four-corners',
  '/exercises/make/new',
  '/exercises/read/file',
  '/pieces',
  '/pieces/new',
  '/pieces/read',
  `/evenings/${id}`,
  '/evenings/dates',
  '/courses',
  '/logbook',
  '/choir',
  '/account',
  '/evenings/new',
];
