import type { Exercise, Segment } from '@wide-fern/contract';
import { type Tonight, computeSegment, type ComputedSegment } from '@wide-fern/core';

/** So many ways of an exercise are remembered by what they are: what is weighed, then done, and pulled to and fro. */
const mostWays = 12;
const ways = new WeakMap<Tonight, WeakMap<Exercise, Map<string, ComputedSegment>>>();

/** A segment as it was computed lately in the same way, whichever object it was. */
function computedLately(segment: Segment, tonight: Tonight): ComputedSegment {
  const { id, exercise, choices } = segment;
  const ofEvening = ways.get(tonight) ?? new WeakMap<Exercise, Map<string, ComputedSegment>>();
  ways.set(tonight, ofEvening);
  const known = ofEvening.get(exercise) ?? new Map<string, ComputedSegment>();
  ofEvening.set(exercise, known);
  const way = JSON.stringify(choices);
  const found = known.get(way);
  if (found) return found.id === id ? found : { ...found, id };
  if (known.size >= mostWays) known.delete(known.keys().next().value!);
  const made = computeSegment(segment, tonight);
  known.set(way, made);
  return made;
}

/**
 * Segments as they were computed for an evening. An edit keeps every segment it does not change, and
 * what keys rest on, as the very same objects: so only what changed is computed anew.
 */
const segments = new WeakMap<Tonight, WeakMap<Segment, ComputedSegment>>();

/** A segment as computed for an evening, remembered as long as both live. */
export function computed(segment: Segment, tonight: Tonight): ComputedSegment {
  let known = segments.get(tonight);
  if (!known) segments.set(tonight, (known = new WeakMap()));
  const found = known.get(segment) ?? computedLately(segment, tonight);
  known.set(segment, found);
  return found;
}

/** Exercises by what keys rest on, told by its content: a plan and its evening hold it each for themselves. */
const candidates = new Map<string, WeakMap<Exercise, ComputedSegment>>();
const contents = new WeakMap<Tonight, string>();
const mostEvenings = 4;

function contentOf(tonight: Tonight): string {
  const known = contents.get(tonight);
  if (known !== undefined) return known;
  const { sections, needs } = tonight;
  const content = JSON.stringify([
    sections.map(({ id, octave, comfort, reach }) => [id, octave, comfort, reach]),
    needs.map(({ part, highest, lowest }) => [part, highest, lowest]),
  ]);
  contents.set(tonight, content);
  return content;
}

/**
 * What an exercise would be tonight, with its usual choices and the best start: computed once for
 * whatever asks (the list, the shelf, a panel), for the evenings asked for last.
 */
export function candidate(exercise: Exercise, tonight: Tonight): ComputedSegment {
  const content = contentOf(tonight);
  let known = candidates.get(content);
  if (!known) {
    if (candidates.size >= mostEvenings) candidates.delete(candidates.keys().next().value!);
    candidates.set(content, (known = new WeakMap()));
  }
  const found =
    known.get(exercise) ??
    computeSegment(
      { id: exercise.id, exercise, choices: { ...exercise.usual, start: null } },
      tonight,
    );
  known.set(exercise, found);
  return found;
}
