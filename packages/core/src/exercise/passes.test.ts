import fc from 'fast-check';
import { choirScore, plainScore, withInstrument } from '../notation';
import { computeSegment, type PlannedExercise, type SegmentChoices } from '../plan';
import { programme } from '../playing/programme';
import { mixedChoir, usualSections } from '../voices';
import { accompanying, triad } from './accompaniment';
import { beatsOf, beatsOfText, type Music, type OverDrone } from './music';
import { partLines, type PartLine } from './partLines';
import { lineInPass, turnOf, withFurther, type Pass, type Passes } from './passes';

const line: PartLine = {
  part: 'S',
  events: [
    { midi: 60, beats: 1, syllable: 'one', slur: true },
    { midi: 62, beats: 1 },
    { midi: null, beats: 1 },
    { midi: 64, beats: 1, syllable: 'two', dynamic: 'f' },
    { midi: 62, beats: 1, syllable: 'three' },
  ],
};
const sungOn = (pass: Pass) => lineInPass(line, pass).events.map(({ syllable }) => syllable);

describe('a line in one pass', () => {
  it('is sung on the pass’s sounds, one for each syllable, and the last one goes on', () => {
    expect(sungOn({ sounds: ['noo', 'nah', 'nee'] })).toEqual([
      'noo',
      undefined,
      undefined,
      'nah',
      'nee',
    ]);
    expect(sungOn({ sounds: ['noo'] })).toEqual(['noo', undefined, undefined, 'noo', 'noo']);
    expect(sungOn({})).toEqual(['one', undefined, undefined, 'two', 'three']);
  });
  it('has a sound on its first note where it had none', () => {
    const bare = { part: 'S', events: line.events.map(({ midi, beats }) => ({ midi, beats })) };
    const { events } = lineInPass(bare, { sounds: ['mm'] });
    expect(events.map(({ syllable }) => syllable)).toEqual(['mm', ...Array(4).fill(undefined)]);
  });
  it('begins as loud as the pass says, and every note is touched as it says', () => {
    const { events } = lineInPass(line, { dynamic: 'p', articulation: 'short' });
    expect(events.map(({ dynamic }) => dynamic)).toEqual([
      'p',
      undefined,
      undefined,
      'f',
      undefined,
    ]);
    expect(events.map(({ articulation }) => articulation)).toEqual([
      'short',
      'short',
      undefined,
      'short',
      'short',
    ]);
  });
  it('changes neither notes nor lengths, whatever the pass', () => {
    const pass = fc.record({
      sounds: fc.option(fc.array(fc.string({ minLength: 1 }), { minLength: 1 }), {
        nil: undefined,
      }),
      dynamic: fc.option(fc.constantFrom('pp' as const, 'mf' as const), { nil: undefined }),
      articulation: fc.option(fc.constantFrom('bound' as const, 'weighty' as const), {
        nil: undefined,
      }),
    });
    const plain = ({ events }: PartLine) =>
      events.map(({ midi, beats, slur }) => [midi, beats, slur]);
    fc.assert(
      fc.property(pass, (one) => {
        expect(plain(lineInPass(line, one))).toEqual(plain(line));
      }),
    );
  });
  it('takes turns over keys or over the times in a key', () => {
    const passes = (over: Passes['over']): Passes => ({ over, each: [{}, {}, {}] });
    expect([0, 1, 2, 3, 4].map((key) => turnOf(passes('keys'), key, 7))).toEqual([0, 1, 2, 0, 1]);
    expect([0, 1, 2, 3].map((verse) => turnOf(passes('verses'), 5, verse))).toEqual([0, 1, 2, 0]);
  });
  it('carries the words of further passes only where they differ', () => {
    const { events } = withFurther(line, [lineInPass(line, { sounds: ['one', 'nah'] })]);
    expect(events.map(({ further }) => further)).toEqual([
      undefined,
      undefined,
      undefined,
      ['nah'],
      ['nah'],
    ]);
  });
});

describe('what the instrument plays under a key', () => {
  it('lies between G2 and F♯3 from its lowest note, and lasts as long as what is sung', () => {
    const chords = { kind: 'chords', chords: [{ beats: 3, tones: [0, 7] }] } as const;
    fc.assert(
      fc.property(
        fc.integer({ min: 40, max: 80 }),
        fc.integer({ min: 1, max: 32 }),
        (tonic, beats) => {
          const played = accompanying(chords, tonic, beats);
          expect(played.reduce((sum, one) => sum + one.beats, 0)).toBeCloseTo(beats, 9);
          for (const { midis } of played) {
            expect(midis[0]! % 12).toBe(tonic % 12);
            expect(midis[0]).toBeGreaterThanOrEqual(43);
            expect(midis[0]).toBeLessThan(55);
            expect(midis[1]! - midis[0]!).toBe(7);
          }
        },
      ),
    );
  });
  it('is one sound, or chords that begin again where they are shorter', () => {
    expect(accompanying({ kind: 'drone', tones: [0, 12] }, 60, 10)).toEqual([
      { midis: [48, 60], beats: 10 },
    ]);
    const two = {
      kind: 'chords',
      chords: [
        { beats: 2, tones: [0] },
        { beats: 1, tones: [7] },
      ],
    } as const;
    expect(accompanying(two, 60, 4)).toEqual([
      { midis: [48], beats: 2 },
      { midis: [55], beats: 1 },
      { midis: [48], beats: 1 },
    ]);
    expect(triad('phrygian')).toEqual([0, 3, 7, 12]);
  });
});

