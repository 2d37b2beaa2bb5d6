import type { WrittenPiece } from './written';

/** Slow; sopranos and tenors end high, everyone sings six bars on end. */
export const lanterns: WrittenPiece = {
  title: 'Lanterns over Slate',
  composer: 'Ruta Oksanen-Bey',
  tempo: 66,
  key: { fifths: -3, mode: 'major' },
  metre: { beats: 4, unit: 4 },
  voices: {
    S: `
      Eb4:2 F4:1 G4:1 | Bb4:2 Ab4:1 G4:1 | F4:2 G4:1 Ab4:1 | G4:3 r:1 |
      Eb4:2 G4:1 Bb4:1 | C5:2 Bb4:1 Ab4:1 | G4:2 F4:2 | Eb4:3 r:1 |
      G4:2 Ab4:1 Bb4:1 | C5:2 Bb4:1 Ab4:1 | Bb4:2 C5:1 D5:1 | Eb5:3 r:1 |
      C5:2 Bb4:1 G4:1 | Ab4:2 G4:1 F4:1 | G4:1 Ab4:1 F4:2 | Eb4:3 r:1 |
      Bb4:2 C5:1 Bb4:1 | Ab4:2 Bb4:1 C5:1 | D5:2 Eb5:1 D5:1 | Eb5:2 C5:2~ |
      C5:2 Bb4:2 | Ab4:2 G4:1 r:1 | r:4 | r:2 Bb4:1 Bb4:1 |
      Eb5:2 D5:1 C5:1 | G4:2 F4:1 Eb4:1 | F4:2 D4:2 | Eb4:3 r:1 |
      Eb4:1 C5:2 Bb4:1 | Ab4:2 G4:1 F4:1 | G4:2 F4:2 | Bb4:3 r:1 |
      G4:1 Eb5:2 D5:1 | C5:3 r:1 | D5:2 Eb5:2 | F5:2 Eb5:1 r:1 |
      C5:1 D5:1 Eb5:2 | D5:1 C5:1 Bb4:2 | C5:2 D5:2 | Eb5:3 r:1 |
      C5:2 D5:2 | Eb5:1 D5:1 C5:2 | D5:2 Eb5:2 | F5:1 Eb5:1 D5:1 r:1 |
      Eb5:4 | F5:4 | Eb5:2 D5:2 | Eb5:4`,
    A: `
      C4:2 D4:1 Eb4:0.5( F4:0.5 | G4:2 F4:1 Eb4:1 | D4:2 Eb4:1 F4:1 | Eb4:3 r:1 |
      Bb3:2 Eb4:1 Eb4:1 | Eb4:2 D4:1 D4:1 | Eb4:2 D4:2 | Eb4:3 r:1 |
      Eb4:2 Eb4:1 Eb4:1 | Eb4:2 D4:1 D4:1 | Eb4:2 Eb4:1 F4:1 | G4:3 r:1 |
      F4:2 F4:1 Eb4:1 | F4:2 Eb4:1 D4:1 | Eb4:1 Eb4:1 D4:2 | Eb4:3 r:1 |
      Eb4:2 Eb4:1 D4:1 | D4:2 Eb4:1 Eb4:1 | F4:2 G4:1 F4:1 | G4:2 F4:2~ |
      F4:2 F4:2 | F4:2 Eb4:1 r:1 | r:4 | r:2 G4:1 G4:1 |
      G4:2 F4:1 Eb4:1 | G3:2 Ab3:1 G3:1 | Ab3:2 Ab3:2 | G3:3 r:1 |
      C4:0.5( D4:0.5 Eb4:2 D4:1 | D4:2 Eb4:1 D4:1 | Eb4:2 D4:1( Eb4:1 | F4:3 r:1 |
      Eb4:0.5( F4:0.5 G4:2 Ab4:1 | G4:3 r:1 | F4:2 G4:2 | Ab4:2 G4:1 r:1 |
      G4:1 Ab4:1 G4:2 | Ab4:1 G4:1 G4:2 | Ab4:1( G4:1 F4:2 | G4:3 r:1 |
      G4:2 Ab4:2 | G4:1 Ab4:1 G4:2 | Ab4:2 G4:2 | Ab4:1 G4:0.5( Ab4:0.5 Bb4:1 r:1 |
      Bb4:4 | Bb4:4 | Bb4:2 Bb4:2 | Bb4:4`,
    T: `
      G3:1( Ab3:1 Bb3:1 Bb3:1 | Bb3:2 Bb3:1 Bb3:1 | Bb3:2 Bb3:1 Bb3:1 | Bb3:3 r:1 |
      G3:1( Ab3:1 Bb3:0.5( Ab3:0.5 G3:1 | Ab3:1( G3:1 F3:1 Bb3:1 | Bb3:2 Ab3:2 | G3:3 r:1 |
      Bb3:2 Ab3:1 G3:1 | Ab3:1( G3:1 F3:1 F3:1 | G3:2 G3:0.5( Ab3:0.5 Bb3:1 | Bb3:3 r:1 |
      Ab3:2 Bb3:1 Bb3:1 | Bb3:2 Bb3:1 Bb3:1 | Bb3:1 C4:1 Bb3:1( Ab3:1 | G3:3 r:1 |
      G3:2 Ab3:0.5( G3:0.5 F3:1 | F3:2 G3:1 G3:0.5( Ab3:0.5 | Bb3:2 Bb3:1 Bb3:1 | Bb3:2 Ab3:2~ |
      Ab3:2 Bb3:2 | Bb3:2 Bb3:1 r:1 | r:4 | r:2 Bb3:1 Bb3:1 |
      Bb3:2 Ab3:1 G3:1 | D3:2 D3:1 Eb3:1 | D3:1( Eb3:1 F3:2 | Eb3:3 r:1 |
      G3:1 Ab3:1( G3:1 F3:1 | Bb3:2 Bb3:1 Bb3:1 | Bb3:2 Bb3:2 | D4:3 r:1 |
      Bb3:1 C4:2 F4:1 | Eb4:3 r:1 | Bb3:2 Bb3:2 | Bb3:2 Bb3:1 r:1 |
      Eb4:1 F4:1 Eb4:2 | F4:1 Eb4:1 Eb4:2 | Eb4:2 Bb3:2 | Bb3:3 r:1 |
      Eb4:2 F4:2 | Eb4:1 F4:1 Eb4:2 | F4:2 Eb4:2 | D4:1 Eb4:1 F4:1 r:1 |
      G4:4 | F4:4 | G4:2 F4:2 | G4:4`,
    B: `
      C3:2 Bb2:1 Eb3:1 | Eb3:2 D3:1 Eb3:1 | Bb2:2 Eb3:1 D3:1 | Eb3:3 r:1 |
      Eb3:2 Eb3:1 Eb3:1 | Ab2:2 Bb2:1 Bb2:1 | Eb3:2 Bb2:2 | Eb3:3 r:1 |
      Eb3:1( D3:1 C3:0.5( D3:0.5 Eb3:1 | Ab2:2 Bb2:1 Bb2:1 | Eb3:1( D3:1 C3:1 Bb2:1 | Eb3:3 r:1 |
      F3:1( Eb3:1 D3:1 Eb3:1 | D3:2 Eb3:1 Bb2:1 | Eb3:1 Ab2:1 Bb2:2 | Eb3:3 r:1 |
      Eb3:2 Ab2:1 Bb2:1 | Bb2:2 Eb3:0.5( D3:0.5 C3:1 | Bb2:2 Eb3:1 Bb2:1 | Eb3:2 F3:2~ |
      F3:2 D3:2 | D3:2 Eb3:1 r:1 | r:4 | r:2 Eb3:1 Eb3:1 |
      Eb3:2 Bb2:1 C3:1 | Bb2:2 Bb2:1 C3:1 | Bb2:2 Bb2:2 | Eb3:3 r:1 |
      C3:1 Ab2:2 Bb2:1 | Bb2:2 Eb3:1 Bb2:1 | Eb3:2 Bb2:2 | Bb2:3 r:1 |
      Eb3:1 C3:2 Bb2:1 | C3:3 r:1 | Bb2:2 Eb3:2 | D3:2 Eb3:1 r:1 |
      C3:1 Bb2:1 Eb3:2 | Bb2:1 C3:0.5( D3:0.5 Eb3:2 | Ab2:2 Bb2:2 | Eb3:3 r:1 |
      C3:2 Bb2:2 | Eb3:1 Bb2:1 C3:2 | Bb2:2 Eb3:2 | Bb2:1 Eb3:1 Bb2:1 r:1 |
      Eb3:4 | D3:4 | Eb3:2 Bb2:2 | Eb3:4`,
  },
  words: `
      Hang a light on the old grey slate a- lone, let it climb to the ledge of the stone.
      Keep the flame in your two cold hands, and still hum it low for the ones that went up
      hill. Let the dark come down and car- ry the night wind down to slate. And now un-
      der the roof where the ham- mers slept, one leaps up and the rest fol- low on. See
      them go, go, rung by rung, and all the wide pit is a cup of sky. Lan- terns o- ver
      slate, lan- terns o- ver slate: shine, shine us all home.`,
};
