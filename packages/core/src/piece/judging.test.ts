import { openTarget, type Judged } from './judging';

const judged = (
  judgedOn: string,
  scores: Readonly<Record<string, number>>,
  target: Judged['target'] = null,
): Judged => ({
  judgedOn,
  scores: Object.entries(scores).map(([skill, score]) => ({
    skill: skill as Judged['scores'][number]['skill'],
    score,
  })),
  target,
});

describe('the target a piece leaves open', () => {
  it('is none before one is named', () => {
    expect(openTarget([])).toBeUndefined();
    expect(openTarget([judged('2026-11-03', { tuning: 2 })])).toBeUndefined();
  });
  it('is the last one named, until its skill is judged better than then', () => {
    const first = judged('2026-11-03', { 'long outflow': 2, tuning: 4 }, 'long outflow');
    const open = { skill: 'long outflow', since: '2026-11-03', score: 2 };
    expect(openTarget([first])).toEqual({ ...open, last: 2 });
    const same = judged('2026-11-10', { 'long outflow': 2 });
    const worse = judged('2026-11-17', { 'long outflow': 1 });
    const other = judged('2026-11-17', { tuning: 5 });
    expect(openTarget([first, same, worse])).toEqual({ ...open, last: 1 });
    expect(openTarget([first, other])).toEqual({ ...open, last: 2 });
    expect(openTarget([first, judged('2026-11-24', { 'long outflow': 3 })])).toBeUndefined();
    // Once better it is not open again by being judged worse later.
    expect(openTarget([first, judged('2026-11-24', { 'long outflow': 3 }), worse])).toBeUndefined();
    expect(openTarget([first, judged('2026-11-24', {}, 'tuning')])).toMatchObject({
      skill: 'tuning',
      last: undefined,
    });
  });
  it('that was not judged when it was named is open until it is judged', () => {
    const named = judged('2026-11-03', {}, 'diction');
    expect(openTarget([named])).toMatchObject({ skill: 'diction', score: undefined });
    expect(openTarget([named, judged('2026-11-10', { diction: 1 })])).toBeUndefined();
  });
});
