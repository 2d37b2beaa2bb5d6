import type { Tonight } from '@wide-fern/core';
import { ledPlan, planNow, renewedHere, runAt, sectionsChange } from '@wide-fern/plan';
import { documentOf, tonight } from '@wide-fern/plan/testing';
import { putAnewInWords } from './here';
import { standOf } from './stand';

/** Sopranos of five notes: with them a scale of an octave has no key. */
const narrow: Tonight = {
  ...tonight,
  sections: tonight.sections.map((one) =>
    one.id === 'S' ? { ...one, comfort: [62, 67], reach: [61, 68] } : one,
  ),
};

describe('when it was said who is here', () => {
  it('tells how many have other keys, and which have none', () => {
    expect(putAnewInWords({ segments: [] })).toBe('Weighed anew: every key stays as it is.');
    const easy = { ...tonight, sections: tonight.sections.map((one) => ({ ...one })) };
    easy.sections[0] = { ...easy.sections[0]!, comfort: [60, 72] };
    const change = sectionsChange(documentOf('coat-off', 'narrow-hum', 'slate-steps'), easy)!;
    expect(putAnewInWords(change)).toMatch(
      /^Weighed anew: (one exercise has|two exercises have) other keys or other rests\.$/,
    );
    expect(putAnewInWords(sectionsChange(documentOf('slate-steps'), narrow)!)).toBe(
      '“Slate steps”: no key fits everybody who is here; leave it out.',
    );
  });

  it('the stand says so too, instead of a key', () => {
    const document = documentOf('coat-off', 'slate-steps');
    const plan = ledPlan({ startedAt: '2026-12-01T18:30:00.000Z', seconds: 900, document });
    const act = renewedHere(document, narrow, runAt(plan, []));
    const events = [
      { id: 'a', n: 0, at: 0, act },
      { id: 'b', n: 1, at: 1, act: { kind: 'opened' as const, segment: 'slate-steps' } },
    ];
    const state = runAt(plan, events);
    expect(standOf(planNow(plan, events, state), state, 'flats')).toMatchObject({
      key: null,
      doing: 'No key fits everybody who is here; leave it out.',
    });
  });
});
