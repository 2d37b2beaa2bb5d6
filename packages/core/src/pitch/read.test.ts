import fc from 'fast-check';
import { noteName } from './names';
import { readNote } from './read';

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
  });
  it('refuses what is no note', () => {
    for (const text of ['', 'C', 'H4', 'X3', 'C#', '128', 'G10', 'C4!', 'fis4', '4C', 'C##♯4']) {
      expect([text, readNote(text)]).toEqual([text, undefined]);
    }
  });
  it('reads every name that we write', () => {
    fc.assert(
      fc.property(
        fc.nat(127),
        fc.constantFrom('flats' as const, 'sharps' as const),
        (note, sign) => {
          expect(readNote(noteName(note, sign))).toBe(note);
        },
      ),
    );
  });
});
