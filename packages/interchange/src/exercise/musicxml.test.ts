import { schemaFaults } from '../testing/schema';
import { exercises } from '@wide-fern/catalogue';
import fc from 'fast-check';
import { beatsOf, plainScore, type Music } from '@wide-fern/core';
import { UnreadableFile } from '../common/found';
import { line, pattern, written } from '../testing/exercises';
import { readMusicXml } from './read';
import { readTree as treeOf, type Tree } from '../xml/tree';
import { writeMusicXml } from './write';

const readTree = (xml: string) => treeOf(xml, { tags: 1e6, tooMany: 'too many' });
const xmlOf = (music: Music, tonics: readonly number[] = [63], name?: string) =>
  writeMusicXml(plainScore(written(music, name), 84, tonics)!);

describe('an exercise through MusicXML', () => {
  it('comes back as it was: a line in any key, mode and metre', () => {
    fc.assert(
      fc.property(pattern, fc.integer({ min: 55, max: 72 }), (music, tonic) => {
        const read = readMusicXml(xmlOf(music, [tonic]));
        expect(read).toEqual({ name: 'Slate steps', music, tonic, tempo: 84, notKept: [] });
      }),
    );
  });
  it('comes back as it was: a line for each part', () => {
    fc.assert(
      fc.property(fc.array(line, { minLength: 2, maxLength: 4 }), (lines) => {
        const longest = Math.max(
          ...lines.map((one) => beatsOf({ kind: 'pattern', mode: 'major', notes: one })),
        );
        // Lines of one exercise are equally long.
        const filled = lines.map((one) => {
          const missing = longest - beatsOf({ kind: 'pattern', mode: 'major', notes: one });
          return missing > 1e-9
            ? [...one, { rest: true as const, beats: Math.round(missing * 96) / 96 }]
            : one;
        });
        fc.pre(JSON.stringify(filled[0]) !== JSON.stringify(filled[1]));
        const music: Music = { kind: 'lines', mode: 'major', lines: filled };
        expect(readMusicXml(xmlOf(music)).music).toEqual(music);
      }),
    );
  });
  it('comes back as it was: every slide of the catalogue', () => {
    // That everyone has an own pitch is said in no notation.
    const slides = exercises.filter(
      ({ music }) => music.kind === 'glide' && music.ownPitch === undefined,
    );
    expect(slides.length).toBeGreaterThan(5);
    for (const { id, music } of slides) {
      const read = readMusicXml(xmlOf(music));
      expect([id, beatsOf(read.music), read.music.kind]).toEqual([id, beatsOf(music), 'glide']);
      if (id !== 'crane-hook') expect(read.music).toEqual(music);
    }
  });
  it('writes every key of a ladder, one after the other', () => {
    const { music } = exercises.find(({ id }) => id === 'narrow-hum')!;
    const tree = readTree(xmlOf(music, [60, 61, 62]));
    const part = tree.children.find(({ name }) => name === 'part')!;
    const fifths = part.children.flatMap((measure) =>
      measure.children
        .filter(({ name }) => name === 'attributes')
        .map((one) => one.children.find(({ name }) => name === 'key'))
        .flatMap((key) => key?.children[0]?.text ?? []),
    );
    expect(fifths).toEqual(['0', '-5', '2']);
    expect(readMusicXml(xmlOf(music, [60, 61])).notKept).toEqual([
      { where: 'bar 4', what: 'The key changes; all notes are counted from the first key.' },
    ]);
  });
  it('comes back with its pick-up', () => {
    const found = exercises.filter(({ music }) => 'metre' in music && music.metre?.pickUp);
    expect(found.length).toBeGreaterThan(0);
    for (const { music } of found) expect(readMusicXml(xmlOf(music)).music).toEqual(music);
  });
  it('writes the words and the touch of every pass, and the instrument on a staff of its own', () => {
    const { music, name } = exercises.find(({ id }) => id === 'before-the-bar')!;
    const xml = writeMusicXml(
      plainScore(
        {
          ...written(music, name),
          passes: {
            over: 'verses',
            each: [{}, { sounds: ['noo'], articulation: 'short' }, { sounds: ['nah'] }],
          },
          accompaniment: { kind: 'chords', chords: [{ beats: 4, tones: [0, 4, 7] }] },
        },
        84,
        [60],
      )!,
    );
    expect(xml).toContain('<lyric number="2">');
    expect(xml).toContain('<lyric number="3">');
    expect(xml).toContain('<part-name>Instrument</part-name>');
    expect(schemaFaults(xml)).toEqual([]);
    const read = readMusicXml(xml);
    expect(read.music).toEqual(music);
    expect(read.notKept).toEqual([
      { where: 'Instrument', what: 'What is played under the singers is left out.' },
      { where: 'Line', what: 'Only the first verse is kept.' },
    ]);
  });
  it('keeps its name, whatever is in it', () => {
    const name = '<“Ampersand” & Söhne>';
    const { music } = exercises.find(({ id }) => id === 'narrow-hum')!;
    expect(readMusicXml(xmlOf(music, [60], name)).name).toBe(name);
  });
});

