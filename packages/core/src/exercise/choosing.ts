import type { MidiNote } from '../units';
import { askedFor, isFound, type Searchable } from './finding';
import type { Kind } from './music';
import type { Age, PlaceNeed, Phase, Purpose } from './vocabulary';

/** What is wanted of an exercise; what is not said does not matter. */
export interface Wanted {
  /** Words that stand in it, or that directors call it by (finding.ts), all of them. */
  readonly words?: string | undefined;
  readonly phase?: Phase | undefined;
  readonly purpose?: Purpose | undefined;
  readonly kind?: Kind | undefined;
  readonly mostEffort?: number | undefined;
  readonly mostDifficulty?: number | undefined;
  /** What the place and the singers cannot give. */
  readonly without?: readonly PlaceNeed[] | undefined;
  readonly age?: Age | undefined;
  /** At least so many keys that suit everyone tonight; what has no pitch always works. */
  readonly leastKeys?: number | undefined;
  /** Not used for so many weeks. */
  readonly unusedWeeks?: number | undefined;
  readonly favourites?: boolean | undefined;
  readonly ownOnly?: boolean | undefined;
  /** Also those that were hidden. */
  readonly hidden?: boolean | undefined;
}

/** What has to be known of an exercise to choose among many. */
export interface Choosable extends Searchable {
  /** Keys that suit everyone tonight; undefined without pitch. */
  readonly keys: readonly MidiNote[] | undefined;
  /** Milliseconds since 1970; undefined when it was never used. */
  readonly lastUsed: number | undefined;
  readonly favourite: boolean;
  readonly hidden: boolean;
  readonly own: boolean;
}

const week = 7 * 24 * 3600 * 1000;

/** What tells whether an exercise is what is wanted. `now` in milliseconds since 1970. */
export function wantedBy(wanted: Wanted, now: number): (one: Choosable) => boolean {
  const asked = askedFor(wanted.words ?? '');
  return (one) => isLike(one, wanted, now) && isFound(one, asked);
}

/** Whether all but the words fits. */
function isLike(one: Choosable, wanted: Wanted, now: number): boolean {
  const { phase, purpose, kind, mostEffort, mostDifficulty, without, age, leastKeys } = wanted;
  if (one.hidden && !wanted.hidden) return false;
  if (phase && one.phase !== phase) return false;
  if (purpose && !one.purposes.includes(purpose)) return false;
  if (kind && one.kind !== kind) return false;
  if (mostEffort !== undefined && one.effort > mostEffort) return false;
  if (mostDifficulty !== undefined && one.difficulty > mostDifficulty) return false;
  if (without?.some((need) => one.needs.includes(need))) return false;
  if (age && one.ages && !one.ages.includes(age)) return false;
  if (leastKeys !== undefined && one.keys && one.keys.length < leastKeys) return false;
  if (wanted.unusedWeeks !== undefined && one.lastUsed !== undefined) {
    if (now - one.lastUsed < wanted.unusedWeeks * week) return false;
  }
  if (wanted.favourites && !one.favourite) return false;
  if (wanted.ownOnly && !one.own) return false;
  return true;
}
