import { sameDocument } from '../document/same';
import { documentOf } from '../testing/plans';
import { choose, takeOut } from './edits';
import { joined } from './joined';
import { perform, performAll } from './perform';

const document = documentOf('pulley');

describe('two edits as one', () => {
  it.each([
    [{ repetitions: 6, start: 60 }, { repetitions: 5 }],
    [{ coach: 5 }, { coach: undefined, tempo: 90 }],
    [{ coach: undefined }, { coach: 9 }],
    [{ tempo: 90 }, { tooHigh: 'rest' as const }],
  ])('do what both do, and are undone as both are: %j, %j', (one, other) => {
    const before = performAll(document, [choose('pulley', { coach: 3 })]);
    const first = perform(before, choose('pulley', one))!;
    const second = perform(first.document, choose('pulley', other))!;
    const both = joined(choose('pulley', one), choose('pulley', other))!;
    expect(sameDocument(performAll(before, [both]), second.document)).toBe(true);
    const back = joined(second.inverse, first.inverse)!;
    expect(sameDocument(performAll(second.document, [back]), before)).toBe(true);
  });
  it('are only joined where they choose for the same segment', () => {
    expect(
      joined(choose('pulley', { tempo: 90 }), choose('embers', { tempo: 90 })),
    ).toBeUndefined();
    expect(joined(choose('pulley', { tempo: 90 }), takeOut('pulley'))).toBeUndefined();
  });
});
