import { performanceOrder } from '@wide-fern/core';
import { writeMidi as bytesOf, type MidiEvent } from 'midi-file';
import { figures } from '../testing/scores';
import { UnreadableFile } from '../common/found';
import { readScore } from '../readScore';

const ticks = 480;
type Event = MidiEvent & { deltaTime: number };
const on = (midi: number, after = 0, channel = 0): Event => ({
  type: 'noteOn',
  deltaTime: after,
  channel,
  noteNumber: midi,
  velocity: 80,
});
const off = (midi: number, after: number, channel = 0): Event => ({
  type: 'noteOff',
  deltaTime: after,
  channel,
  noteNumber: midi,
  velocity: 0,
});
const note = (midi: number, quarters: number, channel = 0) => [
  on(midi, 0, channel),
  off(midi, quarters * ticks, channel),
];
const named = (text: string): Event => ({ type: 'trackName', deltaTime: 0, text, meta: true });
const tempo = (perMinute: number, after = 0): Event => ({
  type: 'setTempo',
  deltaTime: after,
  microsecondsPerBeat: 60_000_000 / perMinute,
  meta: true,
});
const time = (numerator: number, denominator: number, after = 0): Event => ({
  type: 'timeSignature',
  deltaTime: after,
  numerator,
  denominator,
  metronome: 24,
  thirtyseconds: 8,
  meta: true,
});
const end: Event = { type: 'endOfTrack', deltaTime: 0, meta: true };
const file = (format: 0 | 1, ...tracks: Event[][]) =>
  new Uint8Array(
    bytesOf({
      header: { format, numTracks: tracks.length, ticksPerBeat: ticks },
      tracks: tracks.map((track) => [...track, end]),
    }),
  );

describe('a MIDI file as a score', () => {
  it('of type 1 has a part for each track, by its name or its place', () => {
    const conductor = [named('Slate'), tempo(60), time(4, 4)];
    const tracks = [72, 67, 60, 48].map((midi, i) => [
      named(['Sopran', 'Alt', 'Tenor', 'Bass'][i]!),
      ...note(midi, 4),
      ...note(midi + 2, 4),
    ]);
    const score = readScore(file(1, conductor, ...tracks));
    expect(score.title).toBe('Slate');
    expect(figures(score).T).toMatchObject({
      lowest: 60,
      highest: 62,
      highestBar: 2,
      histogram: { 60: 4, 62: 4 },
    });
    const unnamed = readScore(file(1, conductor, ...tracks.map(([, ...notes]) => notes)));
    expect(Object.keys(figures(unnamed))).toEqual(['S', 'A', 'T', 'B']);
  });
  it('of type 0 has a part for each channel', () => {
    const score = readScore(
      file(0, [
        tempo(60),
        on(72, 0, 0),
        on(67, 0, 1),
        on(60, 0, 2),
        on(48, 0, 3),
        off(72, 4 * ticks, 0),
        off(67, 0, 1),
        off(60, 0, 2),
        off(48, 0, 3),
      ]),
    );
    expect(Object.keys(figures(score))).toEqual(['S', 'A', 'T', 'B']);
    expect(performanceOrder(score).seconds).toBe(4);
  });
  it('cuts notes at bar lines, follows changes of metre and tempo, and closes how notes were played', () => {
    const score = readScore(
      file(
        1,
        [tempo(60), time(3, 4), time(2, 4, 3 * ticks), tempo(120, 0)],
        // Five quarters, of which the last tenth of a quarter was let go.
        [named('Alto'), on(67), off(67, 4.9 * ticks), ...[on(69, 0.1 * ticks), off(69, 2 * ticks)]],
      ),
    );
    expect(score.bars.map(({ number, quarters }) => [number, quarters])).toEqual([
      [1, 3],
      [2, 2],
      [3, 2],
    ]);
    // Three quarters at 60, then four at 120, without a rest.
    expect(figures(score).A).toMatchObject({
      histogram: { 67: 4, 69: 1 },
      longestPhrase: { seconds: 5, fromBar: 1, toBar: 3 },
    });
  });
  it('takes 96 a minute where it names no tempo, and sings its lyrics', () => {
    const word = { type: 'lyrics', deltaTime: 0, text: 'slate', meta: true } as Event;
    const score = readScore(file(1, [], [named('Alto'), word, ...note(67, 4)]));
    expect(performanceOrder(score).seconds).toBeCloseTo(2.5, 9);
    expect(score.staves[0]!.notes[0]!.syllables).toEqual(['slate']);
    expect(score.warnings.map(({ what }) => what)).toContain(
      'The file names no tempo; 96 quarter notes a minute are taken.',
    );
  });
  it('that breaks off or holds nothing is refused in words', () => {
    const whole = file(1, [named('Alto'), ...note(67, 4)]);
    expect(() => readScore(whole.slice(0, 30))).toThrow(UnreadableFile);
    expect(() => readScore(file(1, [tempo(60)]))).toThrow(/no note/);
  });
});

describe('what stands beside the notes of a MIDI file', () => {
  const lyric = (text: string, after = 0): Event => ({
    type: 'lyrics',
    deltaTime: after,
    text,
    meta: true,
  });
  it('is passed over where it belongs to a program', () => {
    const bytes = file(1, [named('Slate'), tempo(60)], [named('Alto'), ...note(60, 4)]);
    const chunk = [...new TextEncoder().encode('XFIH'), 0, 0, 0, 3, 1, 2, 3];
    const head = bytes.subarray(0, 14);
    const odd = Uint8Array.from([...head, ...chunk, ...bytes.subarray(14), ...chunk]);
    expect(figures(readScore(odd)).A).toMatchObject({ lowest: 60 });
  });
  it('gives the words of a track of their own to the line they are sung with', () => {
    const line = (midi: number) => [0, 1, 2, 3].flatMap(() => note(midi, 1));
    const words = ['slate', 'on', 'sto-', 'ne'].map((text, i) => lyric(text, i === 0 ? 0 : ticks));
    const held = [named('Bass'), ...note(48, 4)];
    const score = readScore(
      file(1, [named('Words'), ...words], held, [named('Alto'), ...line(60)]),
    );
    const alto = score.staves.find(({ name }) => name === 'Alto')!;
    expect(alto.notes.map(({ syllables }) => syllables?.[0])).toEqual([
      'slate',
      'on',
      'sto-',
      'ne',
    ]);
    expect(score.staves.find(({ name }) => name === 'Bass')!.notes[0]!.syllables).toBeUndefined();
  });
  it('is no tempo where nobody could sing so', () => {
    const fast: Event = { type: 'setTempo', deltaTime: 0, microsecondsPerBeat: 1, meta: true };
    const score = readScore(file(1, [named('x'), fast], [named('Alto'), ...note(60, 4)]));
    expect(score.tempos).toEqual([]);
  });
});
