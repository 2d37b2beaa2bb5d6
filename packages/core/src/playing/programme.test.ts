import type { Music } from '../exercise';
import { choirScore } from '../notation';
import { computeSegment } from '../plan';
import { mixedChoir, usualSections } from '../voices';
import { keyChord, programme } from './programme';

const music: Music = {
  kind: 'pattern',
  mode: 'minor',
  notes: [
    { offset: 0, beats: 1, dynamic: 'p' },
    { rest: true, beats: 1 },
    { offset: 3, beats: 2 },
  ],
};
const exercise = {
  name: 'Try',
  phase: 'range',
  anchor: 'middle',
  music,
  countIn: 3,
  breathBeats: 2,
  keyChangeBeats: 1,
} as const;
const choices = {
  talk: 0,
  demonstrate: 'no',
  tempo: 60,
  repetitions: 2,
  verses: 2,
  shape: 'up',
  step: 1,
  start: 65,
} as const;
const segment = computeSegment(
  { id: 'x', exercise, choices },
  { sections: usualSections(mixedChoir), needs: [] },
);
const score = choirScore(exercise, 60, mixedChoir, segment.repetitions)!;
const listening = { ...exercise, score, verses: 2 };

describe('what is heard of an exercise', () => {
  const heard = programme(listening);
  it('is the chord, the count, every key as often as it is sung, and the chord to the next', () => {
    const starts = (voice: string) =>
      heard.sounded.filter((one) => one.voice === voice).map(({ at, midi }) => [at, midi]);
    expect(starts('count').map(([at]) => at)).toEqual([2, 3, 4]);
    expect(starts('S')).toEqual([
      [5, 65],
      [7, 68],
      [11, 65],
      [13, 68],
      // Two beats to breathe, one for the chord.
      [18, 66],
      [20, 69],
      [24, 66],
      [26, 69],
    ]);
    expect(starts('B')[0]).toEqual([5, 53]);
    expect(starts('chord').map(([at]) => at)).toEqual([0, 0, 0, 0, 17, 17, 17, 17]);
    expect(heard.keys).toEqual([5, 18]);
    expect(heard.sounded.every(({ at }, i, all) => i === 0 || at >= all[i - 1]!.at)).toBe(true);
  });
  it('lasts as long as the segment does, after the first chord', () => {
    expect(heard.seconds - 2).toBe(segment.seconds);
  });
  it('is slower or quicker at another tempo, at the same pitches', () => {
    const quick = programme(listening, 120);
    expect(quick.seconds).toBe(heard.seconds / 2);
    expect(quick.sounded.map(({ midi }) => midi)).toEqual(heard.sounded.map(({ midi }) => midi));
  });
  it('is as loud as the marks say', () => {
    expect(heard.sounded.find(({ voice }) => voice === 'S')!.loudness).toBe(0.42);
  });
});

describe('the chord that leads to a key', () => {
  it('is the key’s triad around middle C, in its mode', () => {
    expect(keyChord(62, 'major')).toEqual([50, 62, 66, 69]);
    expect(keyChord(57, 'minor')).toEqual([45, 57, 60, 64]);
    expect(keyChord(67, 'chromatic')).toEqual([43, 55, 59, 62]);
  });
});
