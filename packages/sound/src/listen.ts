import { tuningLimits, type Hertz } from '@wide-fern/core';
import { PitchDetector } from 'pitchy';
import type { PitchFrame } from './frame';
import { settle, silent, type Settled } from './settle';

/** Length of the audio that one frame looks at, and how often a frame is made, in seconds. */
const frameTiming = { window: 0.05, hop: 0.01 } as const;

/**
 * Below this level there is nothing to hear; below this clarity, no single voice. A voice that is heard
 * already goes on with less: a hall's noise takes off some of it.
 */
export const hearing = { quietest: -55, leastClarity: 0.8, goesOn: 0.55 } as const;

/** Pitches a voice may have, in Hz: C2 less a quarter tone to C7 and one more. */
const voiced = { lowest: 63.5, highest: 2200 } as const;

/**
 * Where a voice is looked for. «mellow»: what is left above 400 Hz falls by 12 dB an octave, so that it
 * swings nearly as the fundamental does and neither vibrato nor a strong overtone hides the note.
 * «bright»: from 200 to 1600 Hz, where a hall rumbles least and high voices have their fundamental.
 */
const bands = { mellow: 400, brightFrom: 200, brightTo: 1600 } as const;

/** The hum of the mains, here and elsewhere: no voice is wanted so low. */
const hums: readonly Hertz[] = [50, 60];

/** Listens to samples as they come and answers with frames. */
export interface Listener {
  /** Takes the next samples and gives the frames that they complete. */
  readonly push: (samples: Float32Array) => PitchFrame[];
}

const decibels = (power: number): number => (power <= 0 ? -Infinity : 10 * Math.log10(power));

/** Below this nothing is sung: the offset of a bad input, the rumble of a hall. */
const rumble: Hertz = 40;

/** What is left of a sound above a frequency. */
function highPass(hertz: Hertz, sampleRate: number): (sample: number) => number {
  const share = 1 - Math.exp((-2 * Math.PI * hertz) / sampleRate);
  let slow: number | undefined;
  return (sample) => {
    // From the first sample on, so that an offset is no step.
    slow = slow === undefined ? sample : slow + share * (sample - slow);
    return sample - slow;
  };
}

/** Two one-pole low passes in a row. */
function lowPass(hertz: Hertz, sampleRate: number): (sample: number) => number {
  const share = 1 - Math.exp((-2 * Math.PI * hertz) / sampleRate);
  let once = 0;
  let twice = 0;
  return (sample) => {
    once += share * (sample - once);
    twice += share * (once - twice);
    return twice;
  };
}

/** Takes out one frequency and little beside it (a second-order notch). */
function notch(hertz: Hertz, sampleRate: number): (sample: number) => number {
  const angle = (2 * Math.PI * hertz) / sampleRate;
  const narrow = 8;
  const alpha = Math.sin(angle) / (2 * narrow);
  const turn = -2 * Math.cos(angle);
  let [in1, in2, out1, out2] = [0, 0, 0, 0];
  return (sample) => {
    const out = (sample + turn * in1 + in2 - turn * out1 - (1 - alpha) * out2) / (1 + alpha);
    [in2, in1, out2, out1] = [in1, sample, out1, out];
    return out;
  };
}

type Filter = (sample: number) => number;
const inTurn =
  (...filters: readonly Filter[]): Filter =>
  (sample) =>
    filters.reduce((sound, filter) => filter(sound), sample);

/** One reading of a band: a pitch in semitones, and how clear it is. */
interface Reading {
  readonly pitch: number;
  readonly clarity: number;
}

/**
 * Of what the bands say, what is a voice's: the mellow one where it is clear, else whichever goes on
 * with the note that is heard, else the clearest.
 */
function voiceIn(readings: readonly Reading[], before: number | null): Reading | undefined {
  const isNear = ({ pitch }: Reading) => before !== null && Math.abs(pitch - before) < 1.5;
  const goesOn = readings
    .filter((one) => isNear(one) && one.clarity >= hearing.goesOn)
    .sort((a, b) => b.clarity - a.clarity)[0];
  const [mellow] = readings;
  if (mellow && mellow.clarity >= 0.9) return mellow;
  if (goesOn) return goesOn;
  const [clearest] = [...readings].sort((a, b) => b.clarity - a.clarity);
  return clearest && clearest.clarity >= hearing.leastClarity ? clearest : undefined;
}

