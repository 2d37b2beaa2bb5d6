import { frequency, type Hertz, type MidiNote } from '@wide-fern/core';
import { seeded, singNote, type SungNote } from '../voice';
import type { Recording } from '../wav';

/** Noise that is as strong in every octave, as a hall's is: several slow noises and a quick one. */
export function pinkNoise(length: number, random: () => number): Float32Array {
  const rows = 12;
  const values = Array.from({ length: rows }, () => random() - 0.5);
  let sum = values.reduce((total, value) => total + value, 0);
  return Float32Array.from({ length }, (_, i) => {
    // The row whose turn it is: every second sample the first, every fourth the second …
    const row = Math.min(rows - 1, Math.clz32(i & -i) ^ 31);
    if (i > 0 && row >= 0) {
      const next = random() - 0.5;
      sum += next - values[row]!;
      values[row] = next;
    }
    return (sum + random() - 0.5) / 4;
  });
}

const loudness = (samples: Float32Array): number =>
  Math.sqrt(samples.reduce((sum, one) => sum + one * one, 0) / Math.max(1, samples.length));

/** Another sound added so many decibels below a recording. */
export function withBelow(
  { sampleRate, samples }: Recording,
  other: Float32Array,
  decibels: number,
): Recording {
  const share = (loudness(samples) * 10 ** (-decibels / 20)) / Math.max(1e-9, loudness(other));
  return { sampleRate, samples: samples.map((one, i) => one + share * other[i]!) };
}

/** The hum of the mains with its weaker overtones. */
export const mainsHum = (length: number, sampleRate: number, hertz: Hertz = 50): Float32Array =>
  Float32Array.from({ length }, (_, i) => {
    const phase = (2 * Math.PI * hertz * i) / sampleRate;
    return Math.sin(phase) + 0.3 * Math.sin(2 * phase) + 0.1 * Math.sin(3 * phase);
  });

/** Several voices on one note, each a little beside it, as a synthesiser's choir has them. */
export function choirNote(wanted: SungNote, voices = 6, spread = 12): Recording {
  const random = seeded(wanted.note * 31 + voices);
  const all = Array.from({ length: voices }, () => {
    const lead = Math.floor(random() * 4000);
    const { samples } = singNote({
      ...wanted,
      seconds: wanted.seconds + 0.3,
      offset: (random() * 2 - 1) * spread,
      vibrato: { cents: 12 + 18 * random(), hertz: 4.5 + 1.5 * random() },
    });
    return samples.subarray(lead);
  });
  const length = Math.round(wanted.seconds * wanted.sampleRate);
  const samples = Float32Array.from(
    { length },
    (_, i) => all.reduce((sum, one) => sum + (one[i] ?? 0), 0) / voices,
  );
  return { sampleRate: wanted.sampleRate, samples };
}

/** A pad: bright tones beside each other, without what a sampled sound cannot hold. */
export function padNote(note: MidiNote, seconds: number, sampleRate: number): Recording {
  const length = Math.round(seconds * sampleRate);
  const tones = [-9, -4, 0, 5, 10].map((cents) => frequency(note) * 2 ** (cents / 1200));
  const tone = (hertz: number, at: number): number => {
    let sum = 0;
    for (let k = 1; k <= 12 && k * hertz < 0.45 * sampleRate; k += 1) {
      sum += Math.sin(2 * Math.PI * k * hertz * at) / k;
    }
    return sum;
  };
  const samples = Float32Array.from({ length }, (_, i) =>
    tones.reduce((sum, hertz) => sum + tone(hertz, i / sampleRate) / 10, 0),
  );
  return { sampleRate, samples };
}
