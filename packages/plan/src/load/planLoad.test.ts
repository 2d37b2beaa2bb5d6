import { loadOf } from '@wide-fern/core';
import { choose } from '../edit/edits';
import { perform } from '../edit/perform';
import { evaluate } from '../evaluate';
import { documentOf } from '../testing/plans';
import { planLoad } from './planLoad';

describe('the load of a plan', () => {
  const first = documentOf('narrow-hum', 'slate-steps', 'pulley');
  const asWorkedOut = (document: typeof first) => {
    const plan = evaluate(document, 900);
    const known = planLoad(plan);
    expect(known).toEqual(loadOf(plan.segments, document.tonight));
    return known;
  };

  it('of segments that stayed as they were is not worked out again', () => {
    const before = asWorkedOut(first);
    const [, steps] = first.segments;
    const longer = perform(first, choose(steps!.id, { repetitions: 9 }))!.document;
    const after = asWorkedOut(longer);
    const same = after.segments.map(({ parts }, i) => parts === before.segments[i]!.parts);
    expect(same).toEqual([true, false, true]);
    // Where it lies in the evening is new all the same.
    expect(after.segments[2]!.from).toBeGreaterThan(before.segments[2]!.from);
  });

  it('is worked out again for other sections', () => {
    asWorkedOut(first);
    const sections = first.tonight.sections.map((section) => ({
      ...section,
      comfort: [section.comfort[0], section.comfort[1] - 4] as const,
    }));
    const lower = { ...first, tonight: { ...first.tonight, sections } } as typeof first;
    expect(asWorkedOut(lower)).not.toEqual(asWorkedOut(first));
  });
});
