import { scoreOfPart, singsIn } from '../notation';
import type { Listening } from './programme';

/** What is practised at home of an exercise. */
export interface Practising {
  /** Which key, by its place; all of them one after another where none is said. */
  readonly key: number | null;
  /** The one part that is heard alone. */
  readonly alone: string | null;
}

/** Counted before where neither the exercise nor its metre says how much. */
const usualCount = 4;

/**
 * What is heard when an exercise is practised: one key or all, everybody or one part alone, which is
 * silent in no key; always after a count, a bar of it where the exercise has none of its own.
 */
export function practising(whole: Listening, { key, alone }: Practising): Listening {
  const { score } = whole;
  const own = alone === null ? score : scoreOfPart(score, alone);
  const keys =
    key === null
      ? own.keys.filter((one) => alone === null || singsIn(one, alone))
      : own.keys.slice(key, key + 1);
  return {
    ...whole,
    countIn: whole.countIn || score.metre?.beats || usualCount,
    score: { ...own, keys },
  };
}
