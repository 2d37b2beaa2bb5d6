import type { PlanDocument, Segment, SentAct } from '@wide-fern/contract';
import { hasKeys, type RunState, type Tonight } from '@wide-fern/core';
import { takeTonight } from '../carryOver';
import { performAll } from '../edit/perform';
import { evaluate } from '../evaluate';
import { ledSegments } from './led';

/** A segment that is sung goes on in the keys it has: it stays where it began. */
function stays(segment: Segment, planned: PlanDocument): Segment {
  if (segment.choices.start !== null || !hasKeys(segment.exercise.music)) return segment;
  const now = evaluate(planned, 0).segments.find((one) => one.segment.id === segment.id);
  const start = now?.computed.repetitions[0]?.tonic;
  return start === undefined ? segment : { ...segment, choices: { ...segment.choices, start } };
}

/**
 * What remains of a warm-up as it is sung by those who are here now: every ladder that was not begun is
 * sought anew, what is being sung keeps its first key.
 * @param document as it is led until now
 */
export function renewedHere(
  document: PlanDocument,
  tonight: Tonight,
  { segments, open, records }: Pick<RunState, 'segments' | 'open' | 'records'>,
): Extract<SentAct, { kind: 'renewed' }> {
  const sung = new Set(records.filter(({ keys }) => keys.length > 0).map(({ id }) => id));
  const anew = performAll(document, [takeTonight(document, tonight)]).segments;
  const now = document.segments.map((segment, i) =>
    sung.has(segment.id) ? stays(segment, document) : anew[i]!,
  );
  const changed = now.filter((segment, i) => segment !== document.segments[i]);
  const remains = new Set(segments.slice(Math.max(0, open)).map(({ id }) => id));
  const rest = ledSegments({ ...document, tonight, segments: now })
    .filter(({ id }) => remains.has(id))
    .map((one) => ({ ...one, keys: [...one.keys] }));
  return { kind: 'renewed', why: 'here', rest, segments: changed, tonight };
}
