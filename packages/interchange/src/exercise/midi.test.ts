import { exercises } from '@wide-fern/catalogue';
import fc from 'fast-check';
import { plainScore, quartersOfBeat, type Music } from '@wide-fern/core';
import { UnreadableFile } from '../common/found';
import { pattern, written } from '../testing/exercises';
import { readMidi } from './read';
import { writeMidi } from '../midi/write';

/** What sounds: pitches with the beats they begin and end on. */
function sounding(music: Music, tonic: number) {
  if (music.kind !== 'pattern') throw new Error('One line is expected.');
  let beat = 0;
  return music.notes.flatMap((event) => {
    const from = beat;
    beat += event.beats;
    return 'offset' in event ? [[tonic + event.offset, from.toFixed(4), beat.toFixed(4)]] : [];
  });
}

/** What is said of each note: its syllable, how loud it begins to be, and what binds it. */
function said(music: Music) {
  if (music.kind !== 'pattern') throw new Error('One line is expected.');
  return music.notes.flatMap((event) =>
    'offset' in event ? [[event.syllable, event.dynamic, event.slur ?? false]] : [],
  );
}

describe('an exercise through a MIDI file', () => {
  it('keeps its pitches and times, in any key and metre', () => {
    fc.assert(
      fc.property(pattern, fc.integer({ min: 55, max: 72 }), (music, tonic) => {
        // Times are read to a 24th of a beat; lengths in between are moved there by the property.
        const coarse = {
          ...music,
          notes: music.notes.map((event) => ({
            ...event,
            beats: Math.max(1, Math.round(event.beats * 24)) / 24,
          })),
        };
        const read = readMidi(writeMidi(plainScore(written(coarse), 90, [tonic])!));
        expect(sounding(read.music, read.tonic)).toEqual(sounding(coarse, tonic));
        expect(said(read.music)).toEqual(said(coarse));
        expect([read.name, read.tempo]).toEqual(['Slate steps', 90]);
        expect(read.music).toMatchObject(music.metre ? { metre: music.metre } : {});
        return quartersOfBeat(music.metre) > 0;
      }),
    );
  });
  it('has a track for each part and every key in turn', () => {
    const one = exercises.find(({ id }) => id === 'borrowed-tune')!;
    const read = readMidi(writeMidi(plainScore(one, 88, [62, 63])!));
    expect(read.music.kind).toBe('lines');
    expect(read.notKept).toEqual([
      { where: 'bar 5', what: 'The key changes; all notes are counted from the first key.' },
    ]);
  });
  it('writes a slide as the semitones on its way', () => {
    const one = exercises.find(({ id }) => id === 'humming-slide')!;
    const { music } = readMidi(writeMidi(plainScore(one, 72, [60])!));
    expect(sounding(music, 60)).toHaveLength(8);
  });
});

describe('a MIDI file that cannot be read', () => {
  const good = writeMidi(
    plainScore(
      exercises.find(({ id }) => id === 'narrow-hum')!,
      84,
      [60],
    )!,
  );
  it.each([
    ['is empty', new Uint8Array()],
    ['is something else', new TextEncoder().encode('RIFF....')],
    ['has a head and nothing else', good.slice(0, 14)],
    ['breaks off within its last track', good.slice(0, -1)],
    ['has fewer tracks than it says', good.slice(0, good.lastIndexOf(0x4d))],
  ])('is refused in words when it %s', (_, bytes) => {
    expect(() => readMidi(bytes)).toThrow(UnreadableFile);
  });
  it('never fails in another way, wherever it breaks off or is damaged', () => {
    fc.assert(
      fc.property(
        fc.integer({ min: 14, max: good.length }),
        fc.array(fc.tuple(fc.nat({ max: good.length - 1 }), fc.integer({ min: 0, max: 255 })), {
          maxLength: 6,
        }),
        (length, changes) => {
          const bytes = good.slice(0, length);
          for (const [at, value] of changes) if (at < length && at > 3) bytes[at] = value;
          try {
            readMidi(bytes);
          } catch (error) {
            expect(error).toBeInstanceOf(UnreadableFile);
          }
        },
      ),
      { numRuns: 300 },
    );
  });
});
