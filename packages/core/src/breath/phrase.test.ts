import type { Music, PatternEvent } from '../exercise/music';
import { breathAdvice, phraseSeconds, tempoForPhrase, usualPhrase } from './phrase';

const line = (...beats: readonly (number | 'rest' | ',')[]): Music => ({
  kind: 'pattern',
  mode: 'major',
  notes: beats.flatMap((one, i): PatternEvent[] => {
    if (one === ',') return [];
    if (one === 'rest') return [{ rest: true as const, beats: 1 }];
    return [{ offset: 0, beats: one, ...(beats[i + 1] === ',' ? { breathAfter: true } : {}) }];
  }),
});
const usual = { tempo: 60, breathBeats: 2, keyChangeBeats: 2, verses: 1, keys: 5 };
const seconds = (music: Music, changed = {}) => phraseSeconds({ ...usual, music, ...changed });

describe('seconds on one breath', () => {
  it('run from one breathing place to the next', () => {
    expect(seconds(line(1, 2, 3))).toBe(6);
    expect(seconds(line(4, ',', 5, ',', 1))).toBe(5);
    expect(seconds(line(4, 'rest', 7))).toBe(7);
    expect(seconds(line(1, 2, 3), { tempo: 120 })).toBe(3);
  });
  it('run on into the next repetition when there is no breath between', () => {
    expect(seconds(line(3), { breathBeats: 0, verses: 2 })).toBe(6);
    expect(seconds(line(3), { breathBeats: 0, verses: 2, keyChangeBeats: 0 })).toBe(30);
    expect(seconds(line(4, ',', 3), { breathBeats: 0, verses: 2 })).toBe(7);
    expect(seconds(line(4, ',', 3), { breathBeats: 0, keyChangeBeats: 2 })).toBe(4);
  });
  it('are none for counted breath, movement, or a drone that is breathed in turn', () => {
    expect(seconds({ kind: 'body', moves: [] })).toBeUndefined();
    expect(
      seconds({
        kind: 'drone',
        mode: 'major',
        held: 0,
        holders: 'all',
        syllable: 'oo',
        over: { kind: 'text', offset: 0, lines: ['x'], beats: 40 },
      }),
    ).toBeUndefined();
  });
});

describe('the advice on a long phrase', () => {
  const music = line(1, 1, 1, 1, 2, 1, 1, 1, 3);
  it('is silent while the breath lasts', () => {
    expect(breathAdvice({ ...usual, music, tempo: 80 }, usualPhrase.mixed)).toBeUndefined();
  });
  it('names the seconds, and a tempo at which they fit', () => {
    const advice = breathAdvice({ ...usual, music, tempo: 60 }, usualPhrase.mixed);
    expect(advice).toEqual({ seconds: 12, comfortable: 9, tempo: 80 });
    expect(breathAdvice({ ...usual, music, tempo: 80 }, usualPhrase.mixed)).toBeUndefined();
    expect(breathAdvice({ ...usual, music, tempo: 79 }, usualPhrase.mixed)).toBeDefined();
    expect(tempoForPhrase(10, 66, 9)).toBe(74);
  });
});
