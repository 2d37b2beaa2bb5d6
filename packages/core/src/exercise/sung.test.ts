import { sungNotes } from './sung';

describe('sungNotes', () => {
  const where = { tempo: 120, mode: 'major', tonic: 62, octave: 0 } as const;
  it('gives pitch, name in the key, and time; rests pass in silence', () => {
    expect(
      sungNotes(
        [
          { offset: 0, beats: 1, syllable: 'noo' },
          { offset: null, beats: 0.5 },
          { offset: 4, beats: 1.5 },
        ],
        where,
      ),
    ).toEqual([
      { midi: 62, name: 'D4', start: 0, seconds: 0.5, syllable: 'noo' },
      { midi: 66, name: 'F♯4', start: 0.75, seconds: 0.75 },
    ]);
  });
  it('spells by the degrees of the key, whatever the mode', () => {
    const names = (tonic: number, mode: 'minor' | 'chromatic' | 'lydian', offsets: number[]) =>
      sungNotes(
        offsets.map((offset) => ({ offset, beats: 1 })),
        { ...where, tonic, mode },
      ).map(({ name }) => name);
    expect(names(68, 'minor', [0, 3, 11])).toEqual(['G♯4', 'B4', 'F♯♯5']);
    expect(names(65, 'lydian', [0, 6])).toEqual(['F4', 'B4']);
    expect(names(60, 'chromatic', [0, 1, 3, 6])).toEqual(['C4', 'D♭4', 'E♭4', 'F♯4']);
  });
  it('sings an octave below, and in sharps where the choir prefers them', () => {
    const sung = sungNotes([{ offset: 4, beats: 1 }], { ...where, tonic: 66, octave: -12 });
    expect(sung[0]?.name).toBe('B♭3');
    const sharps = { ...where, tonic: 66, octave: -12, accidentals: 'sharps' } as const;
    expect(sungNotes([{ offset: 4, beats: 1 }], sharps)[0]?.name).toBe('A♯3');
  });
});
