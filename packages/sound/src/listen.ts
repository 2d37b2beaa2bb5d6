import { tuningLimits, type Hertz } from '@wide-fern/core';
import { PitchDetector } from 'pitchy';
import type { PitchFrame } from './frame';
import { settle, silent, type Settled } from './settle';

/** Length of the audio that one frame looks at, and how often a frame is made, in seconds. */
const frameTiming = { window: 0.05, hop: 0.01 } as const;

/** Below this level there is nothing to hear; below this clarity, no single voice. */
export const hearing = { quietest: -55, leastClarity: 0.8 } as const;

/** Pitches a voice may have, in Hz: C2 less a semitone to C7 and one more. */
const voiced = { lowest: 60, highest: 2200 } as const;

/**
 * The voice is made mellow above this, by 12 dB an octave: what is left swings nearly as the
 * fundamental does, so that neither vibrato nor a strong overtone hides the note.
 */
const mellowAbove: Hertz = 400;

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
  const steady = highPass(rumble, sampleRate);
  const soften = lowPass(mellowAbove, sampleRate);
  // Mellow as it is, the voice is as well described by every second sample of a fine recording.
  const every = sampleRate >= 32_000 ? 2 : 1;
  const rate = sampleRate / every;
  const size = Math.round(frameTiming.window * rate);
  const hop = Math.round(frameTiming.hop * rate);
  const detector = PitchDetector.forFloat32Array(size);
  // A strong second harmonic looks like the octave unless the first peak has to be nearly the highest.
  detector.clarityThreshold = 0.95;
  const window = new Float32Array(size);
  const powers = new Float32Array(size);
  let filled = 0;
  let kept = 0;
  let taken = 0;
  let settled: Settled = silent;

  const frame = (): PitchFrame => {
    const seconds = (kept - size / 2) / rate;
    const level = decibels(powers.reduce((sum, power) => sum + power, 0) / size);
    const [hertz, clarity] = level < hearing.quietest ? [0, 0] : detector.findPitch(window, rate);
    const isVoice =
      clarity >= hearing.leastClarity && hertz >= voiced.lowest && hertz <= voiced.highest;
    settled = settle(settled, isVoice ? 69 + 12 * Math.log2(hertz / a4) : null);
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
        const mellow = soften(sound);
        taken += 1;
        if (taken % every !== 0) continue;
        window[filled] = mellow;
        powers[filled] = sound * sound;
        filled += 1;
        kept += 1;
        if (filled < size) continue;
        frames.push(frame());
        window.copyWithin(0, hop);
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
