import fc from 'fast-check';
import {
  frequency,
  modeNames,
  modes,
  noteInKey,
  noteName,
  spellInKey,
  spellKey,
  tonicName,
  writeNote,
} from './index';

describe('frequency', () => {
  it('follows equal temperament from the tuning note', () => {
    expect(frequency(69)).toBe(440);
    expect(frequency(60)).toBeCloseTo(261.6256, 4);
    expect(frequency(57, 442)).toBe(221);
  });
  it('refuses a tuning nobody uses', () => {
    expect(() => frequency(69, 414)).toThrow(RangeError);
    expect(() => frequency(69, 447)).toThrow(/415 to 446/);
  });
});

describe('keys are written with the fewest accidentals', () => {
  it('names the twelve major keys, flats where both are as simple', () => {
    const names = Array.from({ length: 12 }, (_, i) => tonicName(60 + i));
    expect(names).toEqual(['C', 'D♭', 'D', 'E♭', 'E', 'F', 'G♭', 'G', 'A♭', 'A', 'B♭', 'B']);
    expect(tonicName(66, 'major', 'sharps')).toBe('F♯');
  });
  it('names the twelve minor keys', () => {
    const names = Array.from({ length: 12 }, (_, i) => tonicName(60 + i, 'minor'));
    expect(names).toEqual(['C', 'C♯', 'D', 'E♭', 'E', 'F', 'F♯', 'G', 'G♯', 'A', 'B♭', 'B']);
    expect(tonicName(63, 'minor', 'sharps')).toBe('D♯');
  });
  it('never needs more than six accidentals, in any mode', () => {
    for (const mode of modeNames) {
      for (let tonic = 48; tonic < 60; tonic += 1) {
        expect(Math.abs(spellKey(tonic, mode).signature)).toBeLessThanOrEqual(6);
      }
    }
  });
});

describe('notes in a key are spelled by scale degree', () => {
  const inKey = (note: number, tonic: number, mode: 'major' | 'minor' = 'major') =>
    writeNote(spellInKey(note, tonic, spellKey(tonic, mode)));
  it('matches the worked cases', () => {
    expect(inKey(73, 67)).toBe('C♯5');
    expect(inKey(71, 68)).toBe('C♭5');
    expect(inKey(67, 68, 'minor')).toBe('F♯♯4');
  });
  it('gives the scale of every key seven different letters without accidentals beyond its signature', () => {
    for (const mode of modeNames.filter((name) => name !== 'chromatic')) {
      for (let tonic = 60; tonic < 72; tonic += 1) {
        const key = spellKey(tonic, mode);
        const scale = modes[mode].scale.map((offset) => spellInKey(tonic + offset, tonic, key));
        const accidentals = scale.reduce((sum, { accidental }) => sum + accidental, 0);
        // The minor seventh, minor second and raised fourth take the letter of their degree too.
        expect(new Set(scale.map(({ letter }) => letter)).size).toBe(7);
        expect(accidentals).toBe(key.signature);
      }
    }
  });
  it('sounds as it is written: letter, accidental and octave give the note back', () => {
    const natural = { C: 0, D: 2, E: 4, F: 5, G: 7, A: 9, B: 11 };
    fc.assert(
      fc.property(
        fc.integer({ min: 24, max: 108 }),
        fc.integer({ min: 48, max: 72 }),
        fc.constantFrom(...modeNames),
        (note, tonic, mode) => {
          const written = spellInKey(note, tonic, spellKey(tonic, mode));
          return (
            (written.octave + 1) * 12 + natural[written.letter] + written.accidental === note &&
            Math.abs(written.accidental) <= 2
          );
        },
      ),
    );
  });
});

describe('names', () => {
  it('are those of an axis alone, and of the key inside one', () => {
    expect([60, 61, 70].map((note) => noteName(note))).toEqual(['C4', 'D♭4', 'B♭4']);
    expect(noteName(61, 'sharps')).toBe('C♯4');
    expect(noteInKey(68, 64)).toBe('G♯4');
    expect(noteInKey(68, 68)).toBe('A♭4');
    expect(noteName(60, 'sharps')).toBe('C4');
  });
});
