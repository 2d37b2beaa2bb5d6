import fc from 'fast-check';
import {
  bodySeconds,
  breathSeconds,
  chanceOnTime,
  keyTimes,
  learnedTalk,
  likelyLength,
  patternSeconds,
  placeAgenda,
  placeSegments,
} from './index';

const timing = {
  talk: 30,
  demonstrate: false,
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
    expect(patternSeconds({ ...timing, demonstrate: true })).toBeCloseTo(30 + 64.8);
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
    expect(bodySeconds(5, 12)).toBe(60);
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
