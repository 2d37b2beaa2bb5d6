import type { Choices, EditFact, Exercise, Segment } from '@wide-fern/contract';
import { computeSegment, type MidiNote, type Move } from '@wide-fern/core';
import {
  addExercise,
  choose,
  inLimits,
  keysNumber,
  moveTo,
  startOn,
  takeOut,
  tellPart,
  untellPart,
  type KeyProposal,
  type KeyStep,
} from '@wide-fern/plan';
import { newId } from '../device/windows';
import type { PlanStore } from './planStore';

/** What a director can do to a plan and to its chosen segment. */
export interface PlanActs {
  /** Changes what is chosen for the chosen segment; changes of one label are undone together. */
  readonly choose: (changed: Partial<Choices>, label: string) => void;
  /** Chooses the segment so many places on. */
  readonly goBy: (places: number) => void;
  readonly moveBy: (places: number) => void;
  readonly moveTo: (id: string, place: number) => void;
  /** Starts on a tonic; on the best one when it is null. */
  readonly startOn: (tonic: MidiNote | null) => void;
  readonly startBy: (semitones: number) => void;
  readonly keysBy: (count: number) => void;
  /** Tells a part of the chosen segment what to do in a key, by its place; null lets the best be found. */
  readonly tellPart: (part: string, place: number, move: Move | null) => void;
  /** Lets the best be found for every key of a part, or with null of all. */
  readonly untell: (part: string | null) => void;
  readonly takeOut: () => void;
  /** Adds an exercise; one that is new to the choir takes longer to explain. */
  readonly take: (exercise: Exercise, isNew?: boolean) => void;
}

/**
 * The acts on a plan. Each reads the plan as it is at that moment: keys can come faster than the
 * page is drawn. What was added, moved or taken out is told to `tell`; what has to be seen before it is
 * done goes to `ask`, and goes away with the next act.
 */
export function planActs(
  store: PlanStore,
  tell: (fact: EditFact) => void,
  ask: (proposal: KeyProposal | undefined) => void,
): PlanActs {
  const now = () => {
    const { chosen, document } = store.getState();
    const place = document.segments.findIndex(({ id }) => id === chosen);
    return { document, place, segment: document.segments[place] };
  };
  const { edit } = store.getState();
  const withChosen = (act: (segment: Segment) => void) => {
    const { segment } = now();
    if (segment) act(segment);
  };
  const move = (id: string, to: number) => {
    edit(moveTo(now().document, id, to)).forEach(tell);
  };
  const change = (changed: Partial<Choices>, label: string) => {
    const { segment } = now();
    ask(undefined);
    if (segment) edit(choose(segment.id, changed), label);
  };
  const follow = (step: KeyStep, label: string) => {
    if (step.kind === 'do') change(step.choices, label);
    else ask(step.proposal);
  };
  const start = (tonic: MidiNote | null) => {
    const { segment, document } = now();
    if (!segment) return;
    const label = `${segment.id} start`;
    if (tonic === null) change({ start: null }, label);
    else follow(startOn(segment, tonic, document), label);
  };
  /** The best start of the chosen segment; undefined when it has no keys or none can be sung. */
  const bestStart = (): MidiNote | undefined => {
    const { segment, document } = now();
    if (!segment) return undefined;
    const { keys } = computeSegment(segment, document.tonight);
    if (keys.kind === 'none' || !keys.best || keys.best.kind === 'infeasible') return undefined;
    return keys.best.start;
  };
  return {
    choose: change,
    goBy: (places) => {
      ask(undefined);
      const { document, place } = now();
      const to = Math.min(document.segments.length - 1, Math.max(0, place + places));
      const id = document.segments[to]?.id;
      if (id) store.getState().choose(id);
    },
    moveTo: move,
    moveBy: (places) => {
      const { segment, place } = now();
      if (segment) move(segment.id, place + places);
    },
    startOn: start,
    startBy: (semitones) => {
      const best = bestStart();
      const { segment } = now();
      if (best === undefined || !segment) return;
      start((segment.choices.start ?? best) + semitones);
    },
    keysBy: (count) => {
      const { segment, document } = now();
      if (!segment) return;
      const repetitions = inLimits('repetitions', segment.choices.repetitions + count);
      follow(keysNumber(segment, repetitions, document), `${segment.id} repetitions`);
    },
    tellPart: (part, place, move) =>
      withChosen((one) => change(tellPart(one, part, place, move), `${one.id} ${part} ${place}`)),
    untell: (part) => withChosen((one) => change(untellPart(one, part), `${one.id} untold`)),
    takeOut: () => withChosen(({ id }) => edit(takeOut(id)).forEach(tell)),
    take: (exercise, isNew) => {
      edit(addExercise(now().document, exercise, newId(), isNew)).forEach(tell);
    },
  };
}
