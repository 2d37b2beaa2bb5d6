import { agreements, judgedTwice, nearPairs, type JudgesCard, type Purpose } from '@wide-fern/core';
import { agreementInWords, judgedTwiceInWords, nearPairsInWords } from './judging';

const skills: readonly Purpose[] = ['tuning', 'blend'];
const cards = (...said: readonly (readonly number[])[]): JudgesCard[] =>
  said.map((scores, i) => ({
    judge: `judge ${i}`,
    scores: scores.map((score, n) => ({ skill: skills[n]!, score })),
    target: null,
  }));
const words = (...said: readonly (readonly number[])[]) =>
  agreements(cards(...said), skills).map(agreementInWords);

describe('how several judges agree, in words', () => {
  it('says what is said, and where it lies apart', () => {
    expect(words([2])).toEqual(['one card says 2']);
    expect(words([2, 3], [2, 4])).toEqual(['both say 2', '3 and 4']);
    expect(words([2], [2], [2])).toEqual(['all three say 2']);
    expect(words([2], [4], [3])).toEqual(['from 2 to 4: more than one apart']);
  });
  it('counts the pairs that lie apart', () => {
    const near = (...said: readonly (readonly number[])[]) =>
      nearPairsInWords(nearPairs(agreements(cards(...said), skills)));
    expect(near([2])).toBeUndefined();
    expect(near([2], [3])).toBe('Nobody is more than one apart from anybody.');
    expect(near([2, 1], [3, 2], [4, 2])).toMatch(/^One of six pairs of figures lies more than one/);
    expect(near([1], [3], [5])).toMatch(/^Three of three pairs of figures lie more/);
  });
  it('says what changed after something was tried, and of a few that it is one trial', () => {
    const said = (first: JudgesCard[], second: JudgesCard[], tried = '', group = '') =>
      judgedTwiceInWords(judgedTwice(first, second, skills), { tried, group });
    expect(said(cards([2, 3], [2, 3]), cards([3, 3], [2, 3]), 'Embers')).toBe(
      'After “Embers”: tuning 2 as before (better to one, the same to one) and blend 3 as before (the same to both).',
    );
    expect(said(cards([2], [2]), cards([3], [4]), '', 'a few')).toBe(
      'Beside the time before: tuning from 2 to 3 (better to both). That is one trial with a few: judge it again with the whole choir.',
    );
    expect(said(cards([4]), cards([3]))).toBe(
      'Beside the time before: tuning from 4 to 3 (worse to the one judge).',
    );
    // Others judged the second time: nobody says it was better or worse.
    expect(said(cards([2]), [{ ...cards([3])[0]!, judge: 'another' }])).toBe(
      'Beside the time before: tuning from 2 to 3.',
    );
    expect(said(cards([2]), [])).toBeUndefined();
  });
});
