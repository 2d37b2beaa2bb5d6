import { approaches, variantsOf, type PlannableExercise } from '../planner';
import { asLed } from './asLed';
import { computeSegment } from './segment';
import type { SegmentChoices } from './planned';
import type { Section } from '../voices/section';

const section = (
  id: string,
  octave: number,
  comfort: readonly [number, number],
  reach: readonly [number, number],
): Section => ({ id, one: id, many: id, octave, comfort, reach, singers: 8, suits: true });
const sections = [
  section('S', 0, [62, 79], [59, 81]),
  section('A', 0, [57, 74], [53, 76]),
  section('T', -12, [50, 67], [47, 69]),
  section('B', -12, [43, 62], [40, 64]),
];
const tonight = { sections, needs: [] };

/** An octave, as wide as model figures have it: in the usual rule altos and basses rest or go down. */
const octave: PlannableExercise = {
  id: 'octave',
  phase: 'range',
  anchor: 'middle',
  music: {
    kind: 'pattern',
    mode: 'major',
    notes: [
      { offset: 0, beats: 1 },
      { offset: 12, beats: 1 },
      { offset: 0, beats: 2 },
    ],
  },
  ...{ countIn: 1, breathBeats: 1, keyChangeBeats: 1 },
  ...{ purposes: [], effort: 2, difficulty: 1, needs: [] },
  usual: {
    ...{ talk: 10, demonstrate: 'no', tempo: 90, repetitions: 8, verses: 1 },
    ...{ shape: 'up', step: 1 },
  },
};
const computed = (chosen: Partial<SegmentChoices>) =>
  computeSegment(
    { id: 'x', exercise: octave, choices: { ...octave.usual, start: null, ...chosen } },
    tonight,
  );
const ladder = (chosen: Partial<SegmentChoices>) => {
  const { keys } = computed(chosen);
  if (keys.kind !== 'ladder' || !keys.sung) throw new Error('No ladder.');
  return keys.sung;
};
const moves = (chosen: Partial<SegmentChoices>) =>
  ladder(chosen).paths.flatMap((path) => path.moves);
/** By how much a part goes beyond its comfort, the most of all keys. */
const beyond = (chosen: Partial<SegmentChoices>) =>
  Math.max(
    ...computed(chosen).repetitions.flatMap(({ parts }) =>
      parts.flatMap((one) => {
        if (one.does !== 'sing') return [];
        const [low, high] = sections.find(({ id }) => id === one.part)!.comfort;
        return [one.fit.high - high, low - one.fit.low];
      }),
    ),
  );

describe('an exercise as it is led', () => {
  it('is the very same where nothing is chosen', () => {
    expect(asLed(octave, {})).toBe(octave);
  });

  it('lets whoever cannot go along drop out, and takes nobody out of comfort then', () => {
    expect(moves({})).toContain(-24);
    expect(moves({ tooHigh: 'rest' })).toContain('rest');
    for (const move of moves({ tooHigh: 'rest' })) expect([0, -12, 'rest']).toContain(move);
    expect(beyond({ tooHigh: 'rest' })).toBeLessThanOrEqual(0);
  });

  it('lets nobody rest where whoever cannot go along goes to another octave', () => {
    expect(moves({})).toContain('rest');
    expect(moves({ tooHigh: 'octave' })).not.toContain('rest');
  });

  it('goes nowhere that is not comfortable to all, or says that there is no such ladder', () => {
    const { keys } = computed({ tooHigh: 'never' });
    expect(keys).toMatchObject({ best: { kind: 'infeasible' } });
    expect(beyond({ tooHigh: 'never', repetitions: 1 })).toBeLessThanOrEqual(0);
  });

  it('gives high and low voices keys of their own, and takes them away again', () => {
    expect(ladder({ voices: 'in turn' }).tonics).toHaveLength(16);
    const twice = computed({ voices: 'in turn' }).seconds - 10;
    expect(twice / (computed({}).seconds - 10)).toBeCloseTo(2, 1);
    const own = { ...octave, keys: { groups: 'in turn' as const } };
    expect(asLed(own, { voices: 'all' }).keys?.groups).toBeUndefined();
  });

  it('brings tenors and basses up to the women, light, and down again', () => {
    expect(asLed(octave, { lowVoices: 'light' }).anchor).toBe('light');
    expect(asLed({ ...octave, anchor: 'speech' }, { lowVoices: 'light' }).anchor).toBe('speech');
    const light = computed({ lowVoices: 'light', repetitions: 2 });
    const [{ parts }] = light.repetitions as [(typeof light.repetitions)[number]];
    for (const one of parts) expect(one.does === 'sing' ? one.away : 0).toBeLessThanOrEqual(0);
    expect(moves({ lowVoices: 'below' })).not.toContain(12);
    expect(asLed({ ...octave, anchor: 'speech' }, { lowVoices: 'below' }).keys).toEqual({
      octaveMoves: [0],
    });
  });
});

describe('a way of warming up that says how it is led', () => {
  const ways = (id: string, phase: PlannableExercise['phase']) => {
    const approach = approaches.find((one) => one.id === id)!;
    return variantsOf(
      { ...octave, phase },
      { tonight, approach, level: 2, ledAgo: {}, forbids: [] },
    ).map(({ choices }) => choices);
  };

  it('hands it on to what it chooses', () => {
    for (const choices of ways('evening-after-work', 'range')) {
      expect(choices.lowVoices).toBe('below');
    }
    for (const choices of ways('sound-first', 'range')) expect(choices.voices).toBe('in turn');
  });

  it('has low voices sing light with the first sounds only', () => {
    for (const choices of ways('high-and-light', 'onset')) expect(choices.lowVoices).toBe('light');
    for (const choices of ways('high-and-light', 'range')) {
      expect(choices.lowVoices).toBeUndefined();
    }
  });
});
