import fc from 'fast-check';
import { beatsOfEvents } from '../exercise/music';
import { mixedChoir } from '../voices/parts';
import { usualSections } from '../voices/section';
import { computeSegment } from '../plan';
import {
  choirScore,
  clefOfPart,
  oncePerLine,
  plainScore,
  quartersOf,
  writtenBars,
  writtenLengths,
  type Score,
} from './index';

const written = (quarters: number) =>
  writtenLengths(quarters).map(({ value, dots, triplet }) => [
    value,
    dots,
    ...(triplet ? [3] : []),
  ]);

describe('written lengths', () => {
  it('are single values where one fits, dotted where a dot fits, else tied', () => {
    expect(written(4)).toEqual([[4, 0]]);
    expect(written(1.5)).toEqual([[1, 1]]);
    expect(written(3.5)).toEqual([[2, 2]]);
    expect(written(5)).toEqual([
      [4, 0],
      [1, 0],
    ]);
    expect(written(2.25)).toEqual([
      [2, 0],
      [0.25, 0],
    ]);
    expect(written(1 / 3)).toEqual([[0.5, 0, 3]]);
    expect(written(2 / 3)).toEqual([[1, 0, 3]]);
  });
  it('add up to the length, for every multiple of a 32nd and of a third of one', () => {
    const length = fc.oneof(
      fc.integer({ min: 1, max: 600 }).map((n) => n / 32),
      fc.integer({ min: 1, max: 300 }).map((n) => n / 24),
    );
    fc.assert(
      fc.property(length, (quarters) => {
        const sum = writtenLengths(quarters).reduce((total, one) => total + quartersOf(one), 0);
        return Math.abs(sum - quarters) < 1e-6;
      }),
    );
  });
});

describe('bars', () => {
  const line = (...beats: readonly number[]) => beats.map((one) => ({ midi: 60, beats: one }));
  it('tie what crosses a bar line', () => {
    const bars = writtenBars(line(3, 2, 1), { beats: 4, unit: 4 });
    expect(
      bars.map(({ events }) => events.map(({ event, first, last }) => [event, first, last])),
    ).toEqual([
      [
        [0, true, true],
        [1, true, false],
      ],
      [
        [1, false, true],
        [2, true, true],
      ],
    ]);
  });
  it('are as long as the metre says, or one whole without one', () => {
    expect(writtenBars(line(1, 1, 1), undefined)).toHaveLength(1);
    expect(writtenBars(line(1, 1, 1), { beats: 3, unit: 8 })[0]!.quarters).toBe(1.5);
    fc.assert(
      fc.property(
        fc.array(
          fc.integer({ min: 1, max: 40 }).map((n) => n / 8),
          { minLength: 1, maxLength: 20 },
        ),
        fc.constantFrom({ beats: 4, unit: 4 } as const, { beats: 3, unit: 2 } as const),
        (beats, metre) => {
          const bars = writtenBars(line(...beats), metre);
          const all = bars.reduce((sum, bar) => sum + bar.quarters, 0);
          const full = (metre.beats * 4) / metre.unit;
          return (
            Math.abs(all - (beatsOfEvents(line(...beats)) * 4) / metre.unit) < 1e-6 &&
            bars.slice(0, -1).every((bar) => Math.abs(bar.quarters - full) < 1e-6)
          );
        },
      ),
    );
  });
});

describe('a pick-up', () => {
  it('is a first bar of its own, and the others are whole', () => {
    const events = [1, 1, 1, 1, 2, 2].map((beats) => ({ midi: 60, beats }));
    const lengths = (pickUp?: number) =>
      writtenBars(events, { beats: 4, unit: 4, ...(pickUp ? { pickUp } : {}) }).map(
        ({ quarters }) => quarters,
      );
    expect(lengths(1)).toEqual([1, 4, 3]);
    expect(lengths()).toEqual([4, 4]);
    // What is held over the first bar line is tied.
    expect(writtenBars([{ midi: 60, beats: 3 }], { beats: 4, unit: 4, pickUp: 1 })).toMatchObject([
      { quarters: 1, events: [{ event: 0, first: true, last: false }] },
      { quarters: 2, events: [{ event: 0, first: false, last: true }] },
    ]);
  });
});

