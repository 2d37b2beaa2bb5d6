import fc from 'fast-check';
import {
  bodySeconds,
  breathRounds,
  breathSeconds,
  chanceOnTime,
  keyTimes,
  learnedPace,
  learnedTalk,
  likelyLength,
  patternBeats,
  patternCounts,
  patternSeconds,
  placeAgenda,
  placeSegments,
  type PatternTiming,
} from './index';

const timing: PatternTiming = {
  talk: 30,
  demonstrate: 'no',
  countIn: 4,
  keys: 7,
  verses: 1,
  patternBeats: 10,
  breathBeats: 2,
  keyChangeBeats: 2,
  tempo: 100,
};

describe('the length of a segment', () => {
  it('adds talk, count-in, repetitions, breaths and key changes', () => {
    // 4 in + 7 × 10 sung + 6 × 2 breath + 6 × 2 key = 98 beats at 100.
    expect(patternSeconds(timing)).toBeCloseTo(30 + 58.8);
    expect(patternSeconds({ ...timing, demonstrate: 'once' })).toBeCloseTo(30 + 64.8);
    // Two verses: 14 × 10 sung, 13 breaths, 6 key changes.
    expect(patternSeconds({ ...timing, verses: 2 })).toBeCloseTo(30 + (4 + 140 + 26 + 12) * 0.6);
  });
  it('puts the last key’s end at the segment’s end', () => {
    fc.assert(
      fc.property(
        fc.integer({ min: 1, max: 12 }),
        fc.integer({ min: 1, max: 4 }),
        fc.integer({ min: 40, max: 180 }),
        (keys, verses, tempo) => {
          const one = { ...timing, keys, verses, tempo };
          const last = keyTimes(one)[keys - 1]!;
          expect(last.at + last.seconds).toBeCloseTo(patternSeconds(one), 6);
        },
      ),
    );
  });
  it('grows counted breathing by its increments', () => {
    const still = { in: 0, hold: 0, out: 0, rest: 0 };
    const breath = { in: 4, hold: 0, out: 8, rest: 2, rounds: 3, tempo: 60 };
    expect(breathSeconds({ ...breath, increment: still })).toBe(42);
    expect(breathSeconds({ ...breath, increment: { ...still, out: 2 } })).toBe(48);
  });
  it('counts movements', () => {
    const once = { sides: 1, times: 1, seconds: 12, held: 0 } as const;
    expect(bodySeconds([once, once])).toBe(24);
    // Both sides, three times each, four seconds and two held.
    expect(bodySeconds([once, { sides: 2, times: 3, seconds: 4, held: 2 }])).toBe(12 + 36);
  });
});

describe('the clock', () => {
  it('shows lengths that add up to the rounded total', () => {
    fc.assert(
      fc.property(fc.array(fc.double({ min: 1, max: 200, noNaN: true })), (lengths) => {
        const placed = placeSegments(lengths);
        const total = placed[placed.length - 1]?.to ?? 0;
        expect(placed.reduce((sum, { shown }) => sum + shown, 0)).toBe(Math.round(total));
      }),
    );
  });
  it('places an evening and says what does not fit', () => {
    const items = [
      { id: 'warm-up', minutes: 15 },
      { id: 'piece', minutes: 50 },
    ];
    expect(placeAgenda(items, 60 * 60)).toEqual({
      items: [
        { id: 'warm-up', from: 0, to: 900 },
        { id: 'piece', from: 900, to: 3900 },
      ],
      over: 300,
    });
  });
});

describe('estimates', () => {
  it('moves from the prior to what was observed', () => {
    expect(learnedTalk(20)).toEqual({ mean: 20, variance: 64 });
    expect(learnedTalk(20, [40, 40, 40]).mean).toBe(30);
    expect(learnedTalk(20, [20]).variance).toBe(48);
  });
  it('learns the pace of an exercise: a prior of just as planned that weighs as three times', () => {
    expect(learnedPace([])).toEqual({ mean: 1, variance: 0.0064 });
    expect(learnedPace([1.2, 1.2, 1.2]).mean).toBeCloseTo(1.1, 12);
    expect(learnedPace([1]).variance).toBeCloseTo(0.0048, 12);
  });
  it('is never narrower than 8 % of the planned length', () => {
    const sure = likelyLength([{ mean: 800, variance: 0 }]);
    expect(sure.late - sure.early).toBeCloseTo(64);
    const unsure = likelyLength([{ mean: 800, variance: 10_000 }]);
    expect(unsure.late - unsure.early).toBeCloseTo(2 * 1.28155 * 100, 1);
  });
  it('gives the chance of ending on time', () => {
    const length = likelyLength([{ mean: 800, variance: 10_000 }]);
    expect(chanceOnTime(length, 800)).toBeCloseTo(0.5, 6);
    expect(chanceOnTime(length, 900)).toBeCloseTo(0.8413, 3);
    expect(chanceOnTime(length, 700)).toBeCloseTo(0.1587, 3);
  });
});

