import { cautionsNeeded, type ToCaution } from './cautions';
import type { Music } from './music';

const body = (...moves: readonly string[]): Music => ({
  kind: 'body',
  moves: moves.map((text) => ({ text, sides: 1, times: 1, seconds: 5, held: 0 })),
});
const needed = (music: Music, changed: Partial<ToCaution> = {}) =>
  cautionsNeeded({
    music,
    phase: 'release',
    anchor: 'middle',
    effort: 1,
    needs: [],
    steps: [],
    ...changed,
  });
const still = { in: 0, hold: 0, out: 0, rest: 0 };

describe('the cautions an exercise needs', () => {
  it('follow the neck and the jaw, in moves and in steps', () => {
    expect(needed(body('Lean the head to one side.'))).toEqual(['neck']);
    expect(needed(body('Let the head roll forward.'))).toEqual(['neck']);
    expect(needed(body('Stroke the cheeks downward.'))).toEqual(['jaw']);
    expect(needed(body('Shake out the hands.'))).toEqual([]);
    expect(needed(body('Stand.'), { steps: ['Chew slowly.'] })).toEqual(['jaw']);
  });
  it('follow counted breath, and held breath that only grows later', () => {
    const breath: Music = { kind: 'breath', ...still, in: 4, out: 4, increment: still, outOn: 's' };
    expect(needed(breath)).toEqual(['lightHead']);
    expect(needed({ ...breath, increment: { ...still, hold: 2 } })).toEqual([
      'lightHead',
      'breathHold',
    ]);
  });
  it('follow strength, loudness, cold voices, range and standing', () => {
    const loud: Music = {
      kind: 'pattern',
      mode: 'major',
      notes: [{ offset: 0, beats: 1, dynamic: 'ff' }],
    };
    expect(needed(loud, { effort: 4, phase: 'onset' })).toEqual(['cold', 'pain', 'loud']);
    const soft: Music = { ...loud, notes: [{ offset: 0, beats: 1, dynamic: 'mf' }] };
    expect(needed(soft, { phase: 'range' })).toEqual(['changing']);
    expect(needed(body('Stand.'), { needs: ['standing'] })).toEqual(['balance']);
  });
});
