import fc from 'fast-check';
import type { PitchRange } from '../units';
import type { Voice } from '../voices/parts';
import { fitOnTonic, sharedTonics, stageWindow } from './fit';

const section = fc
  .tuple(
    fc.integer({ min: 40, max: 66 }),
    fc.integer({ min: 0, max: 22 }),
    fc.integer({ min: 0, max: 5 }),
    fc.constantFrom(0, -12),
  )
  .map(([low, width, more, octave]): Voice => ({
    id: 'X',
    comfort: [low, low + width],
    reach: [low - more, low + width + more],
    octave,
  }));
const span = fc
  .tuple(fc.integer({ min: -7, max: 7 }), fc.integer({ min: 0, max: 16 }))
  .map(([lowest, width]) => ({ lowest, highest: lowest + width }));

describe('shared tonics, against every tonic tried', () => {
  it('are exactly those on which every part is comfortable', () => {
    fc.assert(
      fc.property(fc.array(section, { minLength: 1, maxLength: 5 }), span, (sections, pattern) => {
        const fine: number[] = [];
        for (let tonic = 0; tonic <= 127; tonic += 1) {
          const states = sections.map((one) => fitOnTonic(one, pattern, tonic).state);
          if (states.every((state) => state === 'comfortable')) fine.push(tonic);
        }
        const shared = sharedTonics(sections, pattern);
        if (fine.length === 0) expect(shared).toBeUndefined();
        else expect(shared).toEqual([fine[0], fine.at(-1)]);
      }),
    );
  });
});

describe('the fit of a repetition', () => {
  it('leaves as much room above and below as the comfort is wider than the pattern', () => {
    fc.assert(
      fc.property(section, span, fc.integer({ min: 30, max: 90 }), (one, pattern, tonic) => {
        const fit = fitOnTonic(one, pattern, tonic);
        const spare = one.comfort[1] - one.comfort[0] - (pattern.highest - pattern.lowest);
        return fit.roomAbove + fit.roomBelow === spare;
      }),
    );
  });
  it('moves with the tonic, a semitone for a semitone', () => {
    fc.assert(
      fc.property(section, span, fc.integer({ min: 30, max: 90 }), (one, pattern, tonic) => {
        const [here, there] = [tonic, tonic + 1].map((at) => fitOnTonic(one, pattern, at));
        return (
          there!.low === here!.low + 1 &&
          there!.roomAbove === here!.roomAbove - 1 &&
          there!.roomBelow === here!.roomBelow + 1
        );
      }),
    );
  });
});

describe('the stage’s window, against whole-number arithmetic', () => {
  const range = fc
    .tuple(fc.integer({ min: 30, max: 80 }), fc.integer({ min: 0, max: 40 }))
    .map(([low, width]): PitchRange => [low, low + width]);
  it('holds exactly the notes within the fraction, whatever binary makes of it', () => {
    fc.assert(
      fc.property(range, fc.integer({ min: 1, max: 100 }), ([low, high], hundredths) => {
        // |2x − (low + high)| ≤ w · (high − low), all times 100.
        const inside: number[] = [];
        for (let note = low; note <= high; note += 1) {
          if (100 * Math.abs(2 * note - low - high) <= hundredths * (high - low)) inside.push(note);
        }
        const [from, to] = stageWindow([low, high], hundredths / 100);
        if (inside.length > 0) expect([from, to]).toEqual([inside[0], inside.at(-1)]);
        else expect(from).toBeGreaterThan(to);
      }),
      { numRuns: 500 },
    );
  });
});
