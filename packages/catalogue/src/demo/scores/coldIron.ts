import type { WrittenPiece } from './written';

/** Low and close, in long phrases. */
export const coldIron: WrittenPiece = {
  title: 'Cold Iron, Warm Hands',
  composer: 'Ruta Oksanen-Bey',
  tempo: 60,
  key: { fifths: -2, mode: 'minor' },
  metre: { beats: 4, unit: 4 },
  voices: {
    S: `
      G4:2 A4:2 | Bb4:2 A4:2 | G4:2 F4:1 G4:1 | A4:4 |
      Bb4:2 A4:1 G4:1 | F#4:2 G4:2 | A4:2 F#4:2 | G4:3 r:1 |
      D4:2 G4:2 | A4:2 Bb4:2 | A4:1 G4:1 F4:2 | Eb4:4 |
      F4:2 G4:2 | A4:1 Bb4:1 A4:2 | G4:2 F#4:2 | G4:3 r:1 |
      Bb4:2 Bb4:2 | A4:4 | G4:2 G4:2 | F4:4 |
      Eb4:2 F4:2 | G4:2 A4:2 | F#4:4 | G4:3 r:1 |
      G4:2 F4:2 | Eb4:2 D4:2 | Eb4:2 F4:2 | G4:4 |
      A4:2 G4:2 | F#4:2 G4:2 | A4:2 F#4:2 | G4:4`,
    A: `
      D4:2 D4:2 | D4:2 C4:1( D4:1 | Eb4:2 D4:1 Eb4:1 | D4:4 |
      D4:2 D4:1 D4:1 | D4:2 D4:2 | Eb4:2 D4:2 | D4:3 r:1 |
      Bb3:1( C4:1 D4:2 | D4:2 D4:2 | C4:0.5( D4:0.5 Eb4:1 D4:2 | Eb4:4 |
      D4:2 Eb4:2 | D4:1 D4:1 D4:2 | D4:2 D4:2 | D4:3 r:1 |
      D4:2 D4:2 | C4:3( D4:1 | Eb4:2 Eb4:2 | D4:4 |
      Eb4:2 D4:2 | Eb4:2 Eb4:2 | D4:4 | D4:3 r:1 |
      Eb4:2 D4:2 | C4:1( Bb3:1 A3:2 | Bb3:1( C4:1 D4:2 | Eb4:4 |
      D4:2 D4:2 | D4:2 D4:2 | Eb4:2 D4:2 | D4:4`,
    T: `
      Bb3:2 A3:2 | G3:2 F#3:2 | Bb3:2 Bb3:1 Bb3:1 | A3:4 |
      G3:2 A3:1 Bb3:1 | A3:2 Bb3:2 | A3:2 A3:2 | Bb3:3 r:1 |
      G3:2 Bb3:2 | A3:2 G3:2 | F#3:1 Bb3:1 Bb3:2 | Bb3:4 |
      Bb3:2 Bb3:2 | A3:1 G3:1 A3:2 | Bb3:2 A3:2 | Bb3:3 r:1 |
      G3:2 G3:2 | F#3:4 | Bb3:2 Bb3:2 | Bb3:4 |
      Bb3:2 Bb3:2 | Bb3:2 A3:2 | A3:4 | Bb3:3 r:1 |
      Bb3:2 Bb3:1( A3:1 | G3:2 F#3:2 | G3:2 Bb3:2 | Bb3:4 |
      A3:2 Bb3:2 | A3:2 Bb3:2 | A3:2 A3:2 | Bb3:4`,
    B: `
      G2:2 F#2:2 | G2:2 D3:2 | Eb3:2 Bb2:1 Eb3:0.5( F3:0.5 | F#3:4 |
      G3:2 F#3:1 G3:1 | D3:2 G2:2 | C3:2 D3:2 | G3:3 r:1 |
      G2:2 G2:2 | F#2:2 G2:2 | D3:1 Eb3:1 Bb2:1( A2:1 | G2:3( A2:1 |
      Bb2:2 Eb3:1( F3:1 | F#3:1 G3:1 F#3:2 | G3:2 D3:2 | G3:3 r:1 |
      G2:2 G2:2 | D3:4 | Eb3:2 Eb3:2 | Bb2:3( A2:1 |
      G2:1( A2:1 Bb2:2 | Eb3:1( D3:1 C3:2 | D3:4 | G3:3 r:1 |
      Eb3:2 Bb2:2 | C3:2 C3:1( D3:1 | Eb3:2 Bb2:2 | Eb3:4 |
      F#2:2 G2:2 | D3:2 G2:2 | C3:2 D3:2 | G2:4`,
  },
  words: `
      Cold is the rail that runs be- low the wa- ter’s edge and ends in stone, warm are the
      hands that held it once, held and let it go and held on. Name them all, name them
      slow, none too small to come home. Lay it by and let the rain lie on i- ron like a
      hand.`,
};
