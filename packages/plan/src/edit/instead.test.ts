import { exercises } from '@wide-fern/catalogue';
import { approaches, hasKeys, variantFor } from '@wide-fern/core';
import { choicesAtFirst } from './edits';
import { insteadFor, type InsteadSetting } from './instead';
import { documentOf, tonight } from '../testing/plans';

const setting: InsteadSetting = {
  ...{ tonight, approach: approaches[0], level: 2, ledAgo: {}, forbids: [] },
  wishes: { legato: 3, tuning: 1 },
};
const of = (id: string, changed: Partial<InsteadSetting> = {}) => {
  const [segment] = documentOf(id).segments as [ReturnType<typeof documentOf>['segments'][number]];
  return {
    segment,
    found: insteadFor(segment, exercises, { ...setting, ...changed }, new Set([id])),
  };
};

describe('what could stand instead', () => {
  it('says truly how each stands to the one it would replace', () => {
    for (const id of ['pulley', 'narrow-hum', 'coat-off', 'long-s']) {
      const { segment, found } = of(id);
      const was = segment.exercise;
      expect(found.length).toBeGreaterThan(0);
      for (const { exercise, likeness } of found) {
        if (likeness === 'family') expect(exercise.family!.id).toBe(was.family!.id);
        else {
          expect(exercise.phase).toBe(was.phase);
          expect(hasKeys(exercise.music)).toBe(hasKeys(was.music));
          expect(exercise.purposes.some((one) => was.purposes.includes(one))).toBe(true);
        }
        if (likeness === 'easier') {
          expect(exercise.difficulty).toBeLessThanOrEqual(was.difficulty);
          expect(exercise.effort).toBeLessThanOrEqual(was.effort);
          expect(exercise.difficulty + exercise.effort).toBeLessThan(was.difficulty + was.effort);
        }
        if (likeness === 'harder') {
          expect(exercise.difficulty).toBeGreaterThanOrEqual(was.difficulty);
          expect(exercise.effort).toBeGreaterThanOrEqual(was.effort);
        }
        if (likeness === 'similar') {
          expect(2 * exercise.difficulty + exercise.effort).toBe(2 * was.difficulty + was.effort);
        }
      }
    }
  });

  it('has its seconds and what it serves as the planner weighs them, most for the wishes first', () => {
    const { segment, found } = of('pulley');
    const weigh = (
      exercise: (typeof exercises)[number],
      choices = choicesAtFirst(exercise, true),
    ) => variantFor('x', exercise, choices, setting).candidate;
    const before = weigh(segment.exercise, segment.choices);
    const similar = found.filter(({ likeness }) => likeness === 'similar');
    const worth = found.map(({ served, strain, longer, likeness }) => ({
      likeness,
      worth: 4 * served - strain - Math.abs(longer) / 30,
    }));
    for (const [i, one] of worth.entries()) {
      const next = worth[i + 1];
      if (next?.likeness === one.likeness) expect(one.worth).toBeGreaterThanOrEqual(next.worth);
    }
    expect(similar.length).toBeLessThanOrEqual(5);
    for (const { exercise, longer, gains, loses } of found) {
      const now = weigh(exercise);
      expect(longer).toBe(now.seconds - before.seconds);
      const has = (one: typeof now, skill: string) => (one.serves[skill] ?? 0) > 0;
      for (const skill of gains)
        expect([has(now, skill), has(before, skill)]).toEqual([true, false]);
      for (const skill of loses)
        expect([has(now, skill), has(before, skill)]).toEqual([false, true]);
    }
  });

  it('leaves out what the place does not allow and what is in the plan already', () => {
    const all = of('pulley').found.map(({ exercise }) => exercise);
    const [first] = all;
    const [segment] = documentOf('pulley').segments;
    const inPlan = new Set(['pulley', first!.id]);
    const found = insteadFor(segment!, exercises, setting, inPlan);
    expect(found.some(({ exercise }) => exercise.id === first!.id)).toBe(false);
    const forbids = [...new Set(all.flatMap(({ needs }) => needs))];
    for (const { exercise } of of('pulley', { forbids }).found) {
      expect(exercise.needs.filter((need) => forbids.includes(need))).toEqual([]);
    }
  });

  it('has nobody sing what nobody can sing tonight', () => {
    const sections = tonight.sections.map((one) => {
      const [low] = one.comfort;
      return { ...one, comfort: [low, low + 3] as const, reach: [low - 1, low + 4] as const };
    });
    const narrow = { ...tonight, sections };
    for (const { exercise } of of('pulley', { tonight: narrow }).found) {
      const { candidate } = variantFor('x', exercise, choicesAtFirst(exercise, true), {
        ...setting,
        tonight: narrow,
      });
      if (hasKeys(exercise.music)) expect(candidate.top).not.toBeNull();
    }
  });
});
