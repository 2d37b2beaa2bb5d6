import { exercises } from '@wide-fern/catalogue';
import {
  choirScore,
  computeSegment,
  mixedChoir,
  programme,
  usualSections,
  type Score,
} from '@wide-fern/core';
import { parseMidi } from 'midi-file';
import { readScoreXml } from '../musicxml/readScoreXml';
import { writeScoreXml } from '../musicxml/writeScoreXml';
import { writeWarmUpMidi } from './midi';
import { warmUpScore } from './score';

const sections = usualSections(mixedChoir).map((section) => ({ ...section, singers: 8 }));
const tonight = { sections, needs: [] };
const segment = (id: string) => {
  const exercise = exercises.find((one) => one.id === id)!;
  const choices = { ...exercise.usual, start: null };
  const computed = computeSegment({ id, exercise, choices }, tonight);
  const score = choirScore(exercise, choices.tempo, sections, computed.repetitions)!;
  return { exercise, choices, computed, score };
};
const all = ['narrow-hum', 'pulley', 'lantern-chord'].map(segment);
const scores: Score[] = all.map(({ score }) => score);

describe('a whole warm-up as one score', () => {
  const whole = warmUpScore('Tuesday', scores);
  it('has each part once, and every key of every segment in turn', () => {
    expect(whole.staves.map(({ name }) => name).slice(0, 4)).toEqual(
      sections.map(({ many }) => many),
    );
    expect(new Set(whole.staves.map(({ id }) => id)).size).toBe(whole.staves.length);
    const keys = scores.reduce((sum, one) => sum + one.keys.length, 0);
    expect(whole.keys).toHaveLength(keys);
    expect(whole.tempos).toHaveLength(scores.length);
    const bars = whole.keys.map(({ bar }) => bar);
    expect(bars).toEqual([...bars].sort((a, b) => a - b));
  });
  it('holds every note that is sung, and only those, also when it is read again as MusicXML', () => {
    const sung = (place: number) =>
      scores.flatMap(({ keys }) =>
        keys.flatMap(({ lines }) =>
          lines[place]!.events.flatMap(({ midi }) => (midi === null ? [] : [midi])),
        ),
      );
    const heard = (score: typeof whole, place: number) =>
      score.staves[place]!.notes.flatMap(({ midi, tieStop }) => (tieStop ? [] : [midi]));
    const read = readScoreXml(writeScoreXml(whole));
    expect(read.bars).toHaveLength(whole.bars.length);
    sections.forEach((_, place) => {
      expect(sung(place).length).toBeGreaterThan(10);
      expect(heard(whole, place)).toEqual(sung(place));
      expect(heard(read, place)).toEqual(sung(place));
    });
  });
});

describe('a whole warm-up as MIDI', () => {
  let from = 0;
  const heard = all.map(({ exercise, choices, computed, score }) => {
    const one = {
      name: exercise.name,
      from: from + choices.talk,
      heard: programme({ score, verses: choices.verses, ...exercise }),
    };
    from += computed.seconds;
    return one;
  });
  const file = parseMidi(
    writeWarmUpMidi(
      'Tuesday',
      sections.map(({ id, many }) => ({ id, name: many })),
      heard,
    ),
  );
  /** Seconds at which notes of a track begin. */
  const begins = (track: (typeof file.tracks)[number]) => {
    let ticks = 0;
    return track.flatMap((event) => {
      ticks += event.deltaTime;
      return event.type === 'noteOn' ? [ticks / file.header.ticksPerBeat!] : [];
    });
  };
  it('is on the clock of the plan, part by part, with chords and counts', () => {
    expect(file.tracks).toHaveLength(1 + sections.length + 2);
    sections.forEach(({ id }, i) => {
      const expected = heard.flatMap((one) =>
        one.heard.sounded.filter(({ voice }) => voice === id).map(({ at }) => one.from + at),
      );
      const found = begins(file.tracks[1 + i]!);
      for (const at of expected) {
        expect(Math.min(...found.map((one) => Math.abs(one - at)))).toBeLessThan(0.002);
      }
    });
    expect(begins(file.tracks.at(-2)!).length).toBeGreaterThan(10);
    const markers = file.tracks[0]!.filter(({ type }) => type === 'marker');
    expect(markers).toHaveLength(all.length);
  });
});
