import fc from 'fast-check';
import type { PitchRange } from '../units';
import {
  conditions,
  rangeTonight,
  singerStates,
  trimmed,
  trimTonight,
  usualTrims,
} from './condition';

const comfort: PitchRange = [60, 72];
const reach: PitchRange = [57, 75];
const tonight = { comfort, reach, states: [], checkedToday: false } as const;

describe('trims', () => {
  it('are the usual ones', () => {
    const after = (condition: (typeof conditions)[number]) =>
      rangeTonight(tonight, condition).comfort;
    expect(conditions.map(after)).toEqual([
      [60, 72],
      [60, 71],
      [60, 70],
      [61, 70],
      [61, 70],
    ]);
    const own = (state: (typeof singerStates)[number]) =>
      rangeTonight({ ...tonight, states: [state] }, 'rested').comfort;
    expect(singerStates.map(own)).toEqual([
      [60, 71],
      [61, 70],
      [61, 70],
      [62, 70],
    ]);
  });
  it('count the larger at each end, not the sum, and leave the reach alone', () => {
    expect(trimTonight('morning', ['changing', 'tired'])).toEqual({ top: 2, bottom: 2 });
    expect(rangeTonight({ ...tonight, states: ['returning'] }, 'cold')).toEqual({
      comfort: [61, 70],
      reach,
    });
  });
  it('do not touch a range checked on the same day', () => {
    const checked = { ...tonight, states: ['ill'] as const, checkedToday: true };
    expect(rangeTonight(checked, 'cold').comfort).toEqual(comfort);
  });
  it('leave one note of a range narrower than they are', () => {
    expect(trimmed([60, 62], { top: 2, bottom: 2 })).toEqual([61, 61]);
    expect(trimmed([60, 60], { top: 2, bottom: 1 })).toEqual([60, 60]);
    fc.assert(
      fc.property(
        fc.integer({ min: 40, max: 80 }),
        fc.nat(30),
        fc.nat(12),
        fc.nat(12),
        (low, width, top, bottom) => {
          const [from, to] = trimmed([low, low + width], { top, bottom });
          expect(from).toBeLessThanOrEqual(to);
          expect(from).toBeGreaterThanOrEqual(low);
          expect(to).toBeLessThanOrEqual(low + width);
          if (width >= top + bottom) expect([from, to]).toEqual([low + bottom, low + width - top]);
        },
      ),
    );
  });
  it('can be a choir’s own', () => {
    const own = {
      ...usualTrims,
      conditions: { ...usualTrims.conditions, morning: { top: 4, bottom: 0 } },
    };
    expect(rangeTonight(tonight, 'morning', own).comfort).toEqual([60, 68]);
  });
});
