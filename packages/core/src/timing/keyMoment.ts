import type { Seconds } from '../units';
import { beatMoment, type BeatMoment } from './beat';
import { repetitionTimes, type PatternTiming } from './segment';

/**
 * Where a key is so many seconds after it was begun, its chord, what is sung first and its count-in included
 * (docs/model.md, section 6): a moment of one of its times, or that all of them are over.
 * @param key its place in the order sung
 */
export function keyMoment(timing: PatternTiming, key: number, since: Seconds): BeatMoment | 'over' {
  const { countIn = 0, countInEach, demonstrate = 'no', keyChangeBeats = 0 } = timing;
  const { verses, patternBeats } = timing;
  const first = repetitionTimes({ ...timing, talk: 0 })[key * verses];
  if (!first) return 'over';
  const isShown = demonstrate === 'each key' || (demonstrate === 'once' && key === 0);
  const before =
    (key === 0 ? 0 : keyChangeBeats) +
    (isShown ? patternBeats : 0) +
    (key === 0 || countInEach ? countIn : 0);
  const moment = beatMoment(timing, Math.max(0, first.at - (before * 60) / first.tempo + since));
  return moment && moment.repetition < (key + 1) * verses ? moment : 'over';
}
