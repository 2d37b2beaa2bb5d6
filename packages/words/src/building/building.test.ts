import { nothingAsked, type Proposal } from '@wide-fern/plan';
import { tonight } from '@wide-fern/plan/testing';
import { approaches } from '@wide-fern/core';
import { approachName, approachWhy, approachWords } from './approaches';
import { bringsInWords, conflictInWords, givenUp } from './conflict';
import { timeToFill, upToInWords, wishesInWords } from './known';
import { leftOpenInWords } from './open';
import { signed, whyInWords, whyNotInWords } from './reasons';

const writing = { accidentals: 'flats', naming: 'octaves' } as const;
const context = {
  nameOf: (id: string) => (id === 'pulley' ? 'Pulley' : id),
  seconds: 300,
  timeOf: () => ({ least: 90, most: 120 }),
  segmentName: () => 'Slate steps',
};

describe('the sentence of what is known', () => {
  it('says the time in words where it is whole minutes', () => {
    expect([900, 300, 60, 840, 870].map(timeToFill)).toEqual([
      'Fifteen minutes',
      'Five minutes',
      'One minute',
      '14 minutes',
      '14:30',
    ]);
  });
  it('says how far up: what the music needs, or what was said', () => {
    expect(upToInWords(tonight, null, writing)).toBe('the F5 of “Lanterns”');
    expect(upToInWords(tonight, { part: 'A', note: 69 }, writing)).toBe('A4 for the altos');
    expect(upToInWords({ ...tonight, needs: [] }, null, writing)).toBeUndefined();
  });
  it('says wishes by their weight', () => {
    expect(wishesInWords({ tuning: 2, 'long outflow': 3, legato: 1 })).toBe(
      'long outflow before all, then tuning',
    );
    expect(wishesInWords({ tuning: 2, blend: 2 })).toBe('tuning and blend');
    expect(wishesInWords({ legato: 1 })).toBe('a little of everything');
  });
});

describe('approaches', () => {
  it('have each a name, and two sentences why', () => {
    for (const { id } of approaches) {
      expect(approachWords[id].name).not.toBe('');
      expect(approachWhy(id).split('. ')).toHaveLength(2);
    }
    expect(new Set(approaches.map(({ id }) => approachName(id, []))).size).toBe(approaches.length);
  });
  it('are called as the choir calls its own', () => {
    const own = [{ name: 'As we do it', approach: { ...approaches[0], id: 'ours', phases: [] } }];
    expect(approachName('ours', own)).toBe('As we do it');
    expect(approachName('gone', own)).toBe('gone');
  });
});

describe('wishes that do not fit together', () => {
  const said = {
    ...nothingAsked,
    included: ['pulley'],
    excluded: ['wet-slate'],
    limits: { breath: { least: 90 } },
  };
  const ways = (...wishes: string[]) => wishes.map((wish) => givenUp(wish, said, context));
  it('are named in one sentence', () => {
    expect(conflictInWords(ways('least:breath', 'included:pulley', 'under'))).toBe(
      'At least 1:30 of breath, Pulley and 5:00 filled do not fit together.',
    );
    expect(conflictInWords(ways('pin:present:x'))).toBe(
      'Slate steps as it is: that is not possible tonight.',
    );
  });
  it('say what giving one up brings, before it is done', () => {
    expect(bringsInWords(undefined)).toMatch(/being built/);
    expect(bringsInWords({ plan: undefined })).toBe('brings no warm-up by itself');
    const segments = [100, 200].map((seconds) => ({ candidate: { seconds } }));
    expect(bringsInWords({ plan: { segments, points: 92 } as unknown as Proposal })).toBe(
      'brings two segments in 5:00, worth 92',
    );
  });
  it('can each be given up, and only that one is', () => {
    const [breath, pulley, wet, hidden, pin, range] = ways(
      'least:breath',
      'included:pulley',
      'excluded:wet-slate',
      'excluded:hob-nails',
      'pin:present:x',
      'phase:range',
    );
    expect(breath!.next).toEqual({ ...said, limits: { breath: { least: 0 } } });
    expect(pulley!.next).toEqual({ ...said, included: [] });
    expect(wet!.next).toEqual({ ...said, excluded: [] });
    // One that is hidden for good is asked for by its name.
    expect(hidden!.next).toEqual({ ...said, included: ['pulley', 'hob-nails'] });
    expect([pin!.next, pin!.unpin]).toEqual([undefined, 'x']);
    expect(range!.next!.limits).toEqual({ breath: { least: 90 }, range: { most: 0 } });
  });
});

describe('what a plan leaves open', () => {
  const served = {
    seconds: { legato: 0, tuning: 40, blend: 200 },
    open: [{ part: 'S', end: 'top' as const, note: 77 }],
    reached: { S: { high: 74, low: 60 } },
    points: 0,
  };
  it('is what nobody comes to and what gets little, each with one act', () => {
    const wishes = { legato: 1, tuning: 3, blend: 2 } as const;
    const open = leftOpenInWords({ served }, wishes, nothingAsked, tonight, writing);
    expect(open.map(({ words, act }) => `${words} ${act}`)).toEqual([
      'Sopranos stop at D5; “Lanterns” goes to F5. wish for top notes',
      'Tuning gets only 0:40. leave it',
      'Legato gets nothing. wish for it more',
    ]);
    expect(open.map(({ next }) => next.wishes)).toEqual([
      { 'top notes': 3 },
      { tuning: 0 },
      { legato: 2 },
    ]);
  });
});

describe('why an exercise is not there', () => {
  const of = (points: number, isProven = true) =>
    whyNotInWords(
      { kind: 'loses', points, plan: {} as never, insteadOf: ['pulley'], isProven },
      'Wet slate',
      context.nameOf,
    );
  it('is what the plan would lose, and instead of what', () => {
    expect(of(7)).toBe('With Wet slate the plan would be worth 7 less. Instead of Pulley.');
    expect(of(0)).toBe('With Wet slate the plan would be worth just as much. Instead of Pulley.');
    expect(signed(-6)).toBe('−6');
  });
  it('is no more than at most so much, as long as a better one may be found', () => {
    expect(of(7, false)).toBe(
      'With Wet slate the plan would be worth at most 7 less. Instead of Pulley.',
    );
  });
});

describe('why a segment is there', () => {
  it('says below which key it keeps a part that strained there, and only what it does', () => {
    const segment = {
      ...{ share: { skills: {}, steps: [] }, own: { fresh: 3, strain: 0, level: 0, change: -6 } },
      ...{ candidate: { serves: {} }, exercise: 'pulley', choices: {} },
    } as unknown as Parameters<typeof whyInWords>[0];
    const context = { tonight, wishes: [], ledAgo: {}, writing: 'flats' } as const;
    expect(whyInWords(segment, context)).toEqual(['Never led here yet.']);
    expect(whyInWords(segment, { ...context, leftAlone: [{ part: 'A', tonic: 61 }] })).toEqual([
      'Keeps the altos below D♭, where they strained.',
      'Never led here yet.',
    ]);
  });
});
