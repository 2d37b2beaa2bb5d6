import { seeded, singerAnswers, usualSinger, type SimulatedSinger } from '@wide-fern/sound';
import type { OpenSource } from './source';

const sampleRate = 16_000;
/** Seconds of audio in one piece. */
const piece = 0.1;

/**
 * A simulated microphone: a singer made of numbers who sings whatever note is wanted, as a person
 * would or several times as fast. It stands in where there is no microphone, and says so.
 */
export const openSimulated =
  (speed: number, singer: SimulatedSinger = usualSinger): OpenSource =>
  (onSamples) => {
    const random = seeded(1);
    let waiting = new Float32Array(0);
    const timer = window.setInterval(
      () => {
        const samples = new Float32Array(Math.round(piece * sampleRate));
        samples.set(waiting.subarray(0, samples.length));
        waiting = waiting.slice(samples.length);
        onSamples(samples);
      },
      (piece * 1000) / speed,
    );
    return Promise.resolve({
      sampleRate,
      want: (note) => {
        waiting = new Float32Array(singerAnswers(singer, note, sampleRate, random));
      },
      stop: () => window.clearInterval(timer),
    });
  };
