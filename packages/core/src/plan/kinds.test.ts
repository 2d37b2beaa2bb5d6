import type { Sounding } from '../fit/sounding';
import fc from 'fast-check';
import { beatsOfEvents, firstNotes, partLines, type Music, type PatternEvent } from '../exercise';
import { stageWindow } from '../fit/fit';
import { mixedChoir, usualSections, type ChoirPart } from '../voices';
import type { PlannedExercise, SegmentChoices } from './planned';
import { computeSegment } from './segment';

const choices: SegmentChoices = {
  talk: 0,
  demonstrate: 'no',
  tempo: 60,
  repetitions: 3,
  verses: 1,
  shape: 'up',
  step: 1,
  start: null,
};
const compute = (
  music: Music,
  changed: Partial<PlannedExercise> = {},
  parts: readonly ChoirPart[] = mixedChoir,
) =>
  computeSegment(
    {
      id: 'one',
      exercise: {
        phase: 'listening',
        anchor: 'middle',
        music,
        countIn: 0,
        breathBeats: 0,
        keyChangeBeats: 0,
        ...changed,
      },
      choices,
    },
    { sections: usualSections(parts), needs: [] },
  );
const notes: readonly PatternEvent[] = [
  { offset: 0, beats: 1, syllable: 'la' },
  { offset: 4, beats: 1 },
  { offset: 7, beats: 2 },
];
const sung = (sounding: Sounding | undefined) => {
  if (sounding?.does !== 'sing') throw new Error('This part should sing.');
  return sounding;
};

describe('a drone', () => {
  const drone: Music = {
    kind: 'drone',
    mode: 'major',
    held: 0,
    holders: 'lowest',
    syllable: 'oo',
    over: { kind: 'line', notes },
  };
  it('has the lowest part hold its note while the others move', () => {
    const { repetitions, seconds } = compute(drone);
    expect(seconds).toBe(12);
    const { parts, tonic } = repetitions[0]!;
    const bass = sung(parts[3]);
    expect(bass.holds).toBe(true);
    expect(bass.fit.low).toBe(bass.fit.high);
    expect((bass.fit.low - tonic!) % 12).toBeCloseTo(0);
    expect(sung(parts[0]).holds).toBeUndefined();
    const lines = partLines(drone, parts);
    expect(lines[3]!.events).toEqual([{ midi: bass.fit.low, beats: 4, syllable: 'oo' }]);
    expect(lines[0]!.events.map(({ midi }) => midi! - tonic!)).toEqual([0, 4, 7]);
  });
  it('holds in the octave that costs least, whatever the comfort: against every octave tried', () => {
    const section = fc
      .tuple(fc.integer({ min: 40, max: 60 }), fc.integer({ min: 9, max: 20 }))
      .map(([low, width]): ChoirPart => ({
        ...mixedChoir[2]!,
        id: 'X',
        comfort: [low, low + width],
        reach: [low - 3, low + width + 3],
        octave: -12,
      }));
    fc.assert(
      fc.property(section, fc.constantFrom(0, 4, 7), (lowest, held) => {
        const mover: ChoirPart = { ...mixedChoir[0]!, comfort: [55, 84], reach: [50, 88] };
        const { keys } = compute({ ...drone, held }, {}, [mover, lowest]);
        if (keys.kind !== 'ladder' || !keys.sung) throw new Error('There is a ladder.');
        const { tonics, paths } = keys.sung;
        const { comfort, reach } = lowest;
        const [low, high] = stageWindow(comfort, 0.8);
        const cost = (note: number) =>
          Math.max(0, low - note) +
          Math.max(0, note - high) +
          2 * Math.max(0, comfort[0] - note) +
          4 * Math.max(0, note - comfort[1]);
        const moves = paths.find(({ id }) => id === 'X')!.moves;
        // Alone, without changes between keys, no other octave would be cheaper all the way.
        const total = (octave: number) =>
          tonics.reduce((sum, tonic) => sum + cost(tonic + octave + held), 0);
        const chosen = paths.find(({ id }) => id === 'X')!.cost;
        const tried = [-36, -24, -12, 0, 12].filter((octave) =>
          tonics.every((tonic) => {
            const note = tonic + octave + held;
            return note >= reach[0] && note <= reach[1];
          }),
        );
        expect(moves).toHaveLength(3);
        return tried.every((octave) => total(octave) >= chosen);
      }),
    );
  });
  it('lets all sing a text on one pitch, each where it usually sings', () => {
    const text: Music = {
      ...drone,
      holders: 'all',
      over: { kind: 'text', offset: 0, lines: ['one lamp', 'two lamps'], beats: 8 },
    };
    const { parts } = compute(text).repetitions[0]!;
    expect(partLines(text, parts).map(({ events }) => events[0]!.syllable)).toEqual(
      Array(4).fill('one lamp two lamps'),
    );
  });
});

