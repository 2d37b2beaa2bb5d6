import { isPitched } from '@wide-fern/core';
import { needMetInWords, sungWords } from '..';
import { choose, evaluate, decidingNeed, highestSung, needMet, performAll } from '@wide-fern/plan';
import { documentOf, tonight } from '@wide-fern/plan/testing';
import {
  breathInWords,
  clockIn,
  endInWords,
  likelyLongerInWords,
  keyPath,
  ladderHeading,
  leftInWords,
  strideInWords,
  timeInWords,
  wordingFor,
} from './words';
import { dayInWords } from '../dates';

const one = (id: string, changed = {}) =>
  evaluate(performAll(documentOf(id), [choose(id, changed)]), 900).segments[0]!;
const start = Date.parse('2026-12-01T19:30:00Z');
const clock = clockIn('Europe/London');

describe('what a segment is called', () => {
  it('says step or count', () => {
    expect(strideInWords(one('pulley').segment)).toBe('by semitone');
    expect(strideInWords(one('open-vowels').segment)).toBe('by tone');
    expect(strideInWords(one('long-s').segment)).toBe('four rounds');
    expect(strideInWords(one('wet-slate', { repetitions: 1 }).segment)).toBe('once');
    expect(strideInWords(one('coat-off').segment)).toBe('five moves');
  });
  it('says how the keys go', () => {
    const heading = (changed: object) => ladderHeading(one('pulley', changed).segment);
    expect(heading({})).toBe('Seven keys, up by semitone');
    expect(heading({ shape: 'up-and-back', step: 2 })).toBe('Seven keys, up and back by tone');
    expect(heading({ repetitions: 1 })).toBe('One key');
  });
  it('names the path of its keys', () => {
    const path = (changed: object) => {
      const { segment, computed } = one('narrow-hum', { start: 67, repetitions: 4, ...changed });
      return keyPath(computed.keys, wordingFor(tonight.sections, segment, 'flats'));
    };
    expect(path({ shape: 'down' })).toBe('G → E');
    expect(path({ shape: 'up-and-back', repetitions: 5 })).toBe('G → A → G');
    expect(path({ shape: 'outward' })).toBe('from G');
    expect(path({ repetitions: 1 })).toBe('G');
    expect(path({ start: null, repetitions: 24, step: 4 })).toBe('no key works');
  });
  it('joins the syllables of a line', () => {
    const words = (id: string) => {
      const { music } = one(id).segment.exercise;
      return isPitched(music) ? sungWords(music) : '';
    };
    expect(words('slate-steps')).toBe(
      'up the slate steps one by one and down again before the light is gone',
    );
    expect(words('pulley')).toBe('yah ah');
    expect(words('narrow-hum')).toBe('on mm');
    expect(words('open-vowels')).toBe('ee eh ah oh oo');
    expect(words('lantern-chord')).toBe('on noo');
  });
  it('counts a breath', () => {
    const { music } = one('long-s').segment.exercise;
    if (music.kind !== 'breath') throw new Error('This is counted breathing.');
    expect(breathInWords(music)).toBe('In 4, out 8 on s, rest 2 counts; each round out 2 longer.');
    const shrinking = {
      ...music,
      increment: { in: -1, hold: 0, out: 2, rest: 0 },
      least: { in: 1 },
      ...{
        emptyFirst: true,
        way: 'nose in, mouth out' as const,
        arms: { in: 'rise', out: 'sink' },
      },
    } as const;
    expect(breathInWords(shrinking)).toBe(
      'Breathe out all the air first. In 4, out 8 on s, rest 2 counts; each round out 2 longer, ' +
        'in 1 shorter, never under in 1. In by the nose, out by the mouth. The arms: in, rise; out, sink.',
    );
  });
});

describe('time in words', () => {
  it('adds up to the segment’s length', () => {
    expect(timeInWords(one('slate-steps'))).toEqual([
      'Talk 28 s, then 110 beats at 100 a minute, 66 s.',
      '4 in + 7 × 10 sung + 6 × 2 breath + 6 × 4 key.',
    ]);
    expect(timeInWords(one('coat-off'))).toEqual(['Talk 23 s, then five moves, 55 s.']);
    expect(timeInWords(one('slate-steps', { demonstrate: 'once' }))[1]).toContain('10 to show it');
  });
  it('says when it ends, how likely, and what is left', () => {
    const plan = evaluate(documentOf('coat-off', 'slate-steps'), 900);
    expect(endInWords(plan, start, clock)).toMatch(
      /^ends 19:32:52 · likely 19:3\d(–19:3\d)? · on time/,
    );
    // Two minutes that are the same are one.
    const likely = (early: number, late: number) =>
      endInWords({ ...plan, likely: { ...plan.likely, early, late } }, start, clock);
    expect(likely(20, 50)).toContain(' · likely 19:30 · ');
    expect(likely(20, 70)).toContain(' · likely 19:30–19:31 · ');
    expect(leftInWords(plan)).toBe('12:08 free');
    expect(leftInWords(evaluate(plan.document, 120))).toBe('0:52 too long');
    expect(endInWords(evaluate(plan.document, 120), start, clock)).toMatch(/^0:52 too long · ends/);
    expect(endInWords(evaluate(documentOf(), 900), start, clock)).toBe('nothing planned yet');
  });
  it('says that leading taught it takes longer', () => {
    expect(likelyLongerInWords(53)).toBe(
      'by what was led, it takes about 0:55 longer than planned.',
    );
  });
  it('keeps to the choir’s zone', () => {
    expect(dayInWords('2026-12-01T23:30:00Z', 'Europe/London')).toBe('Tue 1 Dec');
    expect(dayInWords('2026-12-01T23:30:00Z', 'Asia/Tokyo')).toBe('Wed 2 Dec');
  });
});

describe('what tonight’s music needs', () => {
  it('is decided by the part with least room', () => {
    expect(decidingNeed(tonight)?.part).toBe('S');
    expect(decidingNeed({ ...tonight, needs: [] })).toBeUndefined();
  });
  it('is met by the segment that climbs to it', () => {
    const steps = one('slate-steps');
    expect(highestSung([steps], 'S')).toBeGreaterThanOrEqual(77);
    expect(needMetInWords(needMet(steps, tonight)!, 'flats')).toBe(
      'Reaches the F5 that “Lanterns” needs.',
    );
    expect(needMet(one('narrow-hum'), tonight)).toBeUndefined();
  });
});

describe('how the keys move, in words', () => {
  const heading = (id: string, changed: Parameters<typeof one>[1] = {}) =>
    ladderHeading(one(id, changed).segment);
  it('names the step, the scale’s own, and groups in turn', () => {
    expect(heading('slate-steps')).toBe('Seven keys, up by semitone');
    expect(heading('scale-ladder')).toBe('Five keys, up by steps of the scale');
    expect(heading('low-well')).toBe(
      'Five keys for high voices, then as many for low ones, down by tone',
    );
    expect(heading('slate-steps', { shape: 'two-runs' })).toBe(
      'Seven keys, up, then down from the start by semitone',
    );
  });
  it('says of groups which keys each has', () => {
    const { segment, computed } = one('low-well');
    expect(keyPath(computed.keys, wordingFor(tonight.sections, segment, 'flats'))).toMatch(
      /^high \S+ → \S+, low \S+ → \S+$/,
    );
  });
});
