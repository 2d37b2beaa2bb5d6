import { exerciseSchema, upcastExercise } from './index';

/** An exercise as it was stored before exercises had an anchor. */
const stored = {
  id: 'our-shake',
  version: 3,
  name: 'Our shake',
  figure: 'shaking',
  phase: 'release',
  purposes: ['loosening'],
  purpose: 'Wake up.',
  cue: 'Shake.',
  steps: ['Do it with them.'],
  watchFor: ['Locked knees: let them give.', 'Speed.'],
  substitutes: [{ when: 'No room', exercise: 'shoulder-tide' }],
  effort: 1,
  difficulty: 1,
  needs: ['standing'],
  cautions: [],
  music: { kind: 'body', seconds: 6, moves: ['Shake the right hand.', 'Shake the left.'] },
  countIn: 0,
  breathBeats: 0,
  keyChangeBeats: 0,
  usual: {
    talk: 8,
    demonstrate: true,
    tempo: 84,
    repetitions: 1,
    verses: 1,
    shape: 'up',
    step: 1,
  },
};
const line = { kind: 'pattern', mode: 'major', notes: [{ offset: 0, beats: 1 }] };

describe('an exercise as it was stored earlier', () => {
  it('keeps all it said, in the present shape', () => {
    const now = exerciseSchema.parse(upcastExercise(stored));
    expect(now).toEqual({
      ...stored,
      anchor: 'middle',
      watchFor: [
        { see: 'Locked knees: let them give.', help: '' },
        { see: 'Speed.', help: '' },
      ],
      music: {
        kind: 'body',
        moves: [
          { text: 'Shake the right hand.', sides: 1, times: 1, seconds: 6, held: 0 },
          { text: 'Shake the left.', sides: 1, times: 1, seconds: 6, held: 0 },
        ],
      },
      usual: { ...stored.usual, demonstrate: 'once' },
    });
    expect(upcastExercise(now)).toEqual(now);
  });
  it('has its vowels by turns as passes over the keys', () => {
    const { passes, ...now } = exerciseSchema.parse(
      upcastExercise({ ...stored, music: line, vowels: ['yee', 'yah'] }),
    );
    expect(passes).toEqual({ over: 'keys', each: [{ sounds: ['yee'] }, { sounds: ['yah'] }] });
    expect('vowels' in now).toBe(false);
    // Also where it already had an anchor.
    const anchored = { ...now, vowels: ['z', 'v'] };
    expect(exerciseSchema.parse(upcastExercise(anchored)).passes?.each[1]).toEqual({
      sounds: ['v'],
    });
  });
  it.each([
    ['range', line, 'top'],
    ['agility', line, 'top'],
    ['resonance', line, 'middle'],
    ['range', { kind: 'lines', mode: 'major', lines: [line.notes] }, 'middle'],
  ])('climbs as it did: %s', (phase, music, anchor) => {
    expect(upcastExercise({ ...stored, phase, music })).toMatchObject({ anchor });
  });
  it('leaves what is no exercise to the check', () => {
    for (const wrong of [null, 'text', [], 4]) expect(upcastExercise(wrong)).toEqual(wrong);
    expect(exerciseSchema.safeParse(upcastExercise({ music: 'none' })).success).toBe(false);
  });
});
