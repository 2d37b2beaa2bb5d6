import type { WrittenPiece } from './written';

/** Quick words and wide leaps. */
export const heron: WrittenPiece = {
  title: 'The Heron’s Errand',
  composer: 'Imke Sandvoort',
  tempo: 132,
  key: { fifths: 1, mode: 'major' },
  metre: { beats: 6, unit: 8 },
  voices: {
    S: `
      G4:0.5 D5:0.5 B4:0.5 D5:0.5 B4:0.5 G4:0.5 | A4:0.5 E5:0.5 C5:0.5 A4:1 A4:0.5 | B4:0.5 A4:0.5 G4:0.5 E4:0.5 E5:0.5 D5:0.5 | B4:1 A4:0.5 G4:1 r:0.5 |
      G4:0.5 E5:0.5 D5:0.5 C5:0.5 B4:0.5 A4:0.5 | B4:0.5 G4:0.5 E5:0.5 C5:1 A4:0.5 | D5:0.5 B4:0.5 G4:0.5 A4:0.5 B4:0.5 A4:0.5 | G4:1.5 r:1.5 |
      G4:0.5 D5:0.5 B4:0.5 D5:0.5 B4:0.5 G4:0.5 | A4:0.5 C5:0.5 E5:0.5 D5:1 D5:0.5 | E5:0.5 C5:0.5 A4:0.5 D5:0.5 B4:0.5 G4:0.5 | C5:1 A4:0.5 F#4:1 r:0.5 |
      G4:0.5 B4:0.5 D5:0.5 E5:0.5 D5:0.5 C5:0.5 | B4:0.5 D5:0.5 B4:0.5 A4:1 A4:0.5 | G4:0.5 A4:0.5 B4:0.5 C5:0.5 B4:0.5 A4:0.5 | G4:1.5 r:1.5 |
      E4:1.5 B4:1.5 | C5:1.5 B4:1.5 | A4:1.5 F#4:1.5 | G4:1.5 E4:1.5 |
      E4:1.5 E5:1.5 | D5:1.5 B4:1.5 | C5:1.5 A4:1.5 | B4:1.5 r:1.5 |
      G4:0.5 D5:0.5 B4:0.5 D5:0.5 B4:0.5 G4:0.5 | A4:0.5 E5:0.5 C5:0.5 A4:1 A4:0.5 | B4:0.5 A4:0.5 G4:0.5 E4:0.5 E5:0.5 D5:0.5 | B4:1 A4:0.5 G4:1 r:0.5 |
      E5:0.5 B4:0.5 G4:0.5 D5:0.5 B4:0.5 G4:0.5 | C5:0.5 A4:0.5 E5:0.5 D5:1 C5:0.5 | B4:0.5 G4:0.5 D5:0.5 C5:0.5 A4:0.5 F#4:0.5 | G4:1.5 r:1.5`,
    A: `
      E4:1 E4:0.5 D4:1 D4:0.5 | D4:1 D4:0.5 D4:1 D4:0.5 | D4:1 D4:0.5 C4:1 C4:0.5 | D4:1 D4:0.5 E4:1 E4:0.5 |
      E4:1 E4:0.5 F#4:1 F#4:0.5 | E4:1 E4:0.5 G4:1 G4:0.5 | F#4:1 F#4:0.5 F#4:1 F#4:0.5 | G4:1.5 r:1.5 |
      E4:1 E4:0.5 G4:1 G4:0.5 | F#4:1 F#4:0.5 G4:1 G4:0.5 | G4:1 G4:0.5 G4:1 G4:0.5 | E4:1 E4:0.5 D4:1 D4:0.5 |
      D4:1 D4:0.5 E4:1 E4:0.5 | G4:1 G4:0.5 F#4:1 F#4:0.5 | E4:1 E4:0.5 G4:1 G4:0.5 | D4:1.5 r:1.5 |
      C4:1.5 D4:1.5 | E4:1.5 D4:1.5 | D4:1.5 C4:1.5 | B3:1.5 C4:1.5 |
      C4:1.5 E4:1.5 | F#4:1.5 E4:1.5 | E4:1.5 D4:1.5 | D4:1.5 r:1.5 |
      E4:1 E4:0.5 D4:1 D4:0.5 | D4:1 D4:0.5 D4:1 D4:0.5 | D4:1 D4:0.5 C4:1 C4:0.5 | D4:1 D4:0.5 E4:1 E4:0.5 |
      G4:1 G4:0.5 G4:1 G4:0.5 | E4:1 E4:0.5 F#4:1 F#4:0.5 | E4:1 E4:0.5 C4:1 C4:0.5 | D4:1.5 r:1.5`,
    T: `
      G3:1 G3:0.5 G3:1 G3:0.5 | F#3:1 F#3:0.5 F#3:1 F#3:0.5 | G3:1 G3:0.5 G3:1 G3:0.5 | G3:1 G3:0.5 B3:1 B3:0.5 |
      C4:1 C4:0.5 A3:1 A3:0.5 | G3:1 G3:0.5 G3:1 G3:0.5 | A3:1 A3:0.5 C4:1 C4:0.5 | B3:1.5 r:1.5 |
      C4:1 C4:0.5 D4:1 D4:0.5 | D4:1 D4:0.5 D4:1 D4:0.5 | C4:1 C4:0.5 B3:1 B3:0.5 | A3:1 A3:0.5 A3:1 A3:0.5 |
      B3:1 B3:0.5 B3:1 B3:0.5 | D4:1 D4:0.5 C4:1 C4:0.5 | B3:1 B3:0.5 C4:1 C4:0.5 | B3:1.5 r:1.5 |
      G3:1.5 G3:1.5 | G3:1.5 G3:1.5 | F#3:1.5 A3:1.5 | G3:1.5 G3:1.5 |
      G3:1.5 A3:1.5 | A3:1.5 G3:1.5 | G3:1.5 F#3:1.5 | G3:1.5 r:1.5 |
      G3:1 G3:0.5 G3:1 G3:0.5 | F#3:1 F#3:0.5 F#3:1 F#3:0.5 | G3:1 G3:0.5 G3:1 G3:0.5 | G3:1 G3:0.5 B3:1 B3:0.5 |
      C4:1 C4:0.5 B3:1 B3:0.5 | A3:1 A3:0.5 A3:1 A3:0.5 | G3:1 G3:0.5 G3:1 G3:0.5 | B3:1.5 r:1.5`,
    B: `
      C3:1.5 B2:1.5 | D3:1.5 D3:1.5 | G2:1.5 C3:1.5 | G2:1.5 E3:1.5 |
      C3:1.5 D3:1.5 | E3:1.5 E3:1.5 | D3:1.5 D3:1.5 | G3:1.5 r:1.5 |
      C3:1.5 B2:1.5 | D3:1.5 B2:1.5 | C3:1.5 G2:1.5 | A2:1.5 D3:1.5 |
      G3:1.5 G3:1.5 | G3:1.5 D3:1.5 | E3:1.5 E3:1.5 | G3:1.5 r:1.5 |
      C3:1.5 G2:1.5 | C3:1.5 G2:1.5 | D3:1.5 D3:1.5 | E3:1.5 C3:1.5 |
      C3:1.5 C3:1.5 | D3:1.5 E3:1.5 | C3:1.5 D3:1.5 | G2:1.5 r:1.5 |
      C3:1.5 B2:1.5 | D3:1.5 D3:1.5 | G2:1.5 C3:1.5 | G3:1.5 E3:1.5 |
      C3:1.5 G2:1.5 | A2:1.5 D3:1.5 | E3:1.5 E3:1.5 | G3:1.5 r:1.5`,
  },
  words: {
    S: `
      The he- ron has an er- rand by the weir and no one knows what he was sent to ask, he
      picks his feet up like a man who lost his keys and ver- y soft- ly knocks. He looks
      a- long the reed- beds and o- ver, then left and right and left, and right for none,
      he lifts a wing, he folds it back a- gain, so leaves us on- ly with the light. Grey
      he stands and grey he waits, and who would send a her- on here? The he- ron has an
      er- rand by the weir and no one knows what he was sent to ask, he turns, he leans, he
      o- pens out and is gone, noth- ing on the wa- ter moves.`,
    A: `
      step and wait and look and step and lift and wait and turn and step and step and wait
      and look and step and lift and wait and turn step and step and wait and look and step
      and lift and wait and turn and step and step and wait and look and step and lift and
      wait Grey he stands and grey he waits, and who would send a her- on here? turn and
      step and step and wait and look and step and lift and wait and turn and step and step
      and wait and look and step and lift`,
    T: `
      step and wait and look and step and lift and wait and turn and step and step and wait
      and look and step and lift and wait and turn step and step and wait and look and step
      and lift and wait and turn and step and step and wait and look and step and lift and
      wait Grey he stands and grey he waits, and who would send a her- on here? turn and
      step and step and wait and look and step and lift and wait and turn and step and step
      and wait and look and step and lift`,
    B: `
      step wait look step lift wait turn step step wait look step lift wait turn step step
      wait look step lift wait turn step step wait look step lift wait Grey he stands and
      grey he waits, and who would send a her- on here? turn step step wait look step lift
      wait turn step step wait look step lift`,
  },
};
