import type { Exercise } from '@wide-fern/contract';
import {
  arrangements,
  computeSegment,
  hasKeys,
  mixedChoir,
  offsetsOf,
  registerZone,
  sharedKeys,
  speechZoneOf,
  usualSections,
  type ChoirPart,
  type PartNeed,
  type Section,
} from '@wide-fern/core';
import { exercises } from '..';

/** Who sings: the mixed choir, eight parts, high voices alone and low voices alone. */
const choirs: readonly (readonly [string, readonly ChoirPart[]])[] = [
  ['four parts', mixedChoir],
  ...arrangements
    .filter(({ id }) => ['mixed-eight', 'treble', 'male'].includes(id))
    .map(({ id, parts }) => [id, parts] as const),
];
const sections = choirs.map(([name, parts]) => [name, usualSections(parts)] as const);
const keyed = exercises.filter(({ music }) => hasKeys(music)).map((one) => [one.id, one] as const);

/** Music that goes to a tone below the top of what every part finds easy, and to its low end. */
const demanding = (of: readonly Section[]): PartNeed[] =>
  of.map(({ id, comfort: [lowest, top] }) => ({
    ...{ part: id, lowest, highest: top - 2, lowestIn: 'A piece', highestIn: 'A piece' },
  }));

function sung(exercise: Exercise, of: readonly Section[], needs: readonly PartNeed[] = []) {
  const choices = { ...exercise.usual, start: null };
  const { keys, repetitions } = computeSegment(
    { id: exercise.id, exercise, choices },
    { sections: of, needs },
  );
  const notes = repetitions.flatMap(({ parts }) =>
    parts.flatMap((one) => (one.does === 'sing' ? [{ ...one.fit, part: one.part }] : [])),
  );
  return { keys, notes };
}

describe.each(sections)('the usual keys for %s', (_, of) => {
  it.each(keyed)('of %s exist', (__, exercise) => {
    const { keys } = sung(exercise, of, []);
    expect(keys.kind !== 'none' && keys.sung !== undefined).toBe(true);
  });
  it.each(keyed.filter(([, { anchor }]) => anchor === 'speech'))(
    'of %s stay where each part speaks',
    (__, exercise) => {
      const { notes } = sung(exercise, of);
      expect(notes.length).toBeGreaterThan(0);
      for (const { part, low, high } of notes) {
        const [from, to] = speechZoneOf(of.find(({ id }) => id === part)!);
        expect([part, low >= from, high <= to]).toEqual([part, true, true]);
      }
    },
  );
  it.each(keyed.filter(([, { anchor }]) => anchor === 'low'))(
    'of %s bring the lowest part, and half of all, to the low end of what is easy',
    (__, exercise) => {
      const { notes } = sung(exercise, of);
      const arrived = of.filter(({ id, comfort: [low] }) =>
        notes.some((one) => one.part === id && one.low <= low),
      );
      expect(arrived.map(({ id }) => id)).toContain(of.at(-1)!.id);
      expect(arrived.length).toBeGreaterThanOrEqual(of.length / 2);
    },
  );
  it.each(keyed.filter(([, { anchor }]) => anchor === 'light'))(
    'of %s lie at one sounding pitch, where everyone sings lightly',
    (__, exercise) => {
      const { keys } = sung(exercise, of);
      if (keys.kind !== 'ladder' || !keys.sung) throw new Error('There should be a ladder.');
      expect(new Set(keys.problem.sections.map(({ octave }) => octave))).toEqual(new Set([0]));
      for (const { moves } of keys.sung.paths) {
        for (const move of moves) expect(move === 'rest' || move % 12 === 0).toBe(true);
      }
    },
  );
  it.each(keyed.filter(([, { anchor }]) => anchor === 'top'))(
    'of %s come within a minor third of the goal of demanding music',
    (__, exercise) => {
      const { keys } = sung(exercise, of, demanding(of));
      if (keys.kind !== 'ladder' || !keys.sung) throw new Error('There should be a ladder.');
      const { goalTonic } = keys.problem;
      expect(goalTonic).toBeDefined();
      expect(goalTonic! - Math.max(...keys.sung.tonics)).toBeLessThanOrEqual(3);
    },
  );
});

describe('what an exercise says it is for is what its usual keys do, for four parts', () => {
  const [, four] = sections[0]!;
  const of = (id: string) => four.find((section) => section.id === id)!;
  it.each(keyed.filter(([, { purposes }]) => purposes.includes('top notes')))(
    '%s brings a part within a third of its top',
    (_, exercise) => {
      const { notes } = sung(exercise, four, demanding(four));
      expect(notes.some(({ part, high }) => of(part).comfort[1] - high <= 4)).toBe(true);
    },
  );
  it.each(keyed.filter(([, { purposes }]) => purposes.includes('low notes')))(
    '%s brings a part within a third of its low end',
    (_, exercise) => {
      const { notes } = sung(exercise, four);
      expect(notes.some(({ part, low }) => low - of(part).comfort[0] <= 4)).toBe(true);
    },
  );
  it.each(keyed.filter(([, { purposes }]) => purposes.includes('register change')))(
    '%s crosses a part’s change of register',
    (_, exercise) => {
      const { notes } = sung(exercise, four, demanding(four));
      const middle = (id: string) => {
        const { zone } = registerZone([], mixedChoir.find((part) => part.id === id)!.change);
        return (zone[0] + zone[1]) / 2;
      };
      expect(notes.some(({ part, low, high }) => low < middle(part) && high > middle(part))).toBe(
        true,
      );
    },
  );
  it.each(keyed.filter(([, { purposes }]) => purposes.includes('light register')))(
    '%s is sung light, or slides through an octave',
    (_, { anchor, music }) => {
      const offsets = offsetsOf(music);
      const isOctave = Math.max(...offsets) - Math.min(...offsets) >= 12;
      expect(anchor === 'light' || (music.kind === 'glide' && isOctave)).toBe(true);
    },
  );
});

describe('keys that suit every part of a mixed choir', () => {
  it.each(keyed)('of %s are three, or it is said how the parts relay', (_, exercise) => {
    const shared = sharedKeys(exercise, mixedChoir)!.length;
    if (exercise.anchor === 'light' || exercise.anchor === 'low') return;
    expect([shared >= 3 || exercise.relay !== undefined]).toEqual([true]);
    expect(shared).toBeLessThanOrEqual(40);
  });
});
