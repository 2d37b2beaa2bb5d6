import type { WrittenPiece } from './written';

/** A round of four entries; the sopranos divide in the last four bars. */
export const ferry: WrittenPiece = {
  title: 'Night Ferry Round',
  composer: 'Joss Whitlam',
  tempo: 96,
  key: { fifths: -3, mode: 'major' },
  metre: { beats: 3, unit: 4 },
  repeat: [13, 20],
  voices: {
    S: `
      Eb4:2 F4:1 | F4:2 D4:1 | Eb4:2 G4:1 | Eb4:3 |
      G4:1 G4:1 Ab4:1 | Ab4:2 F4:1 | G4:1 G4:1 Eb4:1 | G4:3 |
      Bb4:2 Bb4:1 | Bb4:1 Ab4:1 Bb4:1 | C5:2 C5:1 | Bb4:2 r:1 |
      Bb4:0.5 G4:0.5 Eb4:0.5 G4:0.5 Bb4:1 | Bb4:0.5 Ab4:0.5 F4:0.5 Ab4:0.5 D4:1 | C5:0.5 G4:0.5 Eb4:0.5 G4:0.5 C5:1 | Bb4:1 G4:1 Eb4:1 |
      Eb4:2 F4:1 | F4:2 D4:1 | Eb4:2 G4:1 | Eb4:3 |
      G4:1 G4:1 Ab4:1 | Ab4:2 F4:1 | G4:1 G4:1 Eb4:1 | G4:3 |
      Bb4+G4:3 | C5+Ab4:3 | Bb4+Ab4:2 Ab4+F4:1 | Bb4+G4:3`,
    A: `
      r:3 | r:3 | r:3 | r:3 |
      Eb4:2 F4:1 | F4:2 D4:1 | Eb4:2 G4:1 | Eb4:3 |
      G4:1 G4:1 Ab4:1 | Ab4:2 F4:1 | G4:1 G4:1 Eb4:1 | G4:3 |
      Bb4:2 Bb4:1 | Bb4:1 Ab4:1 Bb4:1 | C5:2 C5:1 | Bb4:2 r:1 |
      Bb4:0.5 G4:0.5 Eb4:0.5 G4:0.5 Bb4:1 | Bb4:0.5 Ab4:0.5 F4:0.5 Ab4:0.5 D4:1 | C5:0.5 G4:0.5 Eb4:0.5 G4:0.5 C5:1 | Bb4:1 G4:1 Eb4:1 |
      Eb4:2 F4:1 | F4:2 D4:1 | Eb4:2 G4:1 | Eb4:3 |
      Eb4:3 | Eb4:3 | F4:2 D4:1 | Eb4:3`,
    T: `
      r:3 | r:3 | r:3 | r:3 |
      r:3 | r:3 | r:3 | r:3 |
      Eb3:2 F3:1 | F3:2 D3:1 | Eb3:2 G3:1 | Eb3:3 |
      G3:1 G3:1 Ab3:1 | Ab3:2 F3:1 | G3:1 G3:1 Eb3:1 | G3:3 |
      Bb3:2 Bb3:1 | Bb3:1 Ab3:1 Bb3:1 | C4:2 C4:1 | Bb3:2 r:1 |
      Bb3:0.5 G3:0.5 Eb3:0.5 G3:0.5 Bb3:1 | Bb3:0.5 Ab3:0.5 F3:0.5 Ab3:0.5 D3:1 | C4:0.5 G3:0.5 Eb3:0.5 G3:0.5 C4:1 | Bb3:1 G3:1 Eb3:1 |
      Bb3:3 | C4:3 | Bb3:2 Bb3:1 | Bb3:3`,
    B: `
      r:3 | r:3 | r:3 | r:3 |
      r:3 | r:3 | r:3 | r:3 |
      r:3 | r:3 | r:3 | r:3 |
      Eb3:2 F3:1 | F3:2 D3:1 | Eb3:2 G3:1 | Eb3:3 |
      G3:1 G3:1 Ab3:1 | Ab3:2 F3:1 | G3:1 G3:1 Eb3:1 | G3:3 |
      Bb3:2 Bb3:1 | Bb3:1 Ab3:1 Bb3:1 | C4:2 C4:1 | Bb3:2 r:1 |
      Eb3:3 | Ab2:3 | Bb2:2 Bb2:1 | Eb3:3`,
  },
  words: {
    S: `
      Fer- ry- man, the lamp is low, take us o- ver, take us o- ver slow, I have noth- ing
      to pay but this, rip- ple and an oar and a rope gone slack and a bell with no mouth
      to miss. Fer- ry- man, the lamp is low, take us o- ver, take us o- ver slow, home,
      home, slow- ly home.`,
    A: `
      Fer- ry- man, the lamp is low, take us o- ver, take us o- ver slow, I have noth- ing
      to pay but this, rip- ple and an oar and a rope gone slack and a bell with no mouth
      to miss. Fer- ry- man, the lamp is low, home, home, slow- ly home.`,
    T: `
      Fer- ry- man, the lamp is low, take us o- ver, take us o- ver slow, I have noth- ing
      to pay but this, rip- ple and an oar and a rope gone slack and a bell with no mouth
      to miss. home, home, slow- ly home.`,
    B: `
      Fer- ry- man, the lamp is low, take us o- ver, take us o- ver slow, I have noth- ing
      to pay but this, home, home, slow- ly home.`,
  },
};
