import type { Seconds } from '../units';
import { turnOf, type Pass, type Passes } from './passes';

/** What an instrument plays in a single key: only the chord that leads to it, or nothing at all. */
export const playedWays = ['chord', 'nothing'] as const;
export type PlayedWay = (typeof playedWays)[number];

/** Time after a key in which nobody sings, and what is done meanwhile. */
export interface Pause {
  readonly seconds: Seconds;
  readonly does?: string | undefined;
}

/** What is other in one key than in the rest. */
export interface SingleKey {
  readonly way?: Pass | undefined;
  /** After it; not after the last one. */
  readonly pause?: Pause | undefined;
  /** As in all keys where nothing is said. */
  readonly played?: PlayedWay | undefined;
}

/** By the place of the key or the time, counted from 0 in the order sung. */
export type InPlaces<T> = Readonly<Record<string, T>>;

/** Everything that tells what is sung when (docs/model.md, section 3): the exercise's own turns, and what was chosen for single keys and times. */
export interface Ways {
  readonly passes?: Passes | undefined;
  readonly inKeys?: InPlaces<SingleKey> | undefined;
  /** For the so manieth time in every key. */
  readonly inTimes?: InPlaces<Pass> | undefined;
  /** Whether each time in a key every part takes the next line. */
  readonly linesInTurn?: boolean | undefined;
}

const at = <T>(places: InPlaces<T> | undefined, place: number): T | undefined =>
  places && Object.hasOwn(places, String(place)) ? places[String(place)] : undefined;

/** What is other in a key; undefined where nothing is. */
export const singleKey = ({ inKeys }: Pick<Ways, 'inKeys'>, place: number): SingleKey | undefined =>
  at(inKeys, place);

/** One way over another: what the upper one does not say, the lower one does. */
const over = (lower: Pass | undefined, upper: Pass | undefined): Pass | undefined =>
  lower && upper ? { ...lower, ...upper } : (upper ?? lower);

/** How a key is sung for the so manieth time: as its turn is, over that what was chosen for that time, over that what was chosen for that key. */
export const passIn = (
  { passes, inKeys, inTimes }: Ways,
  key: number,
  verse: number,
): Pass | undefined =>
  over(over(passes?.each[turnOf(passes, key, verse)], at(inTimes, verse)), at(inKeys, key)?.way);

/** How many times in a key may differ from each other; one where every time is sung alike. */
export function differingTimes({ passes, inTimes }: Ways, verses: number): number {
  if (inTimes && Object.keys(inTimes).length > 0) return verses;
  return passes?.over === 'verses' ? passes.each.length : 1;
}

/** Single keys of a stretch, counted anew from its first one. */
export const placesBetween = <T>(
  places: InPlaces<T>,
  from: number,
  to: number,
): Record<string, T> =>
  Object.fromEntries(
    Object.entries(places)
      .filter(([place]) => Number(place) >= from && Number(place) < to)
      .map(([place, one]) => [String(Number(place) - from), one]),
  );
