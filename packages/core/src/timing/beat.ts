import type { Seconds } from '../units';
import { repetitionTimes, type PatternTiming } from './segment';

/** Where what is spoken to a beat is: what goes on, and which beat of it. */
export interface BeatMoment {
  readonly of: 'count-in' | 'listen' | 'text' | 'breath';
  /** Which time through it, from 0; before the first and after a breath the one to come. */
  readonly repetition: number;
  /** Which beat of the count-in, the text or the breath, from 0. */
  readonly beat: number;
  /** How much of that beat is over, from 0 to just below 1. */
  readonly into: number;
}

/** Sums of beats are nearly whole: so near a beat it has begun. */
const near = 1e-6;

const beatAt = (beats: number): Pick<BeatMoment, 'beat' | 'into'> => {
  const beat = Math.max(0, Math.floor(beats + near));
  return { beat, into: Math.min(1 - near, Math.max(0, beats - beat)) };
};

/**
 * Which beat is spoken so many seconds after what is explained beforehand (docs/model.md, section 6);
 * undefined before it and once the last beat is over.
 */
export function beatMoment(timing: PatternTiming, since: Seconds): BeatMoment | undefined {
  if (since < 0) return undefined;
  const times = repetitionTimes({ ...timing, talk: 0 });
  const repetition = times.findIndex(({ at, seconds }) => since < at + seconds - near);
  const now = times[repetition];
  if (!now) return undefined;
  const { countIn = 0, countInEach = false, demonstrate = 'no', patternBeats } = timing;
  const beats = ((since - now.at) * now.tempo) / 60;
  if (beats + near >= 0) return { of: 'text', repetition, ...beatAt(beats) };
  const counts = repetition === 0 || countInEach ? countIn : 0;
  if (beats + near >= -counts) return { of: 'count-in', repetition, ...beatAt(beats + counts) };
  const isShown =
    demonstrate === 'each key'
      ? repetition % timing.verses === 0
      : demonstrate === 'once' && repetition === 0;
  const shown = isShown ? patternBeats : 0;
  if (beats + near >= -counts - shown) {
    return { of: 'listen', repetition, ...beatAt(beats + counts + shown) };
  }
  const before = times[repetition - 1]!;
  const rested = ((since - before.at - before.seconds) * before.tempo) / 60;
  return { of: 'breath', repetition, ...beatAt(rested) };
}
