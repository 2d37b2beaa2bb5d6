import { planActs, type PlanStore } from '@wide-fern/client';
import { useQueryClient } from '@tanstack/react-query';
import type { Evening, Exercise } from '@wide-fern/contract';
import type { Purpose } from '@wide-fern/core';
import type { Evaluated, EvaluatedPlan, KeyProposal } from '@wide-fern/plan';
import { editSaid } from '@wide-fern/words';
import { useMemo, useState, type RefObject } from 'react';
import { useHere } from '../../../here/session';
import { lettersOn, useShortcuts } from '../../../ui/useShortcuts';
import type { Looking } from '../drawing/Zoom';
import { planShortcuts } from './planShortcuts';
import { useSegmentHearing } from './useSegmentHearing';
import { useSaid } from './useSaid';
import { useUndoSaid } from './useUndoSaid';

/** What stands below the strip. */
export type Opened = 'bench' | 'shelf' | 'keys' | 'fit' | 'instead' | 'done' | 'table';

/** The chosen segment has the focus as soon as it is drawn. */
function focusIn(frame: RefObject<HTMLElement | null>): void {
  requestAnimationFrame(() => {
    frame.current?.querySelector<HTMLElement>('[data-segment][aria-current]')?.focus();
  });
}

/** Adds what brings a skill; where nothing does, that is said. */
function useBringing(
  evening: Evening,
  plan: EvaluatedPlan,
  {
    take,
    none,
  }: {
    readonly take: (exercise: Exercise, isNew: boolean) => void;
    readonly none: (words: string) => void;
  },
): (skill: Purpose) => void {
  const { choir } = useHere();
  const queries = useQueryClient();
  const bring = async (skill: Purpose) => {
    const { bringing } = await import('./bring');
    const found = await bringing(queries, choir.id, evening, plan, skill);
    if (found) take(found.exercise, found.isNew);
    else none(`Nothing that works on ${skill} fits the time that is left; make room for it first.`);
  };
  return (skill) => {
    // Without the network the shelf says what is away.
    bring(skill).catch(() => none(''));
  };
}

/** What is acted on, beside the plan's store. */
interface ActsOn {
  readonly build: () => void;
  readonly lead: () => void;
  readonly looking: RefObject<Looking | undefined>;
  readonly evening: Evening;
  readonly plan: EvaluatedPlan;
}

/** The acts on a plan whose strip stands in a frame. */
function actsIn(frame: RefObject<HTMLElement | null>, ...of: Parameters<typeof planActs>) {
  const acts = planActs(...of);
  // The word that took it out is gone with it: the keyboard goes on from the segment that follows.
  const takeOut = () => {
    acts.takeOut();
    focusIn(frame);
  };
  return { ...acts, takeOut };
}

/** What can be done in a plan, by hand or by key, and what was done last, in words. */
export function usePlanActs(
  store: PlanStore,
  frame: RefObject<HTMLElement | null>,
  evaluated: Evaluated | undefined,
  { build, lead, looking, evening, plan }: ActsOn,
) {
  const { mayEdit } = useHere();
  const { undo, redo, document } = store.getState();
  const [open, setOpen] = useState<Opened>('bench');
  const [letters, setLetters] = useState(lettersOn);
  const [said, setSaid] = useSaid();
  const hearing = useSegmentHearing(evaluated, document.tonight.sections);
  const focusChosen = () => focusIn(frame);
  const [proposal, setProposal] = useState<KeyProposal>();
  useUndoSaid(store, setSaid);
  const actions = useMemo(
    () => actsIn(frame, store, (fact) => setSaid(editSaid(fact) ?? ''), setProposal),
    [store, frame, setSaid],
  );
  /** Does something that chooses another segment, and shows it. */
  const shown =
    <A extends readonly unknown[]>(act: (...of: A) => void) =>
    (...of: A) => {
      act(...of);
      setOpen('bench');
      focusChosen();
    };
  const go = shown(actions.goBy);
  const take = shown(actions.take);
  const putInstead = shown(actions.putInstead);

  const bring = useBringing(evening, plan, {
    take,
    none: (words) => {
      setOpen('shelf');
      setSaid(words);
    },
  });

  const shortcuts = planShortcuts({
    mayEdit,
    go,
    nearer: () => looking.current?.nearer(),
    whole: () => looking.current?.whole(),
    startBy: actions.startBy,
    keysBy: actions.keysBy,
    moveBy: actions.moveBy,
    hear: hearing.toggle,
    undo,
    redo,
    build,
    lead,
    fit: () => setOpen('fit'),
    keepChosen: store.getState().keepChosen,
    onceMore: actions.onceMore,
    pin: () => actions.pin(!evaluated?.segment.choices.pinned),
    instead: () => setOpen('instead'),
    whatWasDone: () => setOpen('done'),
    openShelf: () => setOpen('shelf'),
    asTable: () => setOpen(open === 'table' ? 'bench' : 'table'),
    toggleKeys: () => setOpen(open === 'keys' ? 'bench' : 'keys'),
  });
  useShortcuts(shortcuts, letters);
  return {
    open,
    setOpen,
    said,
    setSaid,
    /** What would become of the chosen segment's keys, while it is only asked. */
    proposal: proposal?.segment === evaluated?.segment.id ? proposal : undefined,
    leaveProposal: () => setProposal(undefined),
    letters,
    setLetters,
    hearing,
    actions,
    shortcuts,
    focusChosen,
    go,
    take,
    putInstead,
    bring,
  };
}

export type PlanDoing = ReturnType<typeof usePlanActs>;
