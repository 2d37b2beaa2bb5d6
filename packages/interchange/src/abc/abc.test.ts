import { exercises } from '@wide-fern/catalogue';
import fc from 'fast-check';
import { plainScore, type Music } from '@wide-fern/core';
import { UnreadableFile } from '../common/found';
import { pattern, written } from '../testing/exercises';
import { readAbc } from './read';
import { writeAbc } from './write';

const abcOf = (music: Music, tonic = 63) => writeAbc(plainScore(written(music), 84, [tonic])!);

describe('an exercise through ABC', () => {
  it('comes back as it was, in any key, mode and metre', () => {
    fc.assert(
      fc.property(pattern, fc.integer({ min: 55, max: 72 }), (music, tonic) => {
        // 128th notes are read, with a warning that they could not be drawn.
        const { notKept: _, ...read } = readAbc(abcOf(music, tonic));
        expect(read).toEqual({ name: 'Slate steps', music, tonic, tempo: 84 });
      }),
      { numRuns: 200 },
    );
  });
  it('comes back as it was: every line of the catalogue', () => {
    for (const { id, music } of exercises) {
      if (music.kind !== 'pattern') continue;
      const read = readAbc(abcOf(music));
      expect([id, read.music, read.notKept]).toEqual([id, music, []]);
    }
  });
});

describe('an ABC tune from elsewhere', () => {
  const tune = (body: string, head = 'M:4/4\nL:1/8\nK:G') => `X:1\nT:Tune\n${head}\n${body}\n`;
  it('takes accidentals to the bar line, ties, dotted pairs and the words', () => {
    const read = readAbc(tune('^cc c=c|c2 B>A G4-|G4|]\nw:noo * * * * a-long the lane'));
    if (read.music.kind !== 'pattern') throw new Error('One line is expected.');
    expect(read.tonic).toBe(67);
    expect(read.music.notes.map((one) => ('offset' in one ? one.offset : null))).toEqual([
      6, 6, 6, 5, 5, 4, 2, 0,
    ]);
    expect(read.music.notes.at(-1)).toMatchObject({ beats: 4 });
    expect(read.music.notes[0]).toMatchObject({ syllable: 'noo' });
  });
  it('says what it cannot keep', () => {
    const { notKept } = readAbc(tune('|: {a}"G"G4 [GB]4 :|'));
    expect(notKept.map(({ what }) => what)).toEqual([
      'Repeats are not carried out: every bar is read once.',
      'Grace notes are left out.',
      'Chord symbols are left out.',
      'Where several notes sound together, the highest is kept.',
    ]);
  });
  it.each([
    ['nothing', ''],
    ['no key', 'X:1\nT:Nothing\nabc'],
    ['no notes', 'X:1\nK:C\nz4|'],
  ])('is refused in words when it holds %s', (_, text) => {
    expect(() => readAbc(text)).toThrow(UnreadableFile);
  });
});
