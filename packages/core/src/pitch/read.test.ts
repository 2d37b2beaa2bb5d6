import fc from 'fast-check';
import { noteInKey, noteName } from './names';
import { namingOfList, readNote, readNoteKindly } from './read';
import { noteNamings } from './spelling';

describe('readNote', () => {
  it('reads letters with octaves, in any case and with any sign', () => {
    for (const text of ['C4', 'c4', ' C4 ', '60', 'B#3', 'D♭♭4']) expect(readNote(text)).toBe(60);
    expect(readNote('B♭2')).toBe(46);
    expect(readNote('Bb2')).toBe(46);
    expect(readNote('f♯5')).toBe(78);
    expect(readNote("c'")).toBe(60);
    expect(readNote('C-1')).toBe(0);
  });
  it('reads marks for octaves', () => {
    expect(['C,', 'C', 'c', 'c’', "c''", 'c′′′'].map((text) => readNote(text, 'marks'))).toEqual([
      24, 36, 48, 60, 72, 84,
    ]);
    expect(readNote("b♭'", 'marks')).toBe(70);
    expect(readNote('c,', 'marks')).toBeUndefined();
    expect(readNote("C'", 'marks')).toBeUndefined();
  });
  it('reads H and B, is and es', () => {
    const german = (text: string) => readNote(text, 'german');
    expect(['H', 'B', 'h', 'b', "h'", 'h1', 'b1', 'H3', 'B3'].map(german)).toEqual([
      47, 46, 59, 58, 71, 71, 70, 59, 58,
    ]);
    expect(['fis1', 'es1', 'as', 'ges2', 'cis', 'his'].map(german)).toEqual([
      66, 63, 56, 78, 49, 60,
    ]);
    expect(['hes', 'bis', 'hb', 'ds'].map(german)).toEqual(Array(4).fill(undefined));
    expect(['heses', 'asas', 'eses', 'cisis'].map(german)).toEqual([57, 55, 50, 50]);
  });
  it('refuses what is no note', () => {
    for (const text of ['', 'C', 'H4', 'X3', 'C#', '128', 'G10', 'C4!', 'fis4', '4C', 'C##♯4']) {
      expect([text, readNote(text)]).toEqual([text, undefined]);
    }
  });
  it('reads syllables, wherever middle C is counted from', () => {
    const four = (text: string) => readNote(text, 'solfege');
    expect(['Do4', 'ré4', 'Re 4', 'Sol#2', 'Si♭3', 'la bémol 3'].map(four)).toEqual([
      60, 62, 62, 44, 58, 56,
    ]);
    expect(readNote('Do3', 'solfege3')).toBe(60);
    expect(four('Do')).toBeUndefined();
  });
  it('reads every name that we write, in a key or out of one', () => {
    fc.assert(
      fc.property(
        fc.integer({ min: 12, max: 119 }),
        fc.integer({ min: 48, max: 71 }),
        fc.constantFrom('flats' as const, 'sharps' as const),
        fc.constantFrom(...noteNamings),
        (note, tonic, accidentals, naming) => {
          const names = [
            noteName(note, { accidentals, naming }),
            noteInKey(note, tonic, 'major', { accidentals, naming }),
          ];
          expect(names.map((name) => readNote(name, naming))).toEqual([note, note]);
        },
      ),
    );
  });
  it('reads other names where they can only be one note, and asks where not', () => {
    expect(readNoteKindly('fis1', 'octaves')).toEqual([66]);
    expect(readNoteKindly('B3', 'octaves')).toEqual([59]);
    expect(readNoteKindly('b', 'octaves')).toEqual([59, 58]);
    expect(readNoteKindly('Sol2', 'german')).toEqual([43, 55]);
    expect(readNoteKindly('nothing', 'octaves')).toEqual([]);
  });
});

describe('how a list names its notes', () => {
  const bass = [40, 64] as const;
  const soprano = [59, 81] as const;
  const listed = (notes: readonly (readonly [string, readonly [number, number]])[]) =>
    notes.map(([text, within]) => ({ text, within }));
  it('is told by what reads it', () => {
    expect(
      namingOfList(
        listed([
          ['H', bass],
          ["d'", bass],
          ["fis''", soprano],
        ]),
        'octaves',
      ),
    ).toEqual({
      naming: 'german',
      either: [],
    });
  });
  it('is told by whose notes they are, where several read it', () => {
    const notes = listed([
      ['Sol2', bass],
      ['Re4', bass],
      ['Re4', soprano],
      ['Sol5', soprano],
    ]);
    expect(namingOfList(notes, 'octaves')).toEqual({ naming: 'solfege', either: [] });
    const french = listed([
      ['Sol1', bass],
      ['Re3', bass],
      ['Re3', soprano],
      ['Sol4', soprano],
    ]);
    expect(namingOfList(french, 'octaves').naming).toBe('solfege3');
  });
  it('is asked where both would do', () => {
    const notes = listed([
      ['b', bass],
      ["b'", soprano],
    ]);
    expect(namingOfList(notes, 'german')).toEqual({
      naming: 'german',
      either: ['german', 'marks'],
    });
    expect(namingOfList(listed([['B3', bass]]), 'octaves').naming).toBe('octaves');
  });
});