describe('a written file', () => {
  it('keeps to the schema, for every pitched built-in and any line', () => {
    for (const exercise of exercises) {
      const { id } = exercise;
      const score = plainScore(exercise, 84, [60, 61]);
      if (!score) continue;
      expect([id, schemaFaults(writeMusicXml(score))]).toEqual([id, []]);
    }
    fc.assert(
      fc.property(pattern, (music) => {
        expect(schemaFaults(xmlOf(music))).toEqual([]);
      }),
    );
  });
  it('names a voice as the instrument of each part', () => {
    const { music } = exercises.find(({ id }) => id === 'narrow-hum')!;
    expect(xmlOf(music)).toContain('<instrument-sound>voice.vocals</instrument-sound>');
  });
  it('says where each triplet begins and ends, and both stand at notes of one', () => {
    fc.assert(
      fc.property(pattern, (music) => {
        const part = readTree(xmlOf(music)).children.find(({ name }) => name === 'part')!;
        for (const measure of part.children) {
          let open = false;
          for (const { name, children } of measure.children) {
            if (name !== 'note') continue;
            const isThird = children.some((one) => one.name === 'time-modification');
            const signs = children
              .filter((one) => one.name === 'notations')
              .flatMap((one) => one.children.filter((sign) => sign.name === 'tuplet'))
              .map(({ attributes }) => attributes.type);
            if (signs.includes('start')) {
              expect(open).toBe(false);
              open = true;
            }
            // Inside a triplet there is nothing else, and outside none of its notes.
            expect(isThird).toBe(open);
            if (signs.includes('stop')) open = false;
          }
          expect(open).toBe(false);
        }
      }),
    );
  });
  it('has bars that are as long as their notes say, in every part', () => {
    fc.assert(
      fc.property(pattern, (music) => {
        const part = readTree(xmlOf(music)).children.find(({ name }) => name === 'part')!;
        const quarters = part.children.flatMap((measure) =>
          measure.children
            .filter(({ name }) => name === 'note')
            .map(
              (note) => Number(note.children.find(({ name }) => name === 'duration')!.text) / 96,
            ),
        );
        const total = quarters.reduce((sum, one) => sum + one, 0);
        return Math.abs(total - (beatsOf(music) * 4) / (music.metre?.unit ?? 4)) < 1e-6;
      }),
    );
  });
  it('shows every note as long as it says: by its head, its dots and its triplet', () => {
    // A silent bar has no head; it is a bar long.
    const isBarRest = (children: readonly Tree[]) =>
      children.some(({ attributes }) => attributes.measure === 'yes');
    const heads = ['breve', 'whole', 'half', 'quarter', 'eighth', '16th', '32nd', '64th', '128th'];
    fc.assert(
      fc.property(pattern, (music) => {
        const part = readTree(xmlOf(music)).children.find(({ name }) => name === 'part')!;
        const notes = part.children.flatMap(({ children }) =>
          children.filter(({ name }) => name === 'note'),
        );
        for (const { children } of notes) {
          if (isBarRest(children)) continue;
          const text = (name: string) => children.find((one) => one.name === name)!.text;
          const head = 8 / 2 ** heads.indexOf(text('type'));
          const dots = children.filter(({ name }) => name === 'dot').length;
          const third = children.some(({ name }) => name === 'time-modification') ? 2 / 3 : 1;
          const shown = head * (2 - 0.5 ** dots) * third;
          // Durations are whole 96ths of a quarter.
          expect(Math.abs(Number(text('duration')) / 96 - shown)).toBeLessThan(1 / 96);
        }
      }),
    );
  });
});

