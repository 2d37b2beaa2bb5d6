import type { Evening } from '@wide-fern/contract';
import { mixedChoir } from '@wide-fern/core';
import type { EvaluatedPlan } from '@wide-fern/plan';
import { pieceLetters } from './MusicAsks';
import { openDecisions } from './open';

const piece = '00000000-0000-4000-8000-000000000000';
const evening = {
  id: 'e',
  startsAt: '2026-12-01T19:30:00.000Z',
  endsAt: '2026-12-01T21:30:00.000Z',
  agenda: [
    { id: 'warm-up', kind: 'warm-up', title: 'Warm-up', minutes: 15, piece: null },
    { id: 'slate', kind: 'piece', title: 'Slate', minutes: 100, piece },
    { id: 'cool-down', kind: 'cool-down', title: 'Cool-down', minutes: 5, piece: null },
  ],
  tonight: {
    sections: mixedChoir.map((part) => ({ ...part, singers: 8, suits: true })),
    needs: [],
  },
  pieces: [{ id: piece, title: 'Slate', ranges: { S: [60, 70] } }],
  wishes: [],
  forbids: [],
} as unknown as Evening;
const plan = (...purposes: string[]) =>
  ({
    ...{ total: 600, chanceOnTime: 0.9, likely: { mean: 600 } },
    segments: purposes.map((one) => ({
      segment: { id: one, exercise: { name: 'Coat off', purposes: [one], needs: ['standing'] } },
    })),
  }) as unknown as EvaluatedPlan;
const open = (of: Partial<Evening>, made = plan('tuning'), isEmpty = false) =>
  openDecisions(
    { ...evening, ...of },
    {
      item: 'warm-up',
      plan: made,
      planned: [{ id: 'cool-down', isEmpty }],
      clock: (moment) => new Date(moment).toISOString().slice(11, 16),
      writing: 'flats',
    },
  );

describe('what stands open for an evening', () => {
  it('is nothing when everything is settled', () => {
    expect(open({})).toEqual([]);
  });
  it('is that it takes longer by what was led, where that makes it late', () => {
    const late = { ...plan('tuning'), chanceOnTime: 0.3, likely: { mean: 655 } } as EvaluatedPlan;
    expect(open({}, late)).toMatchObject([
      {
        words: 'By what was led, it takes about 0:55 longer than planned.',
        act: 'look at the plan',
        to: '/evenings/e/plan/warm-up',
      },
    ]);
  });
  it('is that nobody is known, and that nothing is sung', () => {
    const sections = evening.tonight.sections.map((one) => ({ ...one, singers: 0 }));
    const found = open({ tonight: { ...evening.tonight, sections }, pieces: [] });
    expect(found.map(({ id, act, to }) => [id, act, to])).toEqual([
      ['nobody', 'say who sings', '/voices/roster'],
      ['no-music', 'change the agenda', '/evenings/e'],
    ]);
  });
  it('is a cool-down without an exercise, by its clock', () => {
    expect(open({}, plan('tuning'), true)).toMatchObject([
      {
        words: 'The cool-down at 21:25 has no exercise.',
        act: 'plan it',
        to: '/evenings/e/plan/cool-down',
      },
    ]);
  });
  it('is an evening that is too full, or sets nothing aside', () => {
    const [warmUp, ...others] = evening.agenda;
    expect(open({ agenda: [{ ...warmUp!, minutes: 25 }, ...others] })[0]!.words).toBe(
      'The evening has 10 minutes too much on it.',
    );
    expect(open({ agenda: others }).map(({ words }) => words)).toContain(
      'No time is set aside for a warm-up.',
    );
  });
  it('is a target that nothing trains, as long as its piece is sung', () => {
    const wish = { piece, title: 'Slate', skill: 'diction', since: '2026-11-24', weight: 3 };
    const wishes = [wish] as Evening['wishes'];
    expect(open({ wishes })[0]!.words).toBe(
      'Nothing in the warm-up trains diction, the target of “Slate”.',
    );
    expect(open({ wishes }, plan('diction'))).toEqual([]);
    // Without a plan there is one thing to do first.
    expect(open({ wishes }, plan())).toEqual([]);
    expect(open({ wishes, agenda: evening.agenda.slice(0, 1) })).toEqual([]);
  });
  it('is an exercise that needs what the place does not allow', () => {
    expect(open({ forbids: ['floor'] })).toEqual([]);
    expect(open({ forbids: ['standing'] })[0]!.words).toBe(
      '“Coat off” needs standing, which the place does not allow.',
    );
  });
  it('is music beyond a band, with the bar that asks it', () => {
    const needs = [
      { part: 'T', highest: 69, highestIn: 'Slate', highestBar: 45, lowest: 52, lowestIn: 'Slate' },
    ];
    expect(open({ tonight: { ...evening.tonight, needs } })).toMatchObject([
      {
        words: 'Tenors go up to A4 in “Slate”, two semitones above tonight.',
        act: 'look at bar 45',
        to: `/pieces/${piece}?bars=45`,
      },
    ]);
  });
  it('is a piece nobody knows the notes of', () => {
    const pieces = [{ id: piece, title: 'Slate', ranges: {} }];
    expect(open({ pieces })).toMatchObject([{ act: 'type its notes' }]);
  });
});

describe('the letters of pieces', () => {
  it('are their first ones, or their places where two begin alike', () => {
    expect(pieceLetters(['The Heron', 'Lanterns', 'Night Ferry'])).toEqual(['H', 'L', 'N']);
    expect(pieceLetters(['Cold Iron', 'Lanterns', 'Candle'])).toEqual(['1', 'L', '3']);
  });
});
