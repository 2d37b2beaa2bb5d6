import { frequency, type Hertz, type MidiNote, type Seconds } from '@wide-fern/core';
import type { Recording } from './wav';

/** A resonance of the mouth: where it lies, how wide it is, and how strong, relative to the first. */
export interface Formant {
  readonly hertz: Hertz;
  readonly width: Hertz;
  readonly gain: number;
}

/** Open vowels as three to five resonances, rounded. */
export const vowels = {
  ah: [
    { hertz: 730, width: 90, gain: 1 },
    { hertz: 1090, width: 110, gain: 0.5 },
    { hertz: 2440, width: 170, gain: 0.15 },
    { hertz: 3400, width: 250, gain: 0.08 },
    { hertz: 4500, width: 300, gain: 0.04 },
  ],
  ee: [
    { hertz: 290, width: 60, gain: 1 },
    { hertz: 2250, width: 120, gain: 0.2 },
    { hertz: 3000, width: 180, gain: 0.15 },
    { hertz: 3600, width: 250, gain: 0.05 },
  ],
  oo: [
    { hertz: 320, width: 60, gain: 1 },
    { hertz: 870, width: 90, gain: 0.15 },
    { hertz: 2240, width: 170, gain: 0.02 },
  ],
} as const satisfies Record<string, readonly Formant[]>;
export type Vowel = keyof typeof vowels;

/** How a sung note is made. */
export interface SungNote {
  readonly note: MidiNote;
  readonly seconds: Seconds;
  readonly sampleRate: number;
  /** «sine» is a pure tone. */
  readonly vowel: Vowel | 'sine';
  /** Half the width of the vibrato in cents, and how fast it is. */
  readonly vibrato?: { readonly cents: number; readonly hertz: Hertz };
  /** How far the voice lies from the note, in cents. */
  readonly offset?: number;
  /** How far it drifts over the note's length, in cents. */
  readonly drift?: number;
  /** Noise so many decibels below the voice. */
  readonly noise?: number;
  /** Peak level, up to 1. */
  readonly level?: number;
  /** Numbers from 0 up to 1, for the noise; handed in so that the same note is made again. */
  readonly random: () => number;
}

/** How strongly a harmonic sounds: the source falls by 6 dB an octave, the mouth shapes it. */
function strength(hertz: Hertz, harmonic: number, formants: readonly Formant[]): number {
  const mouth = formants.reduce((sum, formant) => {
    const away = (hertz - formant.hertz) / (formant.width / 2);
    return sum + formant.gain / Math.sqrt(1 + away * away);
  }, 0.02);
  return mouth / harmonic;
}

/** Samples of the one period that a note repeats. */
const tableSize = 4096;

/** One period of a tone with these harmonics; its first sample stands again at the end. */
function periodOf(strengths: readonly number[]): Float64Array {
  const period = new Float64Array(tableSize + 1);
  const sines = Array.from({ length: tableSize }, (_, i) =>
    Math.sin((2 * Math.PI * i) / tableSize),
  );
  strengths.forEach((loud, k) => {
    for (let i = 0; i <= tableSize; i += 1) {
      period[i]! += loud * sines[((k + 1) * i) % tableSize]!;
    }
  });
  return period;
}

/** Soft ends, so that nothing clicks. */
const fade: Seconds = 0.02;

/** A sung note as samples: a pure tone or a vowel, with vibrato, drift and noise as wanted. */
export function singNote(wanted: SungNote): Recording {
  const { note, seconds, sampleRate, vowel, vibrato, random } = wanted;
  const { offset = 0, drift = 0, noise, level = 0.5 } = wanted;
  const length = Math.round(seconds * sampleRate);
  const samples = new Float32Array(length);
  const base = frequency(note) * 2 ** (offset / 1200);
  const harmonics = vowel === 'sine' ? 1 : Math.floor((0.45 * sampleRate) / (base * 1.1));
  const strengths = Array.from({ length: harmonics }, (_, i) =>
    vowel === 'sine' ? 1 : strength(base * (i + 1), i + 1, vowels[vowel]),
  );
  const period = periodOf(strengths);
  let phase = 0;
  let power = 0;
  for (let i = 0; i < length; i += 1) {
    const at = i / sampleRate;
    const swing = vibrato ? vibrato.cents * Math.sin(2 * Math.PI * vibrato.hertz * at) : 0;
    phase += (base * 2 ** ((swing + (drift * at) / seconds) / 1200)) / sampleRate;
    const place = (phase % 1) * tableSize;
    const before = period[Math.floor(place)]!;
    const sample = before + (period[Math.floor(place) + 1]! - before) * (place % 1);
    samples[i] = sample;
    power += sample * sample;
  }
  const peak = samples.reduce((most, sample) => Math.max(most, Math.abs(sample)), 1e-9);
  const loud = Math.sqrt(power / Math.max(1, length));
  const hiss = noise === undefined ? 0 : loud * 10 ** (-noise / 20);
  for (let i = 0; i < length; i += 1) {
    const edge = Math.min(1, i / (fade * sampleRate), (length - 1 - i) / (fade * sampleRate));
    samples[i] = ((samples[i]! * edge + hiss * gaussian(random)) / peak) * level;
  }
  return { sampleRate, samples };
}

/** A normally distributed number from two evenly distributed ones. */
const gaussian = (random: () => number): number =>
  Math.sqrt(-2 * Math.log(1 - random())) * Math.cos(2 * Math.PI * random());

/** Numbers from 0 up to 1 that are the same for the same seed (mulberry32). */
export function seeded(seed: number): () => number {
  let state = seed >>> 0;
  return () => {
    state = (state + 0x6d2b79f5) >>> 0;
    let mixed = Math.imul(state ^ (state >>> 15), 1 | state);
    mixed = (mixed + Math.imul(mixed ^ (mixed >>> 7), 61 | mixed)) ^ mixed;
    return ((mixed ^ (mixed >>> 14)) >>> 0) / 4_294_967_296;
  };
}
