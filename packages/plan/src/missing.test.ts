import { exercises } from '@wide-fern/catalogue';
import type { Wish } from '@wide-fern/contract';
import type { Purpose } from '@wide-fern/core';
import { evaluate } from './evaluate';
import { bringingMissing, stillMissing } from './missing';
import { candidate } from './remembered';
import { documentOf } from './testing/plans';

const wish = (skill: Purpose): Wish =>
  ({ piece: skill, title: 'Lanterns', skill, weight: 3 }) as unknown as Wish;
const plan = evaluate(documentOf('coat-off', 'pulley'), 900);
const served = plan.segments.flatMap(({ segment }) => segment.exercise.purposes);
const wishes = (['diction', 'tuning'] as const).map(wish);

describe('what is still missing', () => {
  it('is what is wished for and served by no segment', () => {
    expect(stillMissing(plan, [wish(served[0]!)])).toEqual([]);
    expect(stillMissing(plan, wishes)).toEqual(['diction', 'tuning']);
  });
  it('is brought by exercises that are allowed, can be sung, and have time', () => {
    const setting = { wishes, forbids: [], left: 100 };
    const found = bringingMissing(plan, exercises, setting);
    expect(found.length).toBeGreaterThan(2);
    for (const { exercise, serves } of found) {
      expect(serves.every((skill) => exercise.purposes.includes(skill))).toBe(true);
      const { seconds, keys } = candidate(exercise, plan.document.tonight);
      expect(seconds).toBeLessThanOrEqual(100);
      expect(keys.kind === 'none' || keys.sung !== undefined).toBe(true);
    }
    const forbids = [...new Set(found.flatMap(({ exercise }) => exercise.needs))];
    for (const { exercise } of bringingMissing(plan, exercises, { ...setting, forbids })) {
      expect(exercise.needs.filter((need) => forbids.includes(need))).toEqual([]);
    }
    expect(bringingMissing(plan, exercises, { ...setting, left: 5 })).toEqual([]);
    expect(bringingMissing(plan, exercises, { ...setting, wishes: [] })).toEqual([]);
  });
});
