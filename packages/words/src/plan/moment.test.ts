import { evaluate, momentAt } from '@wide-fern/plan';
import { documentOf, tonight } from '@wide-fern/plan/testing';
import { momentOfPlanInWords } from './moment';

const plan = evaluate(documentOf('coat-off', 'long-s', 'slate-steps'), 900);
const at = (place: number, key?: number) => {
  const { placed, repetitions } = plan.segments[place]!.computed;
  const seconds = placed.from + (key === undefined ? 0 : repetitions[key]!.at);
  return momentOfPlanInWords(momentAt(plan, seconds), tonight, 'flats');
};

describe('a moment in words', () => {
  it('names what is sung, in which key, and who is not at ease', () => {
    const { repetitions } = plan.segments[2]!.computed;
    expect(at(2)).toMatch(/^Slate steps: talk, then [A-G]/);
    expect(at(2, 0)).toMatch(/^Slate steps, first key, [A-G]♭?: /);
    const last = repetitions.length - 1;
    expect(at(2, last)).toMatch(/(altos|basses).* rest/);
    const easy = repetitions.findIndex(({ parts }) =>
      parts.every((one) => one.does === 'sing' && one.fit.state === 'comfortable'),
    );
    if (easy >= 0) expect(at(2, easy)).toMatch(/: all at ease$/);
  });
  it('counts rounds and moves of what has no keys', () => {
    expect(at(0, 1)).toBe('Coat off, second move');
    expect(at(1, 2)).toBe('Long s, third round');
    expect(at(1)).toBe('Long s: talk');
    expect(momentOfPlanInWords(momentAt(plan, 5000), tonight, 'flats')).toBe('nothing planned');
  });
});
