import { computeSegment } from '../plan';
import { practising } from '../playing/practising';
import { programme } from '../playing/programme';
import { mixedChoir, usualSections } from '../voices';
import { choirScore } from './score';
import { scoreOfPart, singsIn } from './own';

const exercise = {
  name: 'Try',
  phase: 'range',
  anchor: 'middle',
  music: {
    kind: 'pattern',
    mode: 'major',
    metre: { beats: 3, unit: 4 },
    notes: [
      { offset: 0, beats: 2 },
      { offset: 4, beats: 1 },
    ],
  },
  countIn: 0,
  breathBeats: 3,
  keyChangeBeats: 3,
} as const;
const choices = {
  talk: 0,
  demonstrate: 'no',
  tempo: 60,
  repetitions: 3,
  verses: 1,
  shape: 'up',
  step: 1,
  start: 65,
  told: { A: { 1: 'rest' } },
} as const;
const computed = computeSegment(
  { id: 'x', exercise, choices },
  { sections: usualSections(mixedChoir), needs: [] },
);
const score = choirScore(exercise, 60, mixedChoir, computed.repetitions)!;
const listening = { ...exercise, score, verses: 1 };
const notes = (heard: ReturnType<typeof programme>, voice: string) =>
  heard.sounded.filter((one) => one.voice === voice).map(({ midi }) => midi);

describe('one part of a score', () => {
  it('is its line in every key, and none where it rests', () => {
    const altos = scoreOfPart(score, 'A');
    expect(altos.parts.map(({ id }) => id)).toEqual(['A']);
    expect(altos.keys).toHaveLength(3);
    expect(altos.keys.map((key) => singsIn(key, 'A'))).toEqual([true, false, true]);
    for (const { lines } of altos.keys) expect(lines.every(({ part }) => part === 'A')).toBe(true);
    expect(score.keys.map((key) => singsIn(key, 'S'))).toEqual([true, true, true]);
  });
});

describe('what is practised', () => {
  it('is everybody in every key, after a bar of count', () => {
    const heard = programme(practising(listening, { key: null, alone: null }));
    expect(heard.keys).toHaveLength(3);
    expect(notes(heard, 'count')).toHaveLength(3);
    expect(notes(heard, 'S')).toEqual([65, 69, 66, 70, 67, 71]);
  });
  it('is one part alone, in the keys in which it sings', () => {
    const heard = programme(practising(listening, { key: null, alone: 'A' }));
    expect(heard.keys).toHaveLength(2);
    expect(notes(heard, 'S')).toEqual([]);
    const all = notes(programme(listening), 'A');
    expect(all.length).toBeGreaterThan(0);
    expect(notes(heard, 'A')).toEqual(all);
  });
  it('is one key, with the chord that leads to it', () => {
    const heard = programme(practising(listening, { key: 2, alone: null }));
    expect(heard.keys).toHaveLength(1);
    expect(notes(heard, 'S')).toEqual([67, 71]);
    expect(notes(heard, 'chord')).toHaveLength(4);
  });
  it('keeps the count-in an exercise has', () => {
    expect(practising({ ...listening, countIn: 2 }, { key: 0, alone: null }).countIn).toBe(2);
  });
});
