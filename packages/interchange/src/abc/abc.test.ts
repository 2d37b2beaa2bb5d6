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

describe('what ABC has no form for', () => {
  it('is kept: every slide of the catalogue comes back', () => {
    const slides = exercises.filter(
      ({ music }) => music.kind === 'glide' && music.ownPitch === undefined,
    );
    expect(slides.length).toBeGreaterThan(3);
    for (const { id, music } of slides) {
      const text = abcOf(music, 60);
      expect([id, readAbc(text).music, readAbc(text).notKept]).toEqual([id, music, []]);
    }
  });
  it('is written for every part that sings, and for none that only rests', () => {
    const lines: Music = {
      kind: 'lines',
      mode: 'major',
      metre: { beats: 4, unit: 4 },
      lines: [[{ rest: true, beats: 4 }], [{ offset: 4, beats: 4 }], [{ offset: 0, beats: 4 }]],
    };
    const text = abcOf(lines, 60);
    expect(text.match(/^V:\d+ name/gm)).toHaveLength(2);
    const read = readAbc(text);
    expect(read.music).toEqual({ ...lines, lines: lines.lines.slice(1) });
  });
  it('keeps a text that is spoken on one note whole', () => {
    const words = 'the slate is wet and the lantern is lit '.repeat(9).trim();
    const music: Music = {
      kind: 'pattern',
      mode: 'major',
      notes: [{ offset: 0, beats: 4, syllable: words }],
    };
    expect(readAbc(abcOf(music)).music).toMatchObject({ notes: [{ syllable: words }] });
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
  const offsets = (text: string) => {
    const { music } = readAbc(text);
    if (music.kind !== 'pattern') throw new Error('One line is expected.');
    return music.notes.map((one) => ('offset' in one ? one.offset : null));
  };
  it('counts an accidental for its letter in every octave, unless the tune says otherwise', () => {
    const head = 'M:4/4\nL:1/4\nK:C';
    expect(offsets(tune('^FFfF|F4', head))).toEqual([6, 6, 18, 6, 5]);
    expect(offsets(tune('^FFfF|', `${head}\n%%propagate-accidentals octave`))).toEqual([
      6, 6, 17, 6,
    ]);
    expect(offsets(tune('^FFfF|', `${head}\n%%propagate-accidentals not`))).toEqual([6, 5, 17, 5]);
  });
  it('writes accidentals so that either way of counting reads the same', () => {
    const music: Music = {
      kind: 'pattern',
      mode: 'major',
      metre: { beats: 4, unit: 4 },
      notes: [6, 17, 5, 18].map((offset) => ({ offset, beats: 1 })),
    };
    const text = abcOf(music, 60);
    for (const way of ['', '%%propagate-accidentals octave\n']) {
      expect(offsets(text.replace('K:C', `${way}K:C`))).toEqual([6, 17, 5, 18]);
    }
  });
  it('takes a key in the middle of a line from there on', () => {
    expect(offsets(tune('FF|[K:D]FF', 'M:2/4\nL:1/4\nK:C'))).toEqual([5, 5, 6, 6]);
  });
  it('sounds an octave lower in the clef that says so', () => {
    const two = 'V:1 clef=treble\nV:2 clef=treble-8\nV:1\nc4|\nV:2\nG4|';
    const { music } = readAbc(tune(two, 'M:4/4\nL:1/4\nK:C'));
    // Over the treble's octave the tenor lies a fourth below: it sounds from G3.
    expect(music).toMatchObject({ lines: [[{ offset: 0 }], [{ offset: -5 }]] });
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
