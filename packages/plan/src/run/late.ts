import type { PlanDocument, SentAct } from '@wide-fern/contract';
import { restOf, type RunState, type Seconds } from '@wide-fern/core';
import { takeOffer, type Offer, type Standing } from '../building/adjust';
import { ledSegments } from './led';

/** How much time is left over once all that remains was led; below 0 where it does not fit. */
export const spareOf = (state: RunState, seconds: Seconds): Seconds =>
  seconds - state.elapsed - restOf(state);

/** What remains of the open segment alone. */
export const restOfOpen = (state: RunState): Seconds =>
  state.open < 0 ? 0 : restOf({ ...state, segments: state.segments.slice(0, state.open + 1) });

/** What an offer rests on: everything up to the open segment counts as sung, and so does what was led before. */
export function standingOf(state: RunState, seconds: Seconds): Standing {
  const led = new Set(state.records.filter(({ keys }) => keys.length > 0).map(({ id }) => id));
  const sung = state.segments
    .filter(({ id }, place) => place <= state.open || led.has(id))
    .map(({ id }) => id);
  return { sung, left: seconds - state.elapsed - restOfOpen(state) };
}

/** Taking an offer while it is led: what remains is put anew, what was sung and is sung stays. */
export function renewedBy(
  document: PlanDocument,
  offer: Offer,
  { sung }: Pick<Standing, 'sung'>,
  newId: () => string,
): Extract<SentAct, { kind: 'renewed' }> | undefined {
  const edit = takeOffer(document, offer, { sung }, newId);
  if (edit.kind !== 'replace') return undefined;
  const been = new Set(sung);
  const segments = edit.document.segments.filter(({ id }) => !been.has(id));
  const rest = ledSegments({ ...document, segments }).map((one) => ({
    ...one,
    keys: [...one.keys],
  }));
  return { kind: 'renewed', why: 'offer', rest, segments };
}
