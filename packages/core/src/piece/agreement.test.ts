import fc from 'fast-check';
import { purposes, type Purpose } from '../exercise/vocabulary';
import { agreements, judgedTwice, nearPairs, sharedTarget, type JudgesCard } from './agreement';

const card = (
  judge: string | null,
  scores: Partial<Record<Purpose, number>>,
  target: Purpose | null = null,
): JudgesCard => ({
  judge,
  scores: Object.entries(scores).map(([skill, score]) => ({ skill: skill as Purpose, score })),
  target,
});

const some = purposes.slice(0, 4);
const cards = fc
  .array(
    fc.record({
      scores: fc
        .uniqueArray(
          fc.record({ skill: fc.constantFrom(...some), score: fc.integer({ min: 1, max: 5 }) }),
          { selector: ({ skill }) => skill, maxLength: 4 },
        )
        .map((scores) => scores),
      target: fc.option(fc.constantFrom(...some)),
    }),
    { maxLength: 7 },
  )
  .map((list): JudgesCard[] => list.map((one, i) => ({ judge: `judge ${i}`, ...one })));

describe('what several judges say of a run', () => {
  it('is told skill by skill, in the order asked for, without those nobody judged', () => {
    const all = [card('a', { tuning: 4, blend: 3 }), card('b', { tuning: 2 }), card('c', {})];
    expect(agreements(all, ['blend', 'legato', 'tuning'])).toEqual([
      { skill: 'blend', scores: [3], middle: 3, nearness: 'alone' },
      { skill: 'tuning', scores: [2, 4], middle: 2, nearness: 'apart' },
    ]);
    expect(agreements([card('a', { tuning: 3 }), card('b', { tuning: 3 })], ['tuning'])).toEqual([
      { skill: 'tuning', scores: [3, 3], middle: 3, nearness: 'same' },
    ]);
    expect(agreements([card('a', { tuning: 3 }), card('b', { tuning: 4 })], ['tuning'])).toEqual([
      { skill: 'tuning', scores: [3, 4], middle: 3, nearness: 'near' },
    ]);
  });

  it('has in its middle what at least half say or undercut, and no better one has that', () => {
    fc.assert(
      fc.property(cards, (list) => {
        for (const { skill, scores, middle } of agreements(list, some)) {
          const said = list.flatMap(
            (one) => one.scores.find((score) => score.skill === skill)?.score ?? [],
          );
          expect(scores).toEqual([...said].sort());
          const holds = (score: number) =>
            2 * said.filter((one) => one <= score).length >= said.length;
          expect(said).toContain(middle);
          expect(holds(middle)).toBe(true);
          expect(said.filter((one) => one < middle && holds(one))).toEqual([]);
        }
      }),
    );
  });

  it('counts each pair of judges on each skill once', () => {
    fc.assert(
      fc.property(cards, (list) => {
        const between = list.flatMap((one, i) =>
          list
            .slice(i + 1)
            .flatMap((other) =>
              one.scores.flatMap(({ skill, score }) =>
                other.scores
                  .filter((theirs) => theirs.skill === skill)
                  .map((theirs) => Math.abs(theirs.score - score)),
              ),
            ),
        );
        expect(nearPairs(agreements(list, some))).toEqual({
          pairs: between.length,
          near: between.filter((apart) => apart <= 1).length,
        });
      }),
    );
  });
});

describe('the target several judges share', () => {
  it('is what most name; of as many the one judged lower, and one that was judged before one that was not', () => {
    expect(sharedTarget([])).toBeUndefined();
    expect(sharedTarget([card('a', { tuning: 2 })])).toBeUndefined();
    const most = [card('a', {}, 'blend'), card('b', {}, 'tuning'), card('c', {}, 'blend')];
    expect(sharedTarget(most)).toEqual({ skill: 'blend', named: 2, of: 3 });
    const lower = [
      card('a', { legato: 4, tuning: 2 }, 'legato'),
      card('b', { legato: 3, tuning: 3 }, 'tuning'),
      card('c', {}, 'posture'),
    ];
    expect(sharedTarget(lower)).toEqual({ skill: 'tuning', named: 1, of: 3 });
    expect(sharedTarget([card('a', {}, 'legato'), card('b', {}, 'posture')])).toMatchObject({
      skill: 'posture',
    });
  });

  it('is never named less often than another, nor, as often, judged higher', () => {
    fc.assert(
      fc.property(cards, (list) => {
        const shared = sharedTarget(list);
        const count = (skill: Purpose) => list.filter(({ target }) => target === skill).length;
        const middle = (skill: Purpose) => agreements(list, [skill])[0]?.middle ?? 6;
        expect(shared === undefined).toBe(list.every(({ target }) => target === null));
        if (!shared) return;
        expect(shared).toMatchObject({ named: count(shared.skill), of: list.length });
        for (const other of some) {
          expect(count(other)).toBeLessThanOrEqual(shared.named);
          if (count(other) === shared.named) {
            expect(middle(shared.skill)).toBeLessThanOrEqual(middle(other));
          }
        }
      }),
    );
  });
});

describe('a run judged after another', () => {
  it('says the middle then and now, and to how many of those who judged both it was better', () => {
    const first = [
      card('a', { tuning: 2, blend: 3 }),
      card('b', { tuning: 3 }),
      card('c', { tuning: 4 }),
      card(null, { tuning: 1 }),
    ];
    const second = [
      card('c', { tuning: 3 }),
      card('a', { tuning: 4, legato: 5 }),
      card('d', { tuning: 5, blend: 3 }),
      card(null, { tuning: 5 }),
    ];
    expect(judgedTwice(first, second, ['legato', 'tuning', 'blend'])).toEqual([
      { skill: 'tuning', from: 2, to: 4, better: 1, same: 0, worse: 1 },
      { skill: 'blend', from: 3, to: 3, better: 0, same: 0, worse: 0 },
    ]);
  });
  it('says the contrary the other way round', () => {
    fc.assert(
      fc.property(cards, cards, (first, second) => {
        const there = judgedTwice(first, second, some);
        const back = judgedTwice(second, first, some);
        expect(back).toEqual(
          there.map(({ skill, from, to, better, same, worse }) => ({
            ...{ skill, from: to, to: from },
            ...{ better: worse, same, worse: better },
          })),
        );
      }),
    );
  });
});
