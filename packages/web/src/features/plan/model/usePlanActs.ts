import { planActs, type PlanStore } from '@wide-fern/client';
import type { Exercise } from '@wide-fern/contract';
import type { Evaluated } from '@wide-fern/plan';
import { editSaid } from '@wide-fern/words';
import { useMemo, useState, type RefObject } from 'react';
import { useHere } from '../../../here/session';
import { lettersOn, useShortcuts } from '../../../ui/useShortcuts';
import { planShortcuts } from './planShortcuts';
import { useSegmentHearing } from './useSegmentHearing';

/** What stands below the strip. */
export type Opened = 'bench' | 'shelf' | 'keys';

/** What can be done in a plan, by hand or by key, and what was done last, in words. */
export function usePlanActs(
  store: PlanStore,
  frame: RefObject<HTMLElement | null>,
  evaluated: Evaluated | undefined,
) {
  const { mayEdit } = useHere();
  const { undo, redo, document } = store.getState();
  const [open, setOpen] = useState<Opened>('bench');
  const [letters, setLetters] = useState(lettersOn);
  const [said, setSaid] = useState('');
  const hearing = useSegmentHearing(evaluated, document.tonight.sections);
  const focusChosen = () => {
    requestAnimationFrame(() => {
      frame.current?.querySelector<HTMLElement>('[data-segment][aria-current]')?.focus();
    });
  };
  const actions = useMemo(() => planActs(store, (fact) => setSaid(editSaid(fact) ?? '')), [store]);
  const go = (by: number) => {
    actions.goBy(by);
    setOpen('bench');
    focusChosen();
  };
  const take = (exercise: Exercise) => {
    actions.take(exercise);
    setOpen('bench');
    focusChosen();
  };

  const shortcuts = planShortcuts({
    mayEdit,
    go,
    startBy: actions.startBy,
    keysBy: actions.keysBy,
    moveBy: actions.moveBy,
    hear: hearing.toggle,
    undo,
    redo,
    openShelf: () => setOpen('shelf'),
    toggleKeys: () => setOpen(open === 'keys' ? 'bench' : 'keys'),
  });
  useShortcuts(shortcuts, letters);
  return {
    open,
    setOpen,
    said,
    setSaid,
    letters,
    setLetters,
    hearing,
    actions,
    shortcuts,
    focusChosen,
    go,
    take,
  };
}

export type PlanDoing = ReturnType<typeof usePlanActs>;
