import { exercises } from '@wide-fern/catalogue';
import { approaches, isPitched, variantsOf, type PlannerSetting } from '@wide-fern/core';
import fc from 'fast-check';
import { givenUpBy, leftAlone, withoutGivenUp } from './givenUp';
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

describe('what was given up, exercise by exercise', () => {
  const once = (exercise: string, day: string, tonic?: number) => ({
    exercise,
    ledAt: `2026-11-${day}T19:30:00.000Z`,
    strained: tonic === undefined ? [] : [{ part: 'A', tonic }],
  });
  it('is the lowest key of the last times, and nothing where they came through', () => {
    const led = [
      once('pulley', '24', 62),
      once('narrow-hum', '24'),
      once('pulley', '17', 61),
      once('narrow-hum', '17'),
      once('narrow-hum', '10', 60),
    ];
    expect(givenUpBy(led, {})).toEqual({ pulley: [{ part: 'A', tonic: 61 }] });
  });
  it('does not count what was led before it was refused', () => {
    const led = [once('pulley', '24'), once('pulley', '17', 61)];
    const from = (learnedFrom: string) => ({ pulley: { learnedFrom } });
    expect(givenUpBy(led, from('2026-11-20T00:00:00.000Z'))).toEqual({});
    expect(Object.keys(givenUpBy(led, from('2026-11-01T00:00:00.000Z')))).toEqual(['pulley']);
  });
  it('is left alone where nobody sings there', () => {
    const pulley = segmentOf('pulley');
    const top = Math.max(...tonicsOf(pulley));
    const given = [
      { part: 'S', tonic: top },
      { part: 'A', tonic: top + 1 },
    ];
    expect(leftAlone(pulley, tonight, given)).toEqual([given[1]]);
  });
});

describe('the planner, where keys were given up', () => {
  const setting: PlannerSetting = {
    ...{ tonight, approach: approaches[0], level: 2, ledAgo: {}, forbids: [] },
  };
  const singsAt = (
    exercise: (typeof exercises)[number],
    choices: ReturnType<typeof variantsOf>[number]['choices'],
    part: string,
    tonic: number,
  ) =>
    computed({ id: 'x', exercise, choices }, tonight).repetitions.some(
      (one) =>
        one.tonic !== undefined &&
        one.tonic >= tonic &&
        one.parts.some((sounding) => sounding.part === part && sounding.does === 'sing'),
    );
  it('brings nobody there again wherever fewer keys or a lower start can help, and changes nothing else', () => {
    const pitched = exercises.filter(({ music }) => isPitched(music));
    let lower = 0;
    fc.assert(
      fc.property(
        fc.constantFrom(...pitched),
        fc.constantFrom('S', 'A', 'T', 'B'),
        fc.integer({ min: 54, max: 76 }),
        (exercise, part, tonic) => {
          const before = variantsOf(exercise, setting);
          const now = variantsOf(exercise, {
            ...setting,
            givenUp: { [exercise.id]: [{ part, tonic }] },
          });
          for (const { candidate, choices } of now) {
            const was = before.find((one) => one.candidate.id === candidate.id);
            const usual = was?.choices ?? { ...choices, start: null };
            if (choices.start === usual.start) {
              if (!singsAt(exercise, choices, part, tonic)) continue;
              // As it is though they sing there: then nothing within six semitones helps, by trying each.
              const { keys } = computed({ id: 'x', exercise, choices }, tonight);
              if (keys.kind !== 'ladder' || !keys.sung) continue;
              for (let less = 1; less <= 6; less += 1) {
                const start = keys.sung.start - less;
                const tried = computed(
                  { id: 'x', exercise, choices: { ...choices, start } },
                  tonight,
                );
                const isSung =
                  tried.keys.kind === 'ladder' && tried.keys.sung && !tried.keys.sung.beyond;
                expect(
                  isSung && !singsAt(exercise, { ...choices, start }, part, tonic),
                ).toBeFalsy();
              }
              continue;
            }
            lower += 1;
            expect(singsAt(exercise, choices, part, tonic)).toBe(false);
            expect({ ...choices, start: null }).toEqual({ ...usual, start: null });
          }
        },
      ),
      { numRuns: 60, seed: 7 },
    );
    expect(lower).toBeGreaterThan(5);
  });
});
