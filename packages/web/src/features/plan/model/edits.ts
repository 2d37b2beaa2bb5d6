import {
  choiceLimits,
  mostSegments,
  type Choices,
  type Exercise,
  type PlanDocument,
  type Segment,
} from '@wide-fern/contract';
import { phases } from '@wide-fern/core';

/** An edit answers with a new document, or with the very same one when there is nothing to change. */
export type Edit = (document: PlanDocument) => PlanDocument;

const order = (segment: Segment): number => phases.indexOf(segment.exercise.phase);

/** Where an exercise belongs: after the last segment of its own or an earlier phase. */
export function placeFor(document: PlanDocument, exercise: Exercise): number {
  const phase = phases.indexOf(exercise.phase);
  return document.segments.findLastIndex((segment) => order(segment) <= phase) + 1;
}

/** Adds an exercise, with its usual choices, where its phase belongs. A full plan stays as it is. */
export const addSegment =
  (exercise: Exercise, id: string): Edit =>
  (document) => {
    if (document.segments.length >= mostSegments) return document;
    const segments = [...document.segments];
    const segment: Segment = { id, exercise, choices: { ...exercise.usual, start: null } };
    segments.splice(placeFor(document, exercise), 0, segment);
    return { ...document, segments };
  };

/** Takes a segment out. */
export const leaveOut =
  (id: string): Edit =>
  (document) => ({ ...document, segments: document.segments.filter((one) => one.id !== id) });

/** Moves a segment to a place among the others, counted from 0; a place beyond the ends is the end. */
export const moveSegment =
  (id: string, to: number): Edit =>
  (document) => {
    const from = document.segments.findIndex((one) => one.id === id);
    const last = document.segments.length - 1;
    const place = Math.min(last, Math.max(0, to));
    if (from < 0 || from === place) return document;
    const segments = [...document.segments];
    segments.splice(place, 0, ...segments.splice(from, 1));
    return { ...document, segments };
  };

const inLimits = (name: keyof typeof choiceLimits, value: number): number => {
  const [least, most] = choiceLimits[name];
  return Math.min(most, Math.max(least, value));
};

/** Changes what is chosen for a segment; figures stay within their limits. */
export const choose =
  (id: string, changed: Partial<Choices>): Edit =>
  (document) => {
    const limited = { ...changed };
    for (const name of ['tempo', 'repetitions', 'verses', 'step', 'talk'] as const) {
      const value = changed[name];
      if (value !== undefined) limited[name] = inLimits(name, value);
    }
    let same = true;
    const segments = document.segments.map((segment) => {
      if (segment.id !== id) return segment;
      const choices = { ...segment.choices, ...limited };
      const keys = Object.keys(limited) as (keyof Choices)[];
      if (keys.every((key) => choices[key] === segment.choices[key])) return segment;
      same = false;
      return { ...segment, choices };
    });
    return same ? document : { ...document, segments };
  };
