import fc from 'fast-check';
import {
  answerCheck,
  beginCheck,
  checkNow,
  foundBy,
  startElsewhere,
  undoCheck,
  usualStart,
  type CheckProgress,
} from './rangeCheck';
import {
  beginSectionCheck,
  foundForSinger,
  nextNote,
  stillSinging,
  tick,
  turnAround,
  withReachKept,
  type SectionCheck,
} from './sectionCheck';

/** Answers a check as a singer with these limits would, until it asks for nothing more. */
function sing(check: CheckProgress, comfort: [number, number], reach: [number, number], light = 0) {
  let now = checkNow(check);
  while (now.kind === 'ask') {
    const { note, way } = now;
    const inside = ([low, high]: [number, number]) => low <= note && note <= high;
    const there = way === 'light' ? note <= light : inside(reach);
    const isEasy = way === 'light' ? there : inside(comfort);
    check = answerCheck(check, isEasy ? 'easy' : there ? 'came-out' : 'no');
    now = checkNow(check);
  }
  return check;
}

describe('a range check', () => {
  it('goes up by semitone to the last note that comes out, then down', () => {
    const check = sing(beginCheck(60), [58, 62], [57, 63]);
    expect(check.steps.map(({ note, answer }) => `${note} ${answer}`)).toEqual([
      '60 easy',
      '61 easy',
      '62 easy',
      '63 came-out',
      '64 no',
      '59 easy',
      '58 easy',
      '57 came-out',
      '56 no',
    ]);
    expect(foundBy(check)).toEqual({ comfort: [58, 62], reach: [57, 63], lightTop: null });
    expect(checkNow(check)).toEqual({ kind: 'done' });
  });
  it('looks for the light register from the highest easy note, when asked to', () => {
    const check = sing(beginCheck(50, true), [45, 54], [43, 56], 66);
    expect(foundBy(check)).toEqual({ comfort: [45, 54], reach: [43, 56], lightTop: 66 });
  });
  it('asks for another start when the first note is not easy', () => {
    const check = answerCheck(beginCheck(60), 'came-out');
    expect(checkNow(check)).toEqual({ kind: 'other-start', tried: 60 });
    expect(answerCheck(check, 'easy')).toBe(check);
    expect(checkNow(startElsewhere(check, 55))).toEqual({ kind: 'ask', way: 'up', note: 55 });
    expect(foundBy(check)).toBeUndefined();
  });
  it('takes a step back', () => {
    const check = answerCheck(answerCheck(beginCheck(60), 'easy'), 'no');
    expect(checkNow(check)).toMatchObject({ way: 'down', note: 59 });
    expect(checkNow(undoCheck(check))).toMatchObject({ way: 'up', note: 61 });
    expect(undoCheck(beginCheck(60)).steps).toEqual([]);
  });
  it('ends at the last notes there are', () => {
    const check = sing(beginCheck(60), [0, 127], [0, 127]);
    expect(foundBy(check)?.reach).toEqual([28, 96]);
  });
  it('begins in the comfortable middle', () => {
    expect(usualStart([62, 79])).toBe(67);
    expect(usualStart([43, 62])).toBe(49);
  });
  it('finds the limits of whoever sings', () => {
    fc.assert(
      fc.property(
        fc.integer({ min: 45, max: 75 }),
        fc.nat(12),
        fc.nat(12),
        fc.nat(4),
        fc.nat(4),
        (start, below, above, lower, higher) => {
          const comfort: [number, number] = [start - below, start + above];
          const reach: [number, number] = [comfort[0] - lower, comfort[1] + higher];
          const found = foundBy(sing(beginCheck(start), comfort, reach));
          expect(found).toEqual({ comfort, reach, lightTop: null });
        },
      ),
    );
  });
});

describe('a section checked at once', () => {
  const singers = ['a', 'b', 'c'];
  it('ticks off whoever drops out and turns when nobody sings any more', () => {
    let check = nextNote(nextNote(beginSectionCheck(singers, 60)));
    check = tick(tick(check, 'a'), 'b');
    expect(stillSinging(check)).toEqual(['c']);
    check = nextNote(tick(check, 'b'));
    expect(stillSinging(check)).toEqual(['b', 'c']);
    check = nextNote(tick(tick(check, 'b'), 'c'));
    expect(check).toMatchObject({ way: 'down', note: 59 });
    check = nextNote(tick(check, 'b'));
    check = turnAround(check);
    expect(check).toMatchObject({ way: 'done', reached: { up: 63, down: 58 } });
    expect(singers.map((id) => foundForSinger(check, id))).toEqual([
      [58, 61],
      [60, 62],
      [58, 62],
    ]);
    expect(nextNote(check)).toBe(check);
    expect(tick(check, 'a')).toBe(check);
  });
  it('says nothing of a singer who found no note easy', () => {
    let check = nextNote(tick(beginSectionCheck(['a'], 60), 'a'));
    check = nextNote(tick(check, 'a'));
    expect(check.way).toBe('done');
    expect(foundForSinger(check, 'a')).toBeUndefined();
  });
  it('never narrows a reach', () => {
    const before = { comfort: [60, 70], reach: [58, 75] } as const;
    expect(withReachKept([57, 72], before)).toEqual({ comfort: [57, 72], reach: [57, 75] });
    expect(withReachKept([57, 72], undefined)).toEqual({ comfort: [57, 72], reach: [57, 72] });
  });
  it('finds every comfort that holds the start', () => {
    fc.assert(
      fc.property(
        fc.array(fc.tuple(fc.nat(10), fc.nat(10)), { minLength: 1, maxLength: 30 }),
        (all) => {
          const limits = all.map(([below, above]) => [60 - below, 60 + above] as const);
          let check: SectionCheck = beginSectionCheck(
            limits.map((_, i) => String(i)),
            60,
          );
          while (check.way !== 'done') {
            for (const id of stillSinging(check)) {
              const [low, high] = limits[Number(id)]!;
              if (check.note < low || check.note > high) check = tick(check, id);
            }
            check = nextNote(check);
          }
          expect(limits.map((_, i) => foundForSinger(check, String(i)))).toEqual(limits);
        },
      ),
    );
  });
});