describe('a round', () => {
  const round: Music = { kind: 'round', mode: 'major', notes, entries: 2, apart: 2 };
  it('lasts until the last entry is through, each entry a repetition at its part’s octave', () => {
    const { repetitions, seconds } = compute(round);
    expect(seconds).toBe(18);
    const { parts, tonic } = repetitions[0]!;
    const lines = partLines(round, parts);
    expect(lines.map(({ events }) => events[0]!.midi)).toEqual([tonic, null, tonic! - 12, null]);
    for (const { events } of lines) expect(beatsOfEvents(events)).toBe(6);
    expect(firstNotes(round, parts)).toEqual({
      S: tonic,
      A: tonic,
      T: tonic! - 12,
      B: tonic! - 12,
    });
  });
});

describe('a line for each part', () => {
  const low: readonly PatternEvent[] = [{ offset: 2, beats: 4 }];
  const lines: Music = { kind: 'lines', mode: 'major', lines: [notes, low] };
  it('is fitted to each part by its own notes, and spread over the parts', () => {
    const { keys, repetitions } = compute(lines);
    if (keys.kind !== 'ladder') throw new Error('These are keys.');
    expect(keys.problem.own).toMatchObject({
      S: { lowest: 0, highest: 7 },
      A: { lowest: 0, highest: 7 },
      T: { lowest: 2, highest: 2 },
      B: { lowest: 2, highest: 2 },
    });
    const { parts, tonic } = repetitions[0]!;
    expect(firstNotes(lines, parts)).toMatchObject({ S: tonic, T: tonic! - 10 });
  });
});

describe('a chord entered part by part', () => {
  const chord: Music = {
    kind: 'chord',
    mode: 'major',
    tones: [0, 4, 7],
    beats: 8,
    syllable: 'noo',
    apart: 2,
  };
  it('begins with the lowest part', () => {
    const { parts } = compute(chord).repetitions[0]!;
    const waits = partLines(chord, parts).map(({ events }) =>
      events[0]!.midi === null ? events[0]!.beats : 0,
    );
    expect(waits).toEqual([6, 4, 2, 0]);
  });
});

describe('a part that rests', () => {
  it('is silent for as long as the others sing', () => {
    const music: Music = { kind: 'pattern', mode: 'major', notes };
    const parts: Sounding[] = [{ part: 'S', does: 'rest' }];
    expect(partLines(music, parts)).toEqual([{ part: 'S', events: [{ midi: null, beats: 4 }] }]);
    expect(firstNotes(music, parts)).toEqual({ S: 'rest' });
  });
});

describe('a chord asked for again', () => {
  it('is the same for the same sections, another for others, however often it was asked for', () => {
    const ask = (off: number, repetitions = 2) => {
      const sections = mixedChoir.map((part) => ({
        ...part,
        comfort: [part.comfort[0] + off, part.comfort[1]] as const,
      }));
      const exercise = {
        phase: 'listening',
        anchor: 'middle',
        music: { kind: 'chord', mode: 'major', tones: [0, 4, 7], beats: 4, syllable: 'oo' },
        countIn: 0,
        breathBeats: 0,
        keyChangeBeats: 0,
      } as const;
      const { keys } = computeSegment(
        { id: 'one', exercise, choices: { ...choices, repetitions } },
        { sections: usualSections(sections), needs: [] },
      );
      return keys.kind === 'chord' ? keys.sung : undefined;
    };
    const first = ask(0);
    expect(ask(4)).not.toEqual(first);
    for (let i = 1; i <= 60; i += 1) ask(0, 1 + (i % 9));
    expect(ask(0)).toEqual(first);
    expect(ask(0)!.tonics).toHaveLength(2);
  });
});
