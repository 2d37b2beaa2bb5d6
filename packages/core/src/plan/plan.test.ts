import { partLines } from '../exercise/partLines';
import { beyondReach } from '../ladder';
import { mixedChoir, usualSections } from '../voices';
import { computePlan } from './plan';
import type { PlannedExercise, SegmentChoices } from './planned';
import { computeSegment } from './segment';

const need = { part: 'S', highest: 77, highestIn: 'Lanterns', lowest: 62, lowestIn: 'Lanterns' };
const setting = { sections: usualSections(mixedChoir), needs: [need] };
const choices: SegmentChoices = {
  talk: 10,
  demonstrate: 'no',
  tempo: 60,
  repetitions: 3,
  verses: 1,
  shape: 'up',
  step: 1,
  start: null,
};
const exercise = (music: PlannedExercise['music'], phase: PlannedExercise['phase'] = 'onset') => ({
  phase,
  anchor: 'middle' as const,
  music,
  countIn: 4,
  breathBeats: 2,
  keyChangeBeats: 2,
});
const fifth = exercise({
  kind: 'pattern',
  mode: 'major',
  notes: [
    { offset: 0, beats: 1 },
    { rest: true, beats: 1 },
    { offset: 7, beats: 2 },
  ],
});
const compute = (it: PlannedExercise, changed: Partial<SegmentChoices> = {}) =>
  computeSegment({ id: 'x', exercise: it, choices: { ...choices, ...changed } }, setting);

describe('a computed segment', () => {
  it('has its length, its ladder, and what sounds when', () => {
    const { seconds, keys, repetitions } = compute(fifth);
    expect(seconds).toBe(10 + 4 + 3 * 4 + 2 * 2 + 2 * 2);
    expect(keys.kind === 'ladder' && keys.sung?.tonics).toHaveLength(3);
    expect(repetitions.map(({ at }) => at)).toEqual([14, 22, 30]);
    const [first] = repetitions;
    expect(first?.parts.map((one) => one.part)).toEqual(['S', 'A', 'T', 'B']);
    for (const one of first!.parts) {
      if (one.does !== 'sing') continue;
      expect(one.fit.high - one.fit.low).toBe(7);
      expect(one.tonic - first!.tonic!).toBe(['T', 'B'].includes(one.part) ? -12 : 0);
    }
  });
  it('keeps to the phase’s share, and climbs to what is needed where it is anchored at the top, in any phase', () => {
    const early = compute(fifth).keys;
    expect(early.kind === 'ladder' && early.problem).toMatchObject({ fraction: 0.55 });
    expect(early.kind === 'ladder' && early.problem.goalTonic).toBe(undefined);
    const range = compute({ ...fifth, phase: 'piece', anchor: 'top' }).keys;
    expect(range.kind === 'ladder' && range.problem).toMatchObject({ fraction: 1, goalTonic: 70 });
  });
  it('lets a part hold the key’s note while the others sing, in an octave in which it lies well', () => {
    const sung = exercise({
      kind: 'pattern',
      mode: 'major',
      notes: [
        { offset: 7, beats: 1, syllable: 'loo' },
        { offset: 0, beats: 3, syllable: 'nah' },
      ],
    });
    const { repetitions } = compute(sung, { told: { B: { 1: 'hold' } } });
    const basses = repetitions.map(({ parts }) => parts[3]!);
    expect(basses.map((one) => one.does === 'sing' && one.told)).toEqual([
      undefined,
      'hold',
      undefined,
    ]);
    const [, held] = basses;
    if (held?.does !== 'sing') throw new Error('They sing.');
    expect(held).toMatchObject({ holds: true, away: 0, fit: { state: 'comfortable' } });
    expect([held.fit.low, held.fit.high]).toEqual([held.tonic, held.tonic]);
    expect(Math.abs(held.tonic - repetitions[1]!.tonic!) % 12).toBe(0);
    const lines = partLines(sung.music, repetitions[1]!.parts);
    expect(lines[3]!.events).toEqual([{ midi: held.tonic, beats: 4, syllable: 'loo' }]);
    expect(lines[0]!.events).toHaveLength(2);
    expect(partLines(sung.music, repetitions[0]!.parts)[3]!.events).toHaveLength(2);
  });
  it('takes a start chosen by hand, and marks who goes beyond their reach there', () => {
    const chosen = compute(fifth, { start: 60 }).keys;
    expect(chosen.kind === 'ladder' && chosen.sung?.start).toBe(60);
    expect(chosen.kind === 'ladder' && chosen.sung?.beyond).toBeUndefined();
    const high = compute(fifth, { start: 90 });
    const ids = mixedChoir.map(({ id }) => id);
    if (high.keys.kind !== 'ladder') throw new Error('It has a ladder.');
    expect(high.keys.best.kind).toBe('ladder');
    const { sung, problem } = high.keys;
    expect(sung).toMatchObject({ start: 90, beyond: ids });
    // Every part sings something in every key, and it is counted truly.
    expect(high.repetitions.every(({ parts }) => parts.length === ids.length)).toBe(true);
    for (const { part, keys, end } of beyondReach(sung!, problem)) {
      const sings = sung!.paths
        .find(({ id }) => id === part)!
        .moves.filter((one) => one !== 'rest');
      expect([part, end, keys]).toEqual([part, 'top', sings.length]);
    }
  });
  it('gives a chord a note for each part', () => {
    const chord = exercise({
      kind: 'chord',
      mode: 'major',
      tones: [0, 4, 7],
      beats: 4,
      syllable: 'noo',
    });
    const { keys, repetitions } = compute(chord, { shape: 'down' });
    expect(keys.kind).toBe('chord');
    expect(repetitions[0]?.parts.every((one) => one.does === 'sing')).toBe(true);
  });
  it('counts breath, words and movements', () => {
    const still = { in: 0, hold: 0, out: 0, rest: 0 };
    const breath = exercise({
      kind: 'breath',
      in: 4,
      hold: 0,
      out: 6,
      rest: 2,
      increment: { ...still, out: 1 },
      outOn: 's',
    });
    expect(compute(breath).seconds).toBe(10 + 12 + 13 + 14);
    expect(compute(breath).repetitions.map(({ at }) => at)).toEqual([10, 22, 35]);
    const spoken = exercise({ kind: 'spoken', lines: ['A line.'], beats: 8 });
    expect(compute(spoken).seconds).toBe(10 + 4 + 3 * 8 + 2 * 2);
    const one = { text: 'One.', sides: 1, times: 1, seconds: 5, held: 0 } as const;
    const body = exercise({ kind: 'body', moves: [one, { ...one, sides: 2, held: 1 }] });
    expect(compute(body, { repetitions: 2 }).seconds).toBe(10 + 2 * (5 + 12));
    expect(compute(body, { repetitions: 2 }).repetitions.map(({ at }) => at)).toEqual([10, 20]);
  });
});

describe('a computed plan', () => {
  const segment = (id: string) => ({ id, exercise: fifth, choices });
  it('places segments one after another and compares with the time set aside', () => {
    const plan = computePlan([segment('a'), segment('b')], setting, 100);
    expect(plan.total).toBe(68);
    expect(plan.left).toBe(32);
    expect(plan.segments.map(({ placed }) => placed.from)).toEqual([0, 34]);
    expect(plan.chanceOnTime).toBeGreaterThan(0.99);
    expect(computePlan([segment('a')], setting, 20).left).toBe(-14);
  });
  it('is nothing at all while nothing is planned', () => {
    expect(computePlan([], setting, 600)).toMatchObject({ total: 0, left: 600, chanceOnTime: 1 });
  });
});