const pattern: Music = {
  kind: 'pattern',
  mode: 'major',
  notes: [
    { offset: 0, beats: 2, syllable: 'ah' },
    { offset: 4, beats: 2 },
  ],
};
const exercise = {
  ...{ name: 'Coats', phase: 'resonance', anchor: 'middle', music: pattern },
  ...{ countIn: 0, breathBeats: 1, keyChangeBeats: 1 },
  passes: {
    over: 'verses',
    each: [
      { sounds: ['mm'], dynamic: 'pp' },
      { sounds: ['ah'], articulation: 'short' },
    ],
  },
  accompaniment: { kind: 'drone', tones: [0, 7] },
} as const satisfies PlannedExercise & { name: string };
const choices: SegmentChoices = {
  ...{ talk: 0, demonstrate: 'no', tempo: 60, repetitions: 2, verses: 2 },
  ...{ shape: 'up', step: 1, start: 60 },
};

describe('passes and accompaniment in a choir’s score', () => {
  const { repetitions } = computeSegment(
    { id: 'x', exercise, choices },
    { sections: usualSections(mixedChoir), needs: [] },
  );
  const score = choirScore(exercise, 60, mixedChoir, repetitions)!;
  it('stand under one another in each key', () => {
    expect(score.keys).toHaveLength(2);
    for (const { lines, verses, under, tonic } of score.keys) {
      expect(lines[0]!.events[0]).toMatchObject({ syllable: 'mm', further: ['ah'], dynamic: 'pp' });
      expect(verses).toHaveLength(2);
      expect(verses![1]![0]!.events[0]).toMatchObject({ syllable: 'ah', articulation: 'short' });
      expect(under).toEqual([{ midis: [tonic - 12, tonic - 5], beats: 4 }]);
    }
  });
  it('has what the instrument plays on a staff of its own, where it is asked for', () => {
    const { parts, keys } = withInstrument(score);
    expect(parts.map(({ name, clef }) => `${name} ${clef}`).at(-1)).toBe('Instrument bass');
    for (const { lines, tonic } of keys) {
      expect(lines).toHaveLength(parts.length);
      expect(lines.at(-1)!.events).toEqual([{ midi: tonic - 12, above: [tonic - 5], beats: 4 }]);
    }
    const silent = { ...score, keys: score.keys.map(({ lines, tonic }) => ({ lines, tonic })) };
    expect(withInstrument(silent)).toBe(silent);
  });
  it('are heard: softer the first time, shorter the second, the instrument under both', () => {
    const { sounded } = programme({ ...exercise, score, verses: 2 });
    const sung = sounded.filter(({ voice }) => voice === 'S');
    const [first, , third] = sung;
    expect(first!.loudness).toBeLessThan(third!.loudness);
    expect(first!.seconds).toBe(2);
    expect(third!.seconds).toBeLessThan(1);
    // The two notes of the drone under each of four passes, beside the chords that lead to the keys.
    const held = sounded.filter(({ voice, seconds }) => voice === 'chord' && seconds === 4);
    expect(held).toHaveLength(8);
    expect(held.every(({ loudness }) => loudness < first!.loudness)).toBe(true);
  });
  it('over keys are one in each key, also in the music alone', () => {
    const overKeys = { ...exercise, passes: { ...exercise.passes, over: 'keys' as const } };
    const { keys } = plainScore(overKeys, 60, [60, 61, 62])!;
    expect(keys.map(({ lines }) => lines[0]!.events[0]!.syllable)).toEqual(['mm', 'ah', 'mm']);
    expect(keys.every(({ verses }) => verses === undefined)).toBe(true);
  });
});

describe('a text over a drone', () => {
  const over: Extract<OverDrone, { kind: 'text' }> = {
    kind: 'text',
    ...{ offset: 0, lines: ['Come in,', 'sit down.'], beats: 4 },
    ...{ then: [4], canon: { entries: 2, apart: 2 } },
  };
  const music: Music = {
    ...{ kind: 'drone', mode: 'major', held: 0, holders: 'lower half', syllable: 'oo' },
    over,
  };
  it('is sung on each step, then in canon on the last, whoever comes later waiting', () => {
    expect(beatsOfText(over)).toBe(4 + 4 + 6);
    expect(beatsOf(music)).toBe(14);
    const soundings = ['S', 'A', 'T', 'B'].map((part) => ({
      ...{ part, does: 'sing' as const, tonic: 60, away: 0 },
      fit: { low: 60, high: 64, roomAbove: 0, roomBelow: 0, state: 'comfortable' as const },
    }));
    const lines = partLines(music, soundings).map(({ events }) =>
      events.map(({ midi, beats }) => [midi, beats]),
    );
    expect(lines).toEqual([
      [
        [60, 4],
        [64, 4],
        [64, 4],
        [null, 2],
      ],
      [
        [60, 4],
        [64, 4],
        [null, 2],
        [64, 4],
      ],
      [[60, 14]],
      [[60, 14]],
    ]);
  });
});
