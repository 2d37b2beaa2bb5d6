import type { Course } from '@wide-fern/contract';

type Step = Course['steps'][number];

const managed = (exercise: string, evenings: number): Step => ({
  ...{ exercise, evenings },
  need: { kind: 'managed', by: 'most' },
});
const keys = (exercise: string, count: number, evenings: number): Step => ({
  ...{ exercise, evenings },
  need: { kind: 'keys', keys: count },
});
const breath = (exercise: string, seconds: number, evenings: number): Step => ({
  ...{ exercise, evenings },
  need: { kind: 'breath', seconds },
});

/** The courses built in: exercises over weeks, each managed before the next. */
export const courses: readonly Course[] = [
  {
    id: 'longer-breath',
    name: 'A longer breath',
    purpose:
      'From a quiet eight seconds to a long phrase, by patience and never by force: whoever needs air breathes.',
    steps: [
      breath('under-the-door', 8, 2),
      breath('long-s', 10, 2),
      breath('counting-house', 13, 1),
      managed('slow-dawn', 2),
      managed('long-bow', 2),
    ],
  },
  {
    id: 'easy-top',
    name: 'An easy top',
    purpose:
      'The top is found light and from above before it is climbed to; nobody goes higher than is easy.',
    steps: [
      managed('attic-sigh', 2),
      managed('thistledown', 2),
      managed('light-down', 2),
      keys('pulley', 7, 2),
      keys('high-bridge', 5, 2),
    ],
  },
  {
    id: 'listening',
    name: 'Listening to each other',
    purpose: 'From one note for all to a chord that every part can hear as a whole.',
    steps: [
      managed('same-water', 1),
      managed('two-poles', 2),
      managed('unison-from-two', 2),
      managed('keel', 2),
      managed('lantern-chord', 2),
    ],
  },
];
