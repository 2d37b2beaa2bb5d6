import { sectionsChange } from '@wide-fern/plan';
import { documentOf, tonight } from '@wide-fern/plan/testing';
import type { Tonight } from '@wide-fern/core';
import { bandChangeInWords, sectionsChangeInWords, segmentChangeInWords } from './carryOver';
import { madeForInWords } from './madeFor';

const withBasses = (comfort: [number, number], more: object = {}): Tonight => ({
  ...tonight,
  sections: tonight.sections.map((one) => (one.id === 'B' ? { ...one, comfort, ...more } : one)),
});
const document = documentOf('coat-off', 'narrow-hum', 'slate-steps');

describe('sections that changed since a plan was made', () => {
  it('are named with both ranges, and what becomes of each segment', () => {
    const now = withBasses([48, 58]);
    const change = sectionsChange(document, now)!;
    expect(change.sections.map((one) => bandChangeInWords(one, 'flats'))).toEqual([
      'The basses sing C3–B♭3 easily now, G2–D4 when this plan was made.',
    ]);
    const words = change.segments.map((one) => segmentChangeInWords(one, now, 'flats'));
    expect(words.find((text) => text.startsWith('Slate steps'))).toMatch(
      /^Slate steps: (basses (beyond their comfort|out of reach) in .+\. )?It would be .+\.$/,
    );
  });
  it('are said in one sentence or two, with how many segments they touch', () => {
    expect(sectionsChangeInWords(sectionsChange(document, withBasses([48, 58]))!, 'flats')).toMatch(
      /^The basses sing C3–B♭3 easily now, .+ (Two segments no longer fit|One segment no longer fits)\.$/,
    );
    const hardly = sectionsChange(documentOf('coat-off'), withBasses([48, 58]))!;
    expect(sectionsChangeInWords(hardly, 'flats')).toMatch(/Every key stays as it is\.$/);
  });
  it('say whom a plan was made for', () => {
    expect(madeForInWords(withBasses([43, 62], { singers: 1, away: 2 }))).toBe(
      'for 8 S, 8 A, 8 T, 1 B (two away)',
    );
    expect(madeForInWords({ ...tonight, condition: 'morning' })).toMatch(/, in the morning$/);
    const nobody = tonight.sections.map((band) => ({ ...band, singers: 0 }));
    expect(madeForInWords({ ...tonight, sections: nobody })).toBe(
      'for what each part usually sings',
    );
  });
});
