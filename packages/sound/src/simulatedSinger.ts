import type { MidiNote, PitchRange, Seconds } from '@wide-fern/core';
import { singNote, type Vowel } from './voice';

/** A small singer made of numbers, who stands in where there is no microphone. */
export interface SimulatedSinger {
  readonly comfort: PitchRange;
  readonly reach: PitchRange;
  readonly vowel: Vowel;
  readonly vibrato: { readonly cents: number; readonly hertz: number };
  /** How far the voice drifts over a note, in cents. */
  readonly drift: number;
  /** Noise of the room, so many decibels below the voice. */
  readonly noise: number;
  /** How far it sings beside a note, in cents, at most. */
  readonly aim: number;
}

/** A mezzo in a quiet room, with the small faults of a real one. */
export const usualSinger: SimulatedSinger = {
  comfort: [60, 74],
  reach: [58, 76],
  vowel: 'ah',
  vibrato: { cents: 35, hertz: 5.3 },
  drift: -12,
  noise: 24,
  aim: 20,
};

/** Before a note comes, and how long it is held where it is easy, and where it only comes out. */
const timing: Readonly<Record<'breath' | 'easy' | 'cameOut' | 'nothing', Seconds>> = {
  breath: 0.3,
  easy: 1.5,
  cameOut: 0.6,
  nothing: 1,
};

const holds = ([low, high]: PitchRange, note: MidiNote): boolean => low <= note && note <= high;

/**
 * What the singer answers to a note: held where it is easy, short where it only comes out, breath
 * noise where it is not there.
 */
export function singerAnswers(
  singer: SimulatedSinger,
  note: MidiNote,
  sampleRate: number,
  random: () => number,
): Float32Array {
  const { comfort, reach, vowel, vibrato, drift, noise, aim } = singer;
  const isEasy = holds(comfort, note);
  const isThere = holds(reach, note);
  const rest = Math.round(timing.breath * sampleRate);
  if (!isThere) {
    const air = new Float32Array(rest + Math.round(timing.nothing * sampleRate));
    return air.map(() => (random() - 0.5) * 0.001);
  }
  const { samples } = singNote({
    note,
    seconds: isEasy ? timing.easy : timing.cameOut,
    sampleRate,
    vowel,
    vibrato,
    drift: isEasy ? drift : 0,
    offset: (random() * 2 - 1) * aim,
    noise,
    level: 0.3,
    random,
  });
  const answer = new Float32Array(rest + samples.length);
  answer.set(samples, rest);
  return answer;
}
