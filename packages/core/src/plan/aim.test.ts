import fc from 'fast-check';
import { aimReached, keysOf, type Aim, type PlannedExercise, type SegmentChoices } from '.';
import { mixedChoir, usualSections } from '../voices';
import type { PitchedMusic } from '../exercise/music';

const music: PitchedMusic = {
  kind: 'pattern',
  mode: 'major',
  notes: [
    { offset: 0, beats: 1 },
    { offset: 7, beats: 1 },
  ],
};
const choices: SegmentChoices = {
  ...{ talk: 0, demonstrate: 'no', tempo: 60, repetitions: 3, verses: 1 },
  ...{ shape: 'up', step: 1, start: null },
};
const exercise = (aim: Aim): PlannedExercise => ({
  ...{
    phase: 'piece',
    anchor: 'middle',
    music,
    countIn: 0,
    breathBeats: 1,
    keyChangeBeats: 2,
    aim,
  },
});
const sections = usualSections(mixedChoir);
const keys = (aim: Aim, changed: Partial<SegmentChoices> = {}) =>
  keysOf(exercise(aim), music, { ...choices, ...changed }, { sections, needs: [] });
const soprano = sections[0]!;

describe('bars that climb to where they are written', () => {
  it('end on the tonic of the piece, and whoever has the trouble never leaves the usual octave', () => {
    const found = keys({ part: 'S', tonic: 66 });
    if (found.kind !== 'ladder' || !found.sung) throw new Error('no ladder');
    expect(found.sung.tonics).toEqual([64, 65, 66]);
    const path = found.sung.paths.find(({ id }) => id === 'S')!;
    expect(path.moves).toEqual([0, 0, 0]);
    expect(aimReached({ part: 'S', tonic: 66 }, found)).toEqual({
      kind: 'reached',
      part: 'S',
      highest: 66 + soprano.octave + 7,
    });
  });
  it('say which note is out of reach, where the reach ends, and what is reached instead', () => {
    const aim = { part: 'S', tonic: soprano.reach[1] - 4 };
    const reached = aimReached(aim, keys(aim));
    expect(reached).toMatchObject({
      kind: 'short',
      wanted: aim.tonic + 7,
      limit: { end: 'top', note: soprano.reach[1] },
    });
    expect(reached?.kind === 'short' && reached.highest).toBeLessThanOrEqual(soprano.reach[1]);
  });
  it('never send that part an octave away, whatever they climb to', () => {
    const parts = sections.map(({ id }) => id);
    fc.assert(
      fc.property(
        fc.constantFrom(...parts),
        fc.integer({ min: 50, max: 90 }),
        fc.integer({ min: 1, max: 7 }),
        (part, tonic, repetitions) => {
          const found = keys({ part, tonic }, { repetitions });
          if (found.kind !== 'ladder' || !found.sung) return;
          const { moves } = found.sung.paths.find(({ id }) => id === part)!;
          const usual = sections.find(({ id }) => id === part)!.octave;
          expect(moves.every((move) => move === usual || move === 'rest')).toBe(true);
          const sings = found.sung.tonics.some((at, i) => at === tonic && moves[i] === usual);
          expect(aimReached({ part, tonic }, found)?.kind).toBe(sings ? 'reached' : 'short');
        },
      ),
      { numRuns: 60 },
    );
  });
});
