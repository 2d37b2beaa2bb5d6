import { exercises } from '@wide-fern/catalogue';
import { exerciseFileSchema, z } from '@wide-fern/contract';
import { plainScore } from '@wide-fern/core';
import { zipSync } from 'fflate';
import { readFileSync } from 'node:fs';
import {
  compress,
  readFile,
  writeAbc,
  writeCsv,
  writeJson,
  writeMidi,
  writeMusicXml,
} from './index';
import { UnreadableFile } from './common/found';

const bytes = (text: string) => new TextEncoder().encode(text);
const hum = exercises.find(({ id }) => id === 'narrow-hum')!;
const score = plainScore(hum, 84, [62])!;
const messageOf = (name: string, file: Uint8Array): string => {
  try {
    readFile(name, file);
  } catch (error) {
    if (error instanceof UnreadableFile) return error.message;
    throw error;
  }
  return 'It was read.';
};

describe('a file', () => {
  it('is known by what is in it, in every format that is written', () => {
    const xml = writeMusicXml(score);
    const files: [string, Uint8Array][] = [
      ['hum.musicxml', bytes(xml)],
      ['hum.mxl', compress(xml)],
      ['hum.mid', writeMidi(score)],
      ['hum.abc', bytes(writeAbc(score))],
      ['named-wrongly.txt', compress(xml)],
    ];
    for (const [name, file] of files) {
      const read = readFile(name, file);
      if (read.kind !== 'music') throw new Error(`${name} holds music.`);
      const offsets =
        read.music.kind === 'pattern' &&
        read.music.notes.map((note) => 'offset' in note && note.offset);
      expect([name, read.name, read.tonic, offsets]).toEqual([
        name,
        'Narrow hum',
        62,
        [7, 5, 4, 2, 0],
      ]);
    }
  });
  it('is read in the encoding its first bytes name', () => {
    const xml = writeMusicXml({ ...score, title: 'Süßer Ton' });
    const wide = new Uint8Array(2 + xml.length * 2);
    wide.set([0xff, 0xfe]);
    [...xml].forEach((letter, i) => {
      const code = letter.charCodeAt(0);
      wide.set([code & 255, code >> 8], 2 + 2 * i);
    });
    expect(readFile('x.xml', wide)).toMatchObject({ name: 'Süßer Ton' });
    const latin = Uint8Array.from(xml.replace('UTF-8', 'ISO-8859-1'), (letter) =>
      letter.charCodeAt(0),
    );
    expect(readFile('x.xml', latin)).toMatchObject({ name: 'Süßer Ton' });
  });
});

