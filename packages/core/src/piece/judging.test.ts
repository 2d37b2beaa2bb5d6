import { closedTargets, openTarget, type Judged } from './judging';

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

describe('targets that were reached', () => {
  const at = (day: number, scores: Readonly<Record<string, number>>, target?: Judged['target']) =>
    judged(`2026-11-${10 + day}`, scores, target ?? null);
  it('last from the day they were named to the day they were judged better', () => {
    const all = [
      at(0, { tuning: 2, legato: 3 }, 'tuning'),
      at(1, { tuning: 2 }, 'tuning'),
      at(2, { legato: 5 }),
      at(3, { tuning: 3 }, 'legato'),
      at(4, { legato: 1 }),
    ];
    expect(closedTargets(all.slice(0, 4))).toEqual([
      { skill: 'tuning', from: '2026-11-10', to: '2026-11-13' },
    ]);
    // What was named without being judged is reached when it is judged.
    expect(closedTargets(all).at(-1)).toEqual({
      ...{ skill: 'legato', from: '2026-11-13', to: '2026-11-14' },
    });
    expect(closedTargets(all.slice(0, 2))).toEqual([]);
  });
});
