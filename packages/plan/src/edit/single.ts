import type { Choices, Segment } from '@wide-fern/contract';
import type { Pass, SingleKey } from '@wide-fern/core';

/** Nothing that is not said; undefined where nothing is. */
function said<T extends object>(one: T): T | undefined {
  const parts = Object.entries(one).filter(
    ([, part]) => part !== undefined && part !== '' && !(Array.isArray(part) && part.length === 0),
  );
  return parts.length === 0 ? undefined : (Object.fromEntries(parts) as T);
}

/** Places with another one in one of them, or none there. */
function put<T>(
  places: Readonly<Record<string, T>> | undefined,
  place: number,
  one: T | undefined,
): Record<string, T> | undefined {
  const { [String(place)]: _, ...others } = places ?? {};
  const all = one === undefined ? others : { ...others, [String(place)]: one };
  return Object.keys(all).length === 0 ? undefined : all;
}

/**
 * What single keys of a segment are once one of them is changed: what is given is taken over, what is given
 * as nothing is as in the other keys again.
 */
export function changeKey(
  { choices: { inKeys } }: Pick<Segment, 'choices'>,
  place: number,
  changed: SingleKey,
): Pick<Choices, 'inKeys'> {
  const now = { ...inKeys?.[String(place)], ...changed };
  const way = now.way && said(now.way);
  return { inKeys: put(inKeys, place, said({ ...now, way })) };
}

/** The same for the so manieth time in every key. */
export function changeTime(
  { choices: { inTimes } }: Pick<Segment, 'choices'>,
  place: number,
  way: Pass,
): Pick<Choices, 'inTimes'> {
  return { inTimes: put(inTimes, place, said(way)) };
}
