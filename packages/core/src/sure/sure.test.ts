import fc from 'fast-check';
import {
  endSureness,
  presenceChance,
  presenceOf,
  sectionSureness,
  spreadOf,
  spreadOfLimits,
  type UnsureSinger,
} from './index';

/** Figures that look like chance and are the same every time. */
function drawing(seed: number) {
  let state = seed;
  const uniform = () => {
    state = (Math.imul(state, 1_664_525) + 1_013_904_223) >>> 0;
    return (state + 0.5) / 2 ** 32;
  };
  const normal = () => Math.sqrt(-2 * Math.log(uniform())) * Math.cos(2 * Math.PI * uniform());
  return { uniform, normal };
}
const evenings = 100_000;
/** Within four standard errors of a share found among so many. */
const isNear = (found: number, told: number): boolean =>
  Math.abs(found - told) <= 4 * Math.sqrt(Math.max(told * (1 - told), 1e-9) / evenings) + 1e-9;

describe('how sure a section is comfortable', () => {
  const singers: UnsureSinger[] = [
    { comfort: [57, 74], sigma: 1, present: 0.9 },
    { comfort: [59, 72], sigma: 1.5, present: 0.6 },
    { comfort: [55, 76], sigma: 0.5, present: 1 },
    { comfort: [60, 73], sigma: 2, present: 0.3 },
    { comfort: [58, 71], sigma: 1, present: 0 },
  ];
  it('agrees with 100,000 evenings drawn by lot', () => {
    const { uniform, normal } = drawing(7);
    const span = [58, 72] as const;
    let tooFew = 0;
    let here = 0;
    let easy = 0;
    for (let evening = 0; evening < evenings; evening += 1) {
      let present = 0;
      let comfortable = 0;
      for (const { comfort, sigma, present: chance } of singers) {
        if (uniform() >= chance) continue;
        present += 1;
        // A note counts as long as less than half a semitone is missing.
        const low = comfort[0] + sigma * normal();
        const high = comfort[1] + sigma * normal();
        if (low <= span[0] + 0.5 && high >= span[1] - 0.5) comfortable += 1;
      }
      here += present;
      easy += comfortable;
      if (present === 0 || comfortable < 0.85 * present - 1e-9) tooFew += 1;
    }
    const told = sectionSureness(singers, span, 0.85);
    expect(isNear(tooFew / evenings, told.tooFew)).toBe(true);
    expect(Math.abs(easy / here - told.expected)).toBeLessThan(0.005);
  });
  it('is all or nothing where nothing is unsure', () => {
    const sure = { comfort: [60, 70] as const, sigma: 0, present: 1 };
    expect(sectionSureness([sure], [60, 70], 0.85)).toEqual({ expected: 1, tooFew: 0 });
    expect(sectionSureness([sure], [59, 70], 0.85)).toEqual({ expected: 0, tooFew: 1 });
    expect(sectionSureness([], [60, 70], 0.85)).toEqual({ expected: 0, tooFew: 1 });
  });
  it('never falls when somebody’s limits widen', () => {
    fc.assert(
      fc.property(fc.integer({ min: 0, max: 4 }), fc.integer({ min: 1, max: 5 }), (who, by) => {
        const wider = singers.map((one, i): UnsureSinger => {
          const [low, high] = one.comfort;
          return i === who ? { ...one, comfort: [low - by, high + by] } : one;
        });
        const before = sectionSureness(singers, [58, 72], 0.85);
        const after = sectionSureness(wider, [58, 72], 0.85);
        expect(after.expected).toBeGreaterThanOrEqual(before.expected - 1e-12);
        expect(after.tooFew).toBeLessThanOrEqual(before.tooFew + 1e-12);
      }),
    );
  });
  it('knows the spread from checks, and presence from evenings', () => {
    expect(spreadOf([])).toBe(1);
    expect(spreadOf([70, 70, 70])).toBeCloseTo(Math.sqrt(0.5), 12);
    expect(spreadOf([68, 72])).toBeCloseTo(Math.sqrt(11 / 5), 12);
    expect([presenceOf(0, 0), presenceOf(10, 10), presenceOf(0, 10)]).toEqual([
      1 / 2,
      11 / 12,
      1 / 12,
    ]);
  });
});

describe('who is here, and how steady', () => {
  it('is certain where it was said, and as usual while no evening is behind', () => {
    const here = (said: boolean | undefined, times: number, counted: number) =>
      presenceChance({ said, here: times, counted });
    expect([here(true, 0, 10), here(false, 10, 10)]).toEqual([1, 0]);
    expect([here(undefined, 0, 0), here(undefined, 3, 4)]).toEqual([1, 4 / 6]);
  });
  it('follows the less steady limit', () => {
    const top = [70, 74, 70, 75];
    expect(spreadOfLimits(top.map((high) => [55, high] as const))).toBe(spreadOf(top));
    expect(spreadOfLimits([])).toBe(1);
  });
});

describe('how sure the end is', () => {
  const segments = [
    { mean: 95, sd: 12 },
    { mean: 61.5, sd: 7 },
    { mean: 120, sd: 25 },
    { mean: 30, sd: 30 },
  ];
  it('agrees with 100,000 evenings drawn by lot', () => {
    const { normal } = drawing(11);
    const ends = Array.from({ length: evenings }, () =>
      segments.reduce(
        (sum, { mean, sd }) => sum + Math.max(0, Math.round(mean + sd * normal())),
        0,
      ),
    );
    for (const seconds of [250, 300, 320, 380]) {
      const within = ends.filter((end) => end <= seconds).length / evenings;
      expect([seconds, isNear(within, endSureness(segments, seconds).chance)]).toEqual([
        seconds,
        true,
      ]);
    }
    ends.sort((a, b) => a - b);
    const { p10, p90 } = endSureness(segments, 300);
    expect(Math.abs(ends[evenings / 10]! - p10)).toBeLessThanOrEqual(1);
    expect(Math.abs(ends[(9 * evenings) / 10]! - p90)).toBeLessThanOrEqual(1);
  });
  it('is the sum where nothing is unsure, and grows with the time there is', () => {
    const sure = [60, 90].map((mean) => ({ mean, sd: 0 }));
    expect(endSureness(sure, 150)).toEqual({ chance: 1, p10: 150, p90: 150 });
    expect(endSureness(sure, 149).chance).toBe(0);
    expect(endSureness([], 0)).toEqual({ chance: 1, p10: 0, p90: 0 });
    const chances = Array.from({ length: 60 }, (_, i) => endSureness(segments, i * 10).chance);
    expect(chances).toEqual([...chances].sort((a, b) => a - b));
    expect(chances.at(-1)).toBeCloseTo(1, 6);
  });
});
