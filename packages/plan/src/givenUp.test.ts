import { exercises } from '@wide-fern/catalogue';
import { isPitched } from '@wide-fern/core';
import fc from 'fast-check';
import { withoutGivenUp } from './givenUp';
import { computed } from './remembered';
import { documentOf, tonight } from './testing/plans';

const segmentOf = (id: string) => documentOf(id).segments[0]!;
const tonicsOf = (segment: ReturnType<typeof segmentOf>) =>
  computed(segment, tonight).repetitions.flatMap(({ tonic }) => tonic ?? []);

describe('keys that a part gave up', () => {
  it('are left out by fewer keys from the same start', () => {
    const pulley = segmentOf('pulley');
    const tonics = tonicsOf(pulley);
    const found = withoutGivenUp(pulley, tonight, [{ part: 'S', tonic: tonics.at(-1)! }])!;
    expect(found).toEqual({
      choices: { repetitions: tonics.length - 1, start: tonics[0] },
      top: tonics.at(-2),
      parts: ['S'],
    });
  });
  it('are no matter where nobody sings there', () => {
    const pulley = segmentOf('pulley');
    const above = Math.max(...tonicsOf(pulley)) + 1;
    expect(withoutGivenUp(pulley, tonight, [{ part: 'S', tonic: above }])).toBeUndefined();
    expect(withoutGivenUp(pulley, tonight, [])).toBeUndefined();
    expect(
      withoutGivenUp(segmentOf('long-s'), tonight, [{ part: 'S', tonic: 60 }]),
    ).toBeUndefined();
  });
  it('are begun lower where even the first is too high', () => {
    const pulley = segmentOf('pulley');
    const [first] = tonicsOf(pulley);
    const found = withoutGivenUp(pulley, tonight, [{ part: 'S', tonic: first! }]);
    if (found) expect(found.choices.start).toBeLessThan(first!);
  });
  it('are sung by nobody who gave them up, whatever the exercise, and nobody goes beyond the reach', () => {
    const pitched = exercises.filter(({ music }) => isPitched(music)).map(({ id }) => id);
    let offered = 0;
    fc.assert(
      fc.property(
        fc.constantFrom(...pitched),
        fc.constantFrom('S', 'A', 'T', 'B'),
        fc.integer({ min: 52, max: 76 }),
        (id, part, tonic) => {
          const segment = segmentOf(id);
          const found = withoutGivenUp(segment, tonight, [{ part, tonic }]);
          if (!found) return;
          offered += 1;
          const then = computed(
            { ...segment, choices: { ...segment.choices, ...found.choices } },
            tonight,
          );
          expect(then.keys.kind === 'ladder' && then.keys.sung?.beyond).toBeFalsy();
          for (const { tonic: sung, parts } of then.repetitions) {
            const one = parts.find((sounding) => sounding.part === part);
            if (one?.does === 'sing') expect(sung).toBeLessThan(tonic);
          }
        },
      ),
      { numRuns: 300 },
    );
    expect(offered).toBeGreaterThan(20);
  });
});