/**
 * A listener for one voice: McLeod's method (pitchy) on 50 ms of audio every 10 ms, settled over one
 * period of vibrato. A frame is complete 25 ms after the moment it is about.
 * @param sampleRate samples a second, 8 000 to 96 000.
 * @param a4 the tuning, in Hz.
 */
export function createListener(sampleRate: number, a4: Hertz = tuningLimits.usual): Listener {
  if (!(sampleRate >= 8000 && sampleRate <= 96_000)) {
    throw new RangeError(`A listener takes 8 000 to 96 000 samples a second, not ${sampleRate}.`);
  }
  const steady = inTurn(
    highPass(rumble, sampleRate),
    ...hums.map((hertz) => notch(hertz, sampleRate)),
  );
  const filters: readonly Filter[] = [
    lowPass(bands.mellow, sampleRate),
    inTurn(
      highPass(bands.brightFrom, sampleRate),
      highPass(bands.brightFrom, sampleRate),
      lowPass(bands.brightTo, sampleRate),
    ),
  ];
  // Mellow as it is, the voice is as well described by every second sample of a fine recording.
  const every = sampleRate >= 32_000 ? 2 : 1;
  const rate = sampleRate / every;
  const size = Math.round(frameTiming.window * rate);
  const hop = Math.round(frameTiming.hop * rate);
  const detector = PitchDetector.forFloat32Array(size);
  // A strong second harmonic looks like the octave unless the first peak has to be nearly the highest.
  detector.clarityThreshold = 0.95;
  const windows = filters.map(() => new Float32Array(size));
  const powers = new Float32Array(size);
  let filled = 0;
  let kept = 0;
  let taken = 0;
  let settled: Settled = silent;

  const read = (window: Float32Array): Reading[] => {
    const [hertz, clarity] = detector.findPitch(window, rate);
    if (!(hertz >= voiced.lowest && hertz <= voiced.highest)) return [];
    return [{ pitch: 69 + 12 * Math.log2(hertz / a4), clarity }];
  };

  const frame = (): PitchFrame => {
    const seconds = (kept - size / 2) / rate;
    const level = decibels(powers.reduce((sum, power) => sum + power, 0) / size);
    const readings = level < hearing.quietest ? [] : windows.flatMap(read);
    const voice = voiceIn(readings, settled.pitch);
    const clarity = voice?.clarity ?? readings[0]?.clarity ?? 0;
    settled = settle(settled, voice?.pitch ?? null);
    const { pitch } = settled;
    if (pitch === null) return { seconds, hertz: null, midi: null, cents: null, clarity, level };
    const midi = Math.round(pitch);
    return {
      seconds,
      hertz: a4 * 2 ** ((pitch - 69) / 12),
      midi,
      cents: Math.round((pitch - midi) * 1000) / 10,
      clarity,
      level,
    };
  };

  return {
    push: (samples) => {
      const frames: PitchFrame[] = [];
      for (const sample of samples) {
        const sound = steady(sample);
        const heard = filters.map((filter) => filter(sound));
        taken += 1;
        if (taken % every !== 0) continue;
        heard.forEach((one, i) => {
          windows[i]![filled] = one;
        });
        powers[filled] = sound * sound;
        filled += 1;
        kept += 1;
        if (filled < size) continue;
        frames.push(frame());
        for (const window of windows) window.copyWithin(0, hop);
        powers.copyWithin(0, hop);
        filled = size - hop;
      }
      return frames;
    },
  };
}

/** All frames of a recording. */
export const listenTo = (
  { sampleRate, samples }: { readonly sampleRate: number; readonly samples: Float32Array },
  a4?: Hertz,
): PitchFrame[] => createListener(sampleRate, a4).push(samples);
