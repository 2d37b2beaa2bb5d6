import { perform } from '../edit/perform';
import { evaluate } from '../evaluate';
import { planLoad } from './planLoad';
import { remedyFor } from './remedy';
import { documentOf } from '../testing/plans';

const plan = (...ids: string[]) => evaluate(documentOf(...ids), 900);

describe('a remedy', () => {
  const strong = (() => {
    const document = documentOf('narrow-hum', 'pulley');
    const [hum, pulley] = document.segments;
    const exercise = { ...pulley!.exercise, effort: 5 };
    const choices = { ...pulley!.choices, repetitions: 12, coach: 0, start: null };
    return evaluate({ ...document, segments: [{ ...pulley!, exercise, choices }, hum!] }, 900);
  })();
  it('takes its warning away and brings no other', () => {
    const { warnings } = planLoad(strong);
    expect(warnings.map(({ code }) => code)).toContain('no-break');
    const warning = warnings.find(({ code }) => code === 'no-break')!;
    const remedy = remedyFor(warning, strong)!;
    expect(remedy.act).toBe('talk-between');
    const after = evaluate(perform(strong.document, remedy.edit)!.document, 900);
    const left = planLoad(after).warnings;
    expect(left.length).toBeLessThan(warnings.length);
    expect(left.map(({ code }) => code)).not.toContain('no-break');
  });
  it('is none where no single change helps', () => {
    const early = planLoad(strong).warnings.find(({ code }) => code === 'strong-early')!;
    // There is no resonance in it to go behind.
    expect(remedyFor(early, strong)).toBeUndefined();
  });
  it('is not needed where nothing is to be looked at', () => {
    expect(planLoad(plan('coat-off', 'narrow-hum')).warnings).toEqual([]);
  });
});