/** The rule of docs/model.md, section 6, added up term by term. */
function addedUp(t: PatternTiming): number {
  const n = t.keys * t.verses;
  let sum = (t.talk ?? 0) + (t.coach ?? 0) * (t.keys - 1) + (t.after ?? 0);
  if (t.reset) sum += t.reset.seconds * Math.floor((n - 1) / t.reset.every);
  for (let i = 0; i < n; i += 1) {
    const opensKey = i % t.verses === 0;
    const closesKey = (i + 1) % t.verses === 0;
    let beats = t.patternBeats;
    if (i < n - 1) beats += t.breathBeats ?? 0;
    if (closesKey && i < n - 1) beats += t.keyChangeBeats ?? 0;
    if (i === 0 || t.countInEach) beats += t.countIn ?? 0;
    const shown = t.demonstrate === 'once' ? i === 0 : t.demonstrate === 'each key' && opensKey;
    if (shown) beats += t.patternBeats;
    sum += (beats * 60) / (t.tempo + i * (t.tempoStep ?? 0));
  }
  return sum;
}

describe('a segment’s length with all that can belong to it', () => {
  const any: fc.Arbitrary<PatternTiming> = fc.record({
    talk: fc.integer({ min: 0, max: 60 }),
    coach: fc.integer({ min: 0, max: 20 }),
    after: fc.integer({ min: 0, max: 20 }),
    reset: fc.option(
      fc.record({ seconds: fc.integer({ min: 1, max: 9 }), every: fc.integer({ min: 1, max: 5 }) }),
      { nil: undefined },
    ),
    demonstrate: fc.constantFrom('no', 'once', 'each key'),
    countIn: fc.integer({ min: 0, max: 4 }),
    countInEach: fc.boolean(),
    keys: fc.integer({ min: 1, max: 9 }),
    verses: fc.integer({ min: 1, max: 4 }),
    patternBeats: fc.integer({ min: 1, max: 16 }),
    breathBeats: fc.integer({ min: 0, max: 4 }),
    keyChangeBeats: fc.integer({ min: 0, max: 4 }),
    tempo: fc.integer({ min: 60, max: 160 }),
    tempoStep: fc.integer({ min: -1, max: 6 }),
  });
  it('is the sum of the rule, and its keys lie in it one after the other', () => {
    fc.assert(
      fc.property(any, (t) => {
        expect(patternSeconds(t)).toBeCloseTo(addedUp(t), 6);
        const times = keyTimes(t);
        times.forEach(({ at, seconds }, i) => {
          expect(at + seconds).toBeLessThanOrEqual((times[i + 1]?.at ?? patternSeconds(t)) + 1e-9);
        });
      }),
    );
  });
  it('counts in, shows and shakes out as often as it says', () => {
    const t = { keys: 3, verses: 2, patternBeats: 4, tempo: 60, countIn: 2 };
    expect(patternCounts({ ...t, countInEach: true, demonstrate: 'each key' })).toEqual({
      ...{ repetitions: 6, demonstrations: 3, countIns: 6, breaths: 5, keyChanges: 2, resets: 0 },
    });
    expect(patternCounts({ ...t, reset: { seconds: 5, every: 2 } }).resets).toBe(2);
    // Without a tempo step, the beats at the tempo are the time.
    expect(patternSeconds(t)).toBeCloseTo((patternBeats(t) * 60) / t.tempo, 9);
  });
  it('refuses a tempo that comes to nothing', () => {
    const t = { keys: 5, verses: 1, patternBeats: 4, tempo: 20, tempoStep: -10 };
    expect(() => patternSeconds(t)).toThrow(RangeError);
  });
});

describe('rounds of breath', () => {
  const still = { in: 0, hold: 0, out: 0, rest: 0 };
  it('grow and shrink, never below the least', () => {
    const rounds = breathRounds({
      ...{ in: 4, hold: 2, out: 6, rest: 2, rounds: 4, tempo: 60 },
      increment: { in: -1, hold: 1, out: 2, rest: -1 },
      least: { in: 2 },
    });
    expect(rounds.map((round) => [round.in, round.hold, round.out, round.rest])).toEqual([
      [4, 2, 6, 2],
      [3, 3, 8, 1],
      [2, 4, 10, 0],
      [2, 5, 12, 0],
    ]);
    expect(breathSeconds({ ...still, in: 1, rounds: 2, tempo: 60, increment: still })).toBe(2);
  });
});
