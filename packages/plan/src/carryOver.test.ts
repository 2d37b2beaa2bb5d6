import type { Tonight } from '@wide-fern/core';
import { documentOf, tonight } from './testing/plans';
import { evaluate } from './evaluate';
import { sectionsChange, takeTonight } from './carryOver';
import { performAll } from './edit/perform';

const withBasses = (comfort: [number, number], more: object = {}): Tonight => ({
  ...tonight,
  sections: tonight.sections.map((band) =>
    band.id === 'B' ? { ...band, comfort, ...more } : band,
  ),
});
const document = documentOf('coat-off', 'narrow-hum', 'slate-steps');

describe('sections that changed since a plan was made', () => {
  it('are not spoken of while they are the same', () => {
    expect(sectionsChange(document, tonight)).toBeUndefined();
    // Another singer in the same band changes no key.
    expect(sectionsChange(document, withBasses([43, 62], { singers: 7, away: 1 }))).toBeUndefined();
  });
  it('are not spoken of when only the database wrote the words in another order', () => {
    const needs = tonight.needs.map(({ part, ...rest }) => ({ ...rest, part })).reverse();
    expect(sectionsChange(document, { ...tonight, needs })).toBeUndefined();
    const higher = tonight.needs.map((need) => ({ ...need, highest: need.highest + 1 }));
    expect(sectionsChange(document, { ...tonight, needs: higher })?.sections).toEqual([]);
  });
  it('are named, with the segments that no longer fit and the ladder they would have', () => {
    const now = withBasses([48, 58]);
    const change = sectionsChange(document, now)!;
    expect(change.sections).toEqual([
      { before: tonight.sections[3], now: expect.objectContaining({ comfort: [48, 58] }) },
    ]);
    expect(change.segments.map(({ segment }) => segment.id)).toContain('slate-steps');
  });
  it('are taken over with one edit: every ladder is the one for tonight', () => {
    const now = withBasses([48, 58]);
    const taken = performAll(document, [takeTonight(document, now)]);
    expect(taken.tonight).toBe(now);
    expect(sectionsChange(taken, now)).toBeUndefined();
    const offered = sectionsChange(document, now)!.segments;
    const computed = evaluate(taken, 900).segments;
    for (const { segment, change } of offered) {
      const sung = computed.find((one) => one.segment.id === segment.id)!.computed;
      expect(sung.repetitions).toEqual(change.now.repetitions);
    }
  });
  it('let a start chosen by hand go only where it does not fit any more', () => {
    const chosen = {
      ...document,
      segments: document.segments.map((one) =>
        one.id === 'slate-steps' ? { ...one, choices: { ...one.choices, start: 60 } } : one,
      ),
    };
    const start = (now: Tonight) =>
      performAll(chosen, [takeTonight(chosen, now)]).segments.find(
        ({ id }) => id === 'slate-steps',
      )!.choices.start;
    expect(start(withBasses([43, 63]))).toBe(60);
    expect(start(withBasses([52, 54], { reach: [52, 54] }))).toBeNull();
  });
});
