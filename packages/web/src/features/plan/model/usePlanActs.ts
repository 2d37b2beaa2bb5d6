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
import { useUndoSaid } from './useUndoSaid';

/** What stands below the strip. */
export type Opened = 'bench' | 'shelf' | 'keys' | 'fit' | 'instead' | 'done' | 'table';

/** The chosen segment has the focus as soon as it is drawn. */
function focusIn(frame: RefObject<HTMLElement | null>): void {
  requestAnimationFrame(() => {
    frame.current?.querySelector<HTMLElement>('[data-segment][aria-current]')?.focus();
  });
}

/** What can be done in a plan, by hand or by key, and what was done last, in words. */
export function usePlanActs(
  store: PlanStore,
  frame: RefObject<HTMLElement | null>,
  evaluated: Evaluated | undefined,
  {
    build,
    looking,
    evening,
    plan,
  }: {
    readonly build: () => void;
    readonly looking: RefObject<Looking | undefined>;
    readonly evening: Evening;
    readonly plan: EvaluatedPlan;
  },
) {
  const { mayEdit, choir } = useHere();
  const queries = useQueryClient();
  const { undo, redo, document } = store.getState();
  const [open, setOpen] = useState<Opened>('bench');
  const [letters, setLetters] = useState(lettersOn);
  const [said, setSaid] = useState('');
  const hearing = useSegmentHearing(evaluated, document.tonight.sections);
  const focusChosen = () => focusIn(frame);
  const [proposal, setProposal] = useState<KeyProposal>();
  useUndoSaid(store, setSaid);
  const actions = useMemo(() => {
    const acts = planActs(store, (fact) => setSaid(editSaid(fact) ?? ''), setProposal);
    // The word that took it out is gone with it: the keyboard goes on from the segment that follows.
    const takeOut = () => {
      acts.takeOut();
      focusIn(frame);
    };
    return { ...acts, takeOut };
  }, [store, frame]);
  const go = (by: number) => {
    actions.goBy(by);
    setOpen('bench');
    focusChosen();
  };
  const take = (exercise: Exercise, isNew: boolean, after?: string | null) => {
    actions.take(exercise, isNew, after);
    setOpen('bench');
    focusChosen();
  };

  /** Adds what brings a skill; where nothing does, the shelf opens and says so. */
  const bring = async (skill: Purpose) => {
    const { bringing } = await import('./bring');
    const found = await bringing(queries, choir.id, evening, plan, skill);
    if (found) {
      take(found.exercise, found.isNew);
    } else {
      setOpen('shelf');
      setSaid(`Nothing that works on ${skill} fits the time that is left; make room for it first.`);
    }
  };

  const putInstead = (exercise: Exercise, isNew: boolean) => {
    actions.putInstead(exercise, isNew);
    setOpen('bench');
    focusChosen();
  };

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
    bring: (skill: Purpose) => {
      // Without the network the shelf says what is away.
      bring(skill).catch(() => setOpen('shelf'));
    },
  };
}

export type PlanDoing = ReturnType<typeof usePlanActs>;
