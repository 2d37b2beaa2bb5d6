import { readChords, writeChords } from './chords';

describe('typed chords', () => {
  it('are steps of the key, a colon and beats', () => {
    expect(readChords('1 3 5 : 4 | <5 1 3:3/2', 'major')).toEqual({
      kind: 'chords',
      chords: [
        { tones: [0, 4, 7], beats: 4 },
        { tones: [-5, 0, 4], beats: 1.5 },
      ],
    });
  });
  it('come back as they were written, in any mode', () => {
    const chords = [
      { tones: [0, 3, 7, 12], beats: 1 / 3 },
      { tones: [-12, 5, 8, 17], beats: 8 },
    ];
    for (const mode of ['major', 'dorian', 'chromatic'] as const) {
      expect(readChords(writeChords(chords, mode), mode)).toEqual({ kind: 'chords', chords });
    }
  });
  it.each([
    ['nothing', '', 1],
    ['no beats', '1 3 5', 1],
    ['no steps', '1 : 2 | : 4', 2],
    ['beats that are none', '1 : 0', 1],
    ['a length within a length', '1 : 2 : 3', 1],
    ['a word', '1 : 2 | do : 2 | x : 1', 3],
  ])('say which one is not understood: %s', (_, text, chord) => {
    const read = readChords(text, 'major');
    expect(read.kind === 'problem' && read.chord).toBe(chord);
  });
});
