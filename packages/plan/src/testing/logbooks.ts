import type { Logbook, Logged } from '@wide-fern/contract';

const uuid = (kind: number, n: number) =>
  `00000000-0000-4000-8${String(kind).padStart(3, '0')}-${String(n).padStart(12, '0')}`;
const startOf = (day: string): string => `${day}T19:30:00.000Z`;

/** An exercise as it was led for a minute, with ten seconds of talk. */
export const ledOnce = (exercise: string, more: Partial<Logged> = {}): Omit<Logged, 'run'> => ({
  ...{ exercise, name: exercise, phase: 'range', purposes: ['top notes'] },
  ...{ talk: 10, singing: 60, top: 62, managed: null },
  ...more,
});

/** A logbook of evenings on these days, each with what was led in its one warm-up. */
export function logbookOf(
  evenings: readonly { readonly day: string; readonly led: readonly Omit<Logged, 'run'>[] }[],
  more: Partial<Logbook> = {},
): Logbook {
  return {
    evenings: evenings.map(({ day }, i) => ({
      id: uuid(1, i),
      startsAt: startOf(day),
      name: null,
    })),
    runs: evenings.flatMap(({ day, led }, i) =>
      led.length === 0
        ? []
        : [
            {
              ...{ id: uuid(2, i), evening: uuid(1, i), item: 'warm-up', startedAt: startOf(day) },
              ...{ allotted: 900, planned: 70 * led.length },
              real: led.reduce((sum, { talk, singing }) => sum + talk + singing, 0),
            },
          ],
    ),
    led: evenings.flatMap(({ led }, i) => led.map((one) => ({ ...one, run: uuid(2, i) }))),
    judged: [],
    pieces: [],
    lastLed: [],
    ...more,
  };
}

export const pieceId = (n: number): string => uuid(3, n);
