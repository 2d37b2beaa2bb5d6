import { computeSegment } from '@wide-fern/core';
import { documentOf, tonight } from '../testing/plans';
import { choose } from './edits';
import { factsOf } from './facts';
import { perform, performAll } from './perform';
import { tellPart, toldCells, toldMove, untellPart } from './telling';

const plan = documentOf('pulley');
const tell = (
  document: typeof plan,
  ...what: Parameters<typeof tellPart> extends [unknown, ...infer R] ? R : never
) => performAll(document, [choose('pulley', tellPart(document.segments[0]!, ...what))]);

describe('what a part was told to do in a key', () => {
  it('is kept by part and place, and the rest is best around it', () => {
    const told = tell(tell(plan, 'A', 2, 'rest'), 'B', 0, -24);
    const { choices } = told.segments[0]!;
    expect(toldCells(choices.told)).toBe(2);
    expect([
      toldMove(choices, 'A', 2),
      toldMove(choices, 'A', 3),
      toldMove(choices, 'toString', 0),
    ]).toEqual(['rest', undefined, undefined]);
    const { keys } = computeSegment(told.segments[0]!, tonight);
    if (keys.kind !== 'ladder') throw new Error('It has a ladder.');
    const moves = (part: string) => keys.sung!.paths.find(({ id }) => id === part)!.moves;
    expect([moves('A')[2], moves('B')[0]]).toEqual(['rest', -24]);
    // What would be done otherwise is there beside it, from the same start.
    expect(keys.untold!.start).toBe(keys.sung!.start);
    expect(keys.sung!.cost).toBeGreaterThanOrEqual(keys.untold!.cost);
  });

  it('is taken back for one key, for a part, for all', () => {
    const told = tell(tell(tell(plan, 'A', 2, 'rest'), 'A', 3, 'rest'), 'B', 0, -24);
    const one = tell(told, 'A', 2, null).segments[0]!;
    expect(one.choices.told).toEqual({ A: { '3': 'rest' }, B: { '0': -24 } });
    expect(untellPart(one, 'A').told).toEqual({ B: { '0': -24 } });
    expect(untellPart(one, null).told).toEqual({});
    expect(tell(tell(plan, 'S', 1, 12), 'S', 1, null).segments[0]!.choices.told).toEqual({});
  });

  it('is undone whole, and counts for nothing in keys that are not sung', () => {
    const edit = choose('pulley', tellPart(plan.segments[0]!, 'A', 2, 'rest'));
    const { document, inverse } = perform(plan, edit)!;
    expect(factsOf(edit, plan, document)).toEqual([{ code: 'told', name: 'Pulley', cells: 1 }]);
    const back = perform(document, inverse)!.document;
    expect(back).toEqual(plan);
    expect(factsOf(inverse, document, back)).toEqual([{ code: 'told', name: 'Pulley', cells: 0 }]);
    const beyond = tell(plan, 'A', 40, 'rest').segments[0]!;
    expect(computeSegment(beyond, tonight)).toEqual(computeSegment(plan.segments[0]!, tonight));
  });
});