const measure = (notes: string, attributes = '') =>
  `<score-partwise version="3.1"><part-list><score-part id="P1"><part-name>Tune</part-name></score-part></part-list><part id="P1"><measure number="1"><attributes><divisions>2</divisions>${attributes}</attributes>${notes}</measure></part></score-partwise>`;
const note = (step: string, octave: number, more = '') =>
  `<note><pitch><step>${step}</step><octave>${octave}</octave></pitch><duration>2</duration>${more}</note>`;

describe('a file from elsewhere', () => {
  it('is read on the likely tonic, without a key as C major', () => {
    const read = readMusicXml(measure(note('E', 4) + note('G', 4)));
    expect(read).toMatchObject({
      tonic: 60,
      music: { mode: 'major', notes: [{ offset: 4 }, { offset: 7 }] },
    });
    const low = readMusicXml(measure(note('G', 3) + note('C', 4)));
    expect(low).toMatchObject({ tonic: 60, music: { notes: [{ offset: -5 }, { offset: 0 }] } });
  });
  it('sounds where transposing parts and octave clefs sound', () => {
    const clef =
      '<clef><sign>G</sign><line>2</line><clef-octave-change>-1</clef-octave-change></clef>';
    expect(readMusicXml(measure(note('C', 3), clef))).toMatchObject({
      tonic: 60,
      music: { notes: [{ offset: 0 }] },
    });
    const transpose = '<transpose><chromatic>-2</chromatic></transpose>';
    expect(readMusicXml(measure(note('D', 4), transpose))).toMatchObject({
      music: { notes: [{ offset: 0 }] },
    });
  });
  it('takes two voices on a staff as two lines, with rests where one is silent', () => {
    const two =
      note('G', 4, '<voice>1</voice>') +
      note('A', 4, '<voice>1</voice>') +
      '<backup><duration>2</duration></backup>' +
      note('C', 4, '<voice>2</voice>');
    expect(readMusicXml(measure(two)).music).toEqual({
      kind: 'lines',
      mode: 'major',
      lines: [
        [
          { offset: 7, beats: 1 },
          { offset: 9, beats: 1 },
        ],
        [
          { rest: true, beats: 1 },
          { offset: 0, beats: 1 },
        ],
      ],
    });
  });
  it('says line by line what it cannot keep', () => {
    const much =
      '<direction><direction-type><wedge type="crescendo"/></direction-type></direction>' +
      '<harmony/>' +
      note('C', 4, '<notations><ornaments><trill-mark/></ornaments></notations>') +
      `<note><chord/><pitch><step>E</step><octave>4</octave></pitch><duration>2</duration></note>` +
      `<note><grace/><pitch><step>E</step><octave>4</octave></pitch></note>` +
      '<barline><repeat direction="backward" times="1000000"/></barline>';
    const { notKept, music } = readMusicXml(measure(much));
    expect(music).toMatchObject({ notes: [{ offset: 4, beats: 1 }] });
    expect(notKept.map(({ where, what }) => `${where}: ${what}`)).toEqual([
      ': Chord symbols are left out.',
      'Tune, bar 1: The ornament is counted as the plain note.',
      'Tune, bar 1: Grace notes are left out.',
      'bar 1: Repeats are not carried out: every bar is read once.',
      'Tune: Where several notes sound together, the highest is kept.',
    ]);
  });
  it.each([
    ['nothing', ''],
    ['no XML', 'just words'],
    ['a page', '<html><body>no</body></html>'],
    ['a score by bars without any', '<score-timewise version="4.0"/>'],
    ['no notes', '<score-partwise><part-list/></score-partwise>'],
    [
      'entities that grow',
      '<!DOCTYPE x [<!ENTITY a "aaaa"><!ENTITY b "&a;&a;&a;">]><score-partwise>&b;</score-partwise>',
    ],
    [
      'a note without a length',
      measure('<note><pitch><step>C</step><octave>4</octave></pitch></note>'),
    ],
    [
      'a note of no step',
      measure('<note><pitch><octave>4</octave></pitch><duration>2</duration></note>'),
    ],
    [
      'counting by nothing',
      measure(note('C', 4), '<divisions>0</divisions>').replace('<divisions>2</divisions>', ''),
    ],
    ['deep nesting', '<a>'.repeat(5000) + '</a>'.repeat(5000)],
  ])('is refused in words when it holds %s', (_, xml) => {
    expect(() => readMusicXml(xml)).toThrow(UnreadableFile);
  });
});
