import type { Choices, Exercise } from '@wide-fern/contract';
import { computeSegment, type MidiNote } from '@wide-fern/core';
import { addSegment, choose, leaveOut, moveSegment } from '@wide-fern/plan';
import type { PlanStore } from './planStore';
import { newId } from '../device/windows';

/** What a director can do to a plan and to its chosen segment. */
export interface PlanActions {
  /** Changes what is chosen for the chosen segment; changes of one label are undone together. */
  readonly choose: (changed: Partial<Choices>, label: string) => void;
  /** Chooses the segment so many places on. */
  readonly goBy: (places: number) => void;
  readonly moveBy: (places: number) => void;
  readonly moveTo: (id: string, place: number) => void;
  readonly startBy: (semitones: number) => void;
  readonly keysBy: (count: number) => void;
  readonly leaveOut: () => void;
  readonly take: (exercise: Exercise) => void;
}

/**
 * The acts on a plan. Each reads the plan as it is at that moment: keys can come faster than the
 * page is drawn. What was done is said aloud by `say`.
 */
export function planActions(store: PlanStore, say: (words: string) => void): PlanActions {
  const now = () => {
    const { chosen, document } = store.getState();
    const place = document.segments.findIndex(({ id }) => id === chosen);
    return { document, place, segment: document.segments[place] };
  };
  const { edit } = store.getState();
  const moveTo = (id: string, to: number) => {
    edit(moveSegment(id, to));
    const { segments } = store.getState().document;
    const place = segments.findIndex((one) => one.id === id);
    if (place < 0) return;
    say(`${segments[place]!.exercise.name} is now ${place + 1} of ${segments.length}.`);
  };
  const change = (changed: Partial<Choices>, label: string) => {
    const { segment } = now();
    if (segment) edit(choose(segment.id, changed), label);
  };
  /** The best start of the chosen segment; undefined when it has no keys or none can be sung. */
  const bestStart = (): MidiNote | undefined => {
    const { segment, document } = now();
    if (!segment) return undefined;
    const { sections, needs } = document.tonight;
    const { keys } = computeSegment(segment, { sections, needs });
    if (keys.kind === 'none' || !keys.best || keys.best.kind === 'infeasible') return undefined;
    return keys.best.start;
  };
  return {
    choose: change,
    goBy: (places) => {
      const { document, place } = now();
      const to = Math.min(document.segments.length - 1, Math.max(0, place + places));
      const id = document.segments[to]?.id;
      if (id) store.getState().choose(id);
    },
    moveTo,
    moveBy: (places) => {
      const { segment, place } = now();
      if (segment) moveTo(segment.id, place + places);
    },
    startBy: (semitones) => {
      const best = bestStart();
      const { segment } = now();
      if (best === undefined || !segment) return;
      const to = (segment.choices.start ?? best) + semitones;
      change({ start: to === best ? null : to }, `${segment.id} start`);
    },
    keysBy: (count) => {
      const { segment } = now();
      if (!segment) return;
      const repetitions = segment.choices.repetitions + count;
      change({ repetitions }, `${segment.id} repetitions`);
    },
    leaveOut: () => {
      const { segment } = now();
      if (!segment) return;
      say(`${segment.exercise.name} is left out; undo brings it back.`);
      edit(leaveOut(segment.id));
    },
    take: (exercise) => {
      edit(addSegment(exercise, newId()));
      say(`${exercise.name} is in the plan.`);
    },
  };
}
