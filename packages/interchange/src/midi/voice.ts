/** The program of a choir's «ah» in General MIDI, counted from 0. */
export const voiceProgram = 52;
/** The controller that binds notes, as a legato pedal does. */
export const legato = 68;