describe('a part’s clef', () => {
  it('is treble, the octave treble of tenors, or the bass clef', () => {
    expect(mixedChoir.map(clefOfPart)).toEqual(['treble', 'treble', 'octave-treble', 'bass']);
  });
});

describe('a choir’s score', () => {
  const exercise = {
    name: 'Turns',
    phase: 'range',
    anchor: 'middle',
    music: {
      kind: 'pattern',
      mode: 'major',
      notes: [
        { offset: 0, beats: 1, syllable: 'yee' },
        { offset: 2, beats: 1 },
      ],
    },
    countIn: 0,
    breathBeats: 1,
    keyChangeBeats: 2,
    passes: { over: 'keys' as const, each: [{ sounds: ['yee'] }, { sounds: ['yah'] }] },
  } as const;
  it('has a line for each section in every key, on the vowel whose turn it is', () => {
    const choices = {
      talk: 0,
      demonstrate: 'no',
      tempo: 60,
      repetitions: 3,
      verses: 1,
      shape: 'up',
      step: 1,
      start: 65,
    } as const;
    const { repetitions } = computeSegment(
      { id: 'x', exercise, choices },
      { sections: usualSections(mixedChoir), needs: [] },
    );
    const score = choirScore(exercise, 60, mixedChoir, repetitions)!;
    expect(score).toMatchObject({ title: 'Turns', between: 3, mode: 'major' });
    expect(score.parts.map(({ id, clef }) => `${id} ${clef}`)).toEqual([
      'S treble',
      'A treble',
      'T octave-treble',
      'B bass',
    ]);
    const sung = score.keys.map(({ tonic, lines }) => [
      tonic,
      ...lines[0]!.events.map(({ syllable }) => syllable),
    ]);
    expect(sung).toEqual([
      [65, 'yee', undefined],
      [66, 'yah', undefined],
      [67, 'yee', undefined],
    ]);
  });
  it('of the music alone has as many lines as the music, the highest first', () => {
    const music = {
      kind: 'chord',
      mode: 'major',
      tones: [0, 4, 7],
      beats: 4,
      syllable: 'oo',
    } as const;
    const score = plainScore({ ...exercise, music }, 60, [60])!;
    expect(score.keys[0]!.lines.map(({ events }) => events[0]!.midi)).toEqual([67, 64, 60]);
    expect(
      plainScore({ ...exercise, music: { kind: 'body', moves: [] } }, 60, [60]),
    ).toBeUndefined();
  });
});

describe('a key with every line once', () => {
  const line = (part: string, first: number, ...steps: readonly number[]) => ({
    part,
    events: steps.map((step) => ({ midi: first + step, beats: 1, syllable: 'la' })),
  });
  const score = (...lines: readonly ReturnType<typeof line>[]): Score => ({
    ...{ title: 'x', tempo: 60, mode: 'major', between: 2 },
    parts: lines.map(({ part }) => ({ id: part, name: part }) as Score['parts'][number]),
    keys: [{ tonic: 60, lines }],
  });
  const shown = (one: Score) => oncePerLine(one, 0).keys[0]!.lines.map(({ part }) => part);
  it('shows what parts sing alike by the highest that sings it, octaves apart or not', () => {
    expect(
      shown(score(line('S', 72, 0, 2, 4), line('A', 72, 0, 2, 4), line('B', 48, 0, 2, 4))),
    ).toEqual(['S']);
    expect(
      shown(score(line('S', 72, 0, 2, 4), line('A', 67, 0, 0, 0), line('B', 48, 0, 2, 4))),
    ).toEqual(['S', 'A']);
  });
  it('leaves out who rests, and has nothing where there is no such key', () => {
    const resting = {
      part: 'S',
      events: [{ midi: null, beats: 3 }],
    } as unknown as ReturnType<typeof line>;
    const one = oncePerLine(score(resting, line('A', 67, 0, 2)), 0);
    expect(one.parts.map(({ id }) => id)).toEqual(['A']);
    expect(oncePerLine(score(resting), 3).keys).toEqual([]);
  });
});