describe('a catalogue as JSON', () => {
  it('comes back whole', () => {
    const read = readFile('all.json', bytes(writeJson(exercises)));
    expect(read).toEqual({ kind: 'exercises', exercises, notKept: [] });
  });
  it('says which exercise is wrong and takes the others', () => {
    const broken = { ...hum, cue: 'x'.repeat(91) };
    const text = writeJson([hum]).replace(/\[\n {4}\{/, `[${JSON.stringify(broken)},\n    {`);
    const read = readFile('all.json', bytes(text));
    expect(read).toMatchObject({
      exercises: [hum],
      notKept: [{ where: 'Narrow hum', what: 'cue: At most 90 characters.' }],
    });
  });
  it('has a published schema that is the one in force', () => {
    const published = new URL('../../../docs/exercises.schema.json', import.meta.url);
    const inForce = z.toJSONSchema(exerciseFileSchema, { target: 'draft-2020-12' });
    expect(JSON.parse(readFileSync(published, 'utf8'))).toEqual(
      JSON.parse(JSON.stringify(inForce)),
    );
  });
});

describe('a list as CSV', () => {
  it('brings its lines back', () => {
    const lines = exercises.filter(({ music }) => music.kind === 'pattern');
    const read = readFile('list.csv', bytes(writeCsv(lines)));
    if (read.kind !== 'exercises') throw new Error('A list holds exercises.');
    expect(read.notKept).toEqual([]);
    read.exercises.forEach((one, i) => {
      const { name, figure, phase, purposes, purpose, cue, effort, difficulty, music } = lines[i]!;
      // Purposes have no order in a list.
      expect({ ...one, purposes: [...one.purposes].sort() }).toMatchObject({
        name,
        figure,
        phase,
        purposes: [...purposes].sort(),
        purpose,
        cue,
        effort,
        difficulty,
        music: music.kind === 'pattern' ? { mode: music.mode, notes: music.notes } : music,
      });
    });
  });
  it('says row by row what has no line, and where a line stops', () => {
    const text = 'name,line\nGood one,1 2 3\n,1 2\nNo line,\nWrong,1 2 x\n';
    const read = readFile('list.csv', bytes(text));
    expect(read).toMatchObject({ exercises: [{ name: 'Good one', id: 'good-one' }] });
    expect(read.notKept.map(({ where, what }) => `${where}: ${what}`)).toEqual([
      'row 3: There is no name; write one in the column “name”.',
      'row 4: No line has no line of notes; a list can only bring lines.',
      expect.stringMatching(/^row 5: Wrong: the line stops at character 5\./),
    ]);
  });
  it('writes no cell that a table would take for a formula', () => {
    const [, row] = writeCsv([{ ...hum, name: '=1+1' }]).split('\r\n');
    expect(row).toMatch(/^"'=1\+1",/);
    expect(readFile('x.csv', bytes(writeCsv([{ ...hum, name: '=1+1' }])))).toMatchObject({
      exercises: [{ name: '=1+1' }],
    });
  });
});

describe('a file that means no good, or is broken', () => {
  it.each([
    ['empty', 'x.xml', new Uint8Array(), /empty/],
    ['of another kind', 'x.png', bytes('PNG'), /This kind of file is not read/],
    ['100 MB long', 'x.xml', new Uint8Array(100_000_000), /100 MB; files up to 5 MB/],
    ['in letters that are none', 'x.abc', new Uint8Array([0x58, 0x3a, 0xff, 0xfe, 0x80]), /UTF-8/],
    ['JSON of something else', 'x.json', bytes('{"a":1}'), /holds no exercises/],
    ['JSON that breaks off', 'x.json', bytes('{"format":"wide'), /breaks off/],
    ['a list without columns', 'x.csv', bytes('a,b\n1,2\n'), /no columns/],
    [
      'an archive without a score',
      'x.mxl',
      zipSync({ 'a.txt': bytes('no') }),
      /no score in this archive/,
    ],
    [
      'an archive that breaks off',
      'x.mxl',
      compress(writeMusicXml(score)).slice(0, 300),
      /damaged|no score/,
    ],
  ])('%s is refused in words', (_, name, file, words) => {
    expect(messageOf(name, file)).toMatch(words);
  });
  it('an archive that unfolds to gigabytes is stopped early', () => {
    const zeros = new Uint8Array(60_000_000);
    const bomb = zipSync({ 'score.musicxml': [zeros, { level: 9 }] });
    expect(bomb.length).toBeLessThan(300_000);
    expect(messageOf('x.mxl', bomb)).toMatch(/more than 40 MB/);
  });
  it('entities that grow are refused before they are read', () => {
    const grows = Array.from(
      { length: 9 },
      (_, i) => `<!ENTITY l${i + 1} "${`&l${i};`.repeat(10)}">`,
    );
    const xml = `<?xml version="1.0"?><!DOCTYPE l [<!ENTITY l0 "lol">${grows.join('')}]><score-partwise>&l9;</score-partwise>`;
    expect(messageOf('x.xml', bytes(xml))).toMatch(/declares entities/);
  });
  it('a million bars of repeats, or of notes, is refused or read once', () => {
    const bar =
      '<measure><note><rest/><duration>1</duration></note><barline><repeat direction="backward" times="999999999"/></barline></measure>';
    const xml = `<score-partwise><part id="P1">${bar.repeat(9_000)}</part></score-partwise>`;
    expect(messageOf('x.xml', bytes(xml))).toMatch(/has 9000 notes: that is a piece/);
    const few = `<score-partwise><part id="P1">${bar.repeat(300)}</part></score-partwise>`;
    expect(messageOf('x.xml', bytes(few))).toMatch(/no note in this file/);
    const other = `<score-partwise>${'<a b="c"/>'.repeat(300_000)}</score-partwise>`;
    expect(messageOf('x.xml', bytes(other))).toMatch(/far more than an exercise needs/);
    const long = `X:1\nK:C\n${'CDEF|'.repeat(30_000)}\n`;
    expect(messageOf('x.abc', bytes(long))).toMatch(/151 kB; tunes up to 100 kB/);
    const rows = `name,line\n${'x,1 2\n'.repeat(30_000)}`;
    expect(messageOf('x.csv', bytes(rows))).toMatch(/at most 2000 rows/);
    const abc = `X:1\nK:C\n${'|:CDEF:|'.repeat(3000)}\n`;
    expect(messageOf('x.abc', bytes(abc))).toMatch(/at most 400/);
  });
});
