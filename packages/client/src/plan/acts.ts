import type { Choices, EditFact, Exercise, PlanEdit, Segment } from '@wide-fern/contract';
import { computeSegment, type MidiNote, type Seconds, type ToldMove } from '@wide-fern/core';
import {
  addExercise,
  choose,
  inLimits,
  insteadOf,
  keysNumber,
  moveSeveral,
  moveTo,
  onceMore,
  pinSeveral,
  split,
  startOn,
  takeOut,
  takeOutSeveral,
  tellPart,
  untellPart,
  type KeyProposal,
  type KeyStep,
} from '@wide-fern/plan';
import { newId } from '../device/windows';
import { chosenTogether, type PlanStore } from './planStore';

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
  readonly tellPart: (part: string, place: number, move: ToldMove | null) => void;
  /** Lets the best be found for every key of a part, or with null of all. */
  readonly untell: (part: string | null) => void;
  readonly takeOut: () => void;
  /** Leaves out these, whatever is chosen. */
  readonly takeOutThese: (ids: ReadonlySet<string>) => void;
  /** What is chosen stays as it is whatever is built around it, or may be changed again. */
  readonly pin: (pinned: boolean) => void;
  /** The chosen segment once more, right behind it. */
  readonly onceMore: () => void;
  /** Makes the chosen segment two: the first one keeps so many keys, or half of them. */
  readonly split: (first?: number) => void;
  /** Another exercise in the place of the chosen segment. */
  readonly putInstead: (exercise: Exercise, isNew: boolean) => void;
  /** So many keys, rounds or times, as far as they can be sung; changes in a row are undone together. */
  readonly resize: (id: string, repetitions: number) => void;
  readonly talkFor: (id: string, seconds: Seconds) => void;
  /**
   * Adds an exercise; one that is new to the choir takes longer to explain.
   * @param after the segment it follows, null at the beginning; where its phase belongs when it is not said
   */
  readonly take: (exercise: Exercise, isNew?: boolean, after?: string | null) => void;
}

/** What acts are made of: the plan as it is at that moment, and ways to change it. */
function tools(
  store: PlanStore,
  tell: (fact: EditFact) => void,
  ask: (proposal: KeyProposal | undefined) => void,
) {
  const { edit } = store.getState();
  const now = () => {
    const { chosen, document } = store.getState();
    const place = document.segments.findIndex(({ id }) => id === chosen);
    return { document, place, segment: document.segments[place] };
  };
  const change = (changed: Partial<Choices>, label: string) => {
    const { segment } = now();
    ask(undefined);
    if (segment) edit(choose(segment.id, changed), label);
  };
  return {
    ...{ store, now, change, edit, ask },
    withChosen: (act: (segment: Segment) => void) => {
      const { segment } = now();
      if (segment) act(segment);
    },
    /** Does an edit, where there is one to be done, and tells of it. */
    make: (made: PlanEdit | undefined) => {
      ask(undefined);
      if (made) edit(made).forEach(tell);
    },
    /** What is chosen, where it is more than one segment. */
    several: (): ReadonlySet<string> | undefined => {
      const all = chosenTogether(store.getState());
      return all.length > 1 ? new Set(all) : undefined;
    },
    follow: (step: KeyStep, label: string) => {
      if (step.kind === 'do') change(step.choices, label);
      else ask(step.proposal);
    },
  };
}
type Tools = ReturnType<typeof tools>;

/** What is done to segments as a whole; to all that are chosen, where there are several. */
function segmentActs({ store, now, withChosen, make, several, ask }: Tools) {
  return {
    goBy: (places) => {
      ask(undefined);
      const { document, place } = now();
      const to = Math.min(document.segments.length - 1, Math.max(0, place + places));
      const id = document.segments[to]?.id;
      if (id) store.getState().choose(id);
    },
    moveTo: (id, place) => make(moveTo(now().document, id, place)),
    moveBy: (places) => {
      const { segment, place, document } = now();
      const all = several();
      if (all) make(moveSeveral(document, all, places < 0 ? -1 : 1));
      else if (segment) make(moveTo(document, segment.id, place + places));
    },
    takeOut: () => {
      const all = several();
      if (all) make(takeOutSeveral(now().document, all));
      else withChosen(({ id }) => make(takeOut(id)));
    },
    takeOutThese: (ids) => make(takeOutSeveral(now().document, ids)),
    pin: (pinned) =>
      withChosen(({ id }) => {
        const all = several();
        const one = choose(id, { pinned: pinned ? true : undefined });
        make(all ? pinSeveral(now().document, all, pinned) : one);
      }),
    onceMore: () => withChosen(({ id }) => make(onceMore(now().document, id, newId()))),
    split: (first) => withChosen(({ id }) => make(split(now().document, id, newId(), first))),
    putInstead: (exercise, isNew) =>
      withChosen(({ id }) => make(insteadOf(now().document, id, exercise, newId(), isNew))),
    take: (exercise, isNew, after) =>
      make(addExercise(now().document, exercise, newId(), isNew, after)),
  } satisfies Partial<PlanActs>;
}

/** What is done to the keys of the chosen segment. */
function keyActs({ now, withChosen, change, follow, edit, ask }: Tools) {
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
    startOn: start,
    startBy: (semitones) => {
      const best = bestStart();
      const { segment } = now();
      if (best === undefined || !segment) return;
      start((segment.choices.start ?? best) + semitones);
    },
    keysBy: (count) =>
      withChosen((segment) => {
        const repetitions = inLimits('repetitions', segment.choices.repetitions + count);
        follow(keysNumber(segment, repetitions, now().document), `${segment.id} repetitions`);
      }),
    tellPart: (part, place, move) =>
      withChosen((one) => change(tellPart(one, part, place, move), `${one.id} ${part} ${place}`)),
    untell: (part) => withChosen((one) => change(untellPart(one, part), `${one.id} untold`)),
    resize: (id, wanted) => {
      const { document } = now();
      const segment = document.segments.find((one) => one.id === id);
      if (!segment) return;
      const step = keysNumber(segment, inLimits('repetitions', wanted), document);
      ask(undefined);
      // What has to be seen first is not done by a hand that pulls.
      if (step.kind === 'do') edit(choose(id, step.choices), `${id} repetitions`);
    },
    talkFor: (id, seconds) => void edit(choose(id, { talk: seconds }), `${id} talk`),
  } satisfies Partial<PlanActs>;
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
  const made = tools(store, tell, ask);
  return { choose: made.change, ...segmentActs(made), ...keyActs(made) };
}
