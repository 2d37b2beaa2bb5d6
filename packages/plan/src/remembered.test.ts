import { exercises } from '@wide-fern/catalogue';
import { computeSegment } from '@wide-fern/core';
import { choose } from './edit/edits';
import { performAll } from './edit/perform';
import { evaluate } from './evaluate';
import { candidate, computed } from './remembered';
import { documentOf, tonight } from './testing/plans';

describe('an evaluated plan', () => {
  const document = documentOf('coat-off', 'narrow-hum', 'pulley', 'slate-steps');
  it('computes anew only what an edit changed, and is what computing everything gives', () => {
    const before = evaluate(document, 900);
    const changed = performAll(document, [choose('pulley', { repetitions: 9 })]);
    const after = evaluate(changed, 900);
    const keys = (plan: typeof before) => plan.segments.map(({ computed }) => computed.keys);
    expect(keys(after).map((one, i) => one === keys(before)[i])).toEqual([true, true, false, true]);
    // The same said by other objects is computed from the beginning.
    const whole = evaluate(structuredClone(changed), 900);
    expect(whole.segments.map(({ computed }) => computed)).toEqual(
      after.segments.map(({ computed }) => computed),
    );
    expect(whole.total).toBe(after.total);
  });
  it('follows what keys rest on', () => {
    const low = tonight.sections.map((one) => ({
      ...one,
      comfort: [50, 60] as const,
      reach: [48, 62] as const,
    }));
    const lower = { ...document, tonight: { ...tonight, sections: low } };
    expect(evaluate(lower, 900).segments[3]!.computed.keys).not.toEqual(
      evaluate(document, 900).segments[3]!.computed.keys,
    );
  });
});

describe('a segment that was computed lately', () => {
  const [segment] = documentOf('slate-steps').segments;
  const way = (repetitions: number, id = segment!.id) => ({
    ...segment!,
    id,
    choices: { ...segment!.choices, repetitions },
  });
  it('is not computed again when it is done in the same way, whichever object it is', () => {
    const first = computed(way(5), tonight);
    expect(computed(way(5), tonight)).toBe(first);
    // What was pulled further comes back as it was.
    expect(computed(way(6), tonight).keys).not.toBe(first.keys);
    expect(computed(way(5), tonight)).toBe(first);
    const other = computed(way(5, 'other'), tonight);
    expect(other).toEqual({ ...first, id: 'other' });
    expect(other.keys).toBe(first.keys);
    // For another evening it is.
    expect(computed(way(5), structuredClone(tonight)).keys).not.toBe(first.keys);
  });
  it('is what computing it gives, however many ways are tried', () => {
    for (const repetitions of [...Array(16).keys(), ...Array(16).keys()]) {
      const one = way(repetitions + 1);
      expect(computed(one, tonight)).toEqual(computeSegment(one, tonight));
    }
  });
});

describe('a candidate', () => {
  const exercise = exercises.find(({ id }) => id === 'slate-steps')!;
  it('is computed once for whoever asks, by what the evening’s keys rest on', () => {
    const found = candidate(exercise, tonight);
    expect(candidate(exercise, structuredClone(tonight))).toBe(found);
    const choices = { ...exercise.usual, start: null };
    expect(found).toEqual(computeSegment({ id: exercise.id, exercise, choices }, tonight));
    const [first, ...rest] = tonight.sections;
    const higher = { ...first!, comfort: [64, 84] as const, reach: [60, 86] as const };
    expect(candidate(exercise, { ...tonight, sections: [higher, ...rest] })).not.toBe(found);
  });
});
