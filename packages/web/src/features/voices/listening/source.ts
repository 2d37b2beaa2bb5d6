import type { MidiNote } from '@wide-fern/core';

/** Where sung samples come from: a microphone, or what stands in for one. */
export interface Source {
  readonly sampleRate: number;
  /** Tells which note is wanted now; a microphone does not mind, a simulated singer sings it. */
  readonly want: (note: MidiNote) => void;
  readonly stop: () => void;
}

/** Why there is nothing to listen to, in words, and that the check goes on by hand. */
export class NoSound extends Error {}

/** Opens a source; samples come until it is stopped. */
export type OpenSource = (onSamples: (samples: Float32Array) => void) => Promise<Source>;
