import type { Course } from '@wide-fern/contract';

/** The course the demo's choir made for itself, and for how many weeks it has followed it. */
export const demoCourse: { readonly weeks: number; readonly course: Course } = {
  weeks: 7,
  course: {
    id: 'own-course-1',
    name: 'Up to the F5 of Lanterns',
    purpose: 'So that the sopranos come to the last page with something to spare.',
    steps: [
      { exercise: 'bell-to-air', need: { kind: 'managed', by: 'most' }, evenings: 2 },
      { exercise: 'pulley', need: { kind: 'keys', keys: 7 }, evenings: 2 },
      { exercise: 'slate-steps', need: { kind: 'keys', keys: 7 }, evenings: 2 },
      { exercise: 'high-bridge', need: { kind: 'managed', by: 'most' }, evenings: 2 },
    ],
  },
};
