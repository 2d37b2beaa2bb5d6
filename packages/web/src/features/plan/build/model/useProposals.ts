import { newId, type PlanStore } from '@wide-fern/client';
import type { BuildWish, Evening, Exercise } from '@wide-fern/contract';
import {
  choose,
  evaluate,
  itemTime,
  nothingAsked,
  requestOf,
  segmentsOf,
  takeAcross,
  takeWhole,
  type Known,
  type Proposal,
} from '@wide-fern/plan';
import { clockIn } from '@wide-fern/words';
import { useMemo, useState } from 'react';
import { useStore } from 'zustand';
import { useHere } from '../../../../here/session';
import type { Builder } from '../../../../here/building/builder';
import { keepWish, readWish } from '../../../../here/building/keptWish';
import { useBuilding } from './useBuilding';
import { useDrawn } from './useDrawn';
import { useLikely } from '../../../../here/useLikely';

/** What building is given. */
export interface BuildPlace {
  readonly evening: Evening;
  readonly item: string;
  readonly store: PlanStore;
  readonly known: Known;
  /** Every exercise there is, by its id. */
  readonly exercises: ReadonlyMap<string, Exercise>;
  readonly builder: Builder;
  /** Another one beside it, for what is asked meanwhile. */
  readonly makeBuilder: () => Builder;
  readonly onLeave: () => void;
}

const without = (list: readonly string[], id: string) => list.filter((one) => one !== id);

/** What is asked, what was built for it, and what can be done with it. */
export function useProposals(place: BuildPlace) {
  const { evening, item, store, known, exercises, builder, onLeave } = place;
  const { choir, account } = useHere();
  const { document } = useStore(store);
  const { edit } = store.getState();
  const { start, allotted } = useMemo(() => itemTime(evening, item), [evening, item]);
  const clock = useMemo(() => clockIn(choir.timeZone, choir.clock), [choir.timeZone, choir.clock]);
  const ids = [account.id, choir.id, evening.id, item];
  const [wish, setWish] = useState<BuildWish>(() => readWish(...ids) ?? nothingAsked);
  const [opened, setOpened] = useState(0);
  /** The row and the segment whose reasons are open. */
  const [chosen, setChosen] = useState<{ readonly row: string; readonly segment: string }>();
  const [said, setSaid] = useState('');
  const request = useMemo(() => requestOf(known, wish), [known, wish]);
  const { building, stop, again } = useBuilding(builder, request);
  const seconds = Math.max(allotted, request.seconds);
  const likely = useLikely();
  const present = useMemo(() => likely(evaluate(document, seconds)), [document, seconds, likely]);
  const drawn = useDrawn(building.rows, exercises, document, request.seconds);
  const nameOf = (id: string) => exercises.get(id)?.name ?? id;

  const change = (next: BuildWish) => {
    setWish(next);
    keepWish(ids, next);
    setOpened(0);
    setChosen(undefined);
  };
  return {
    ...{ document, start, allotted, clock, request, builder },
    ...{ building, stop, again, present, drawn, said, nameOf },
    ...{ wish, change, opened, setOpened, chosen },
    pinned: new Set(document.segments.flatMap(({ id, choices }) => (choices.pinned ? [id] : []))),
    /** Opens the reasons of a segment, or closes them. */
    toggle: (row: string, segment: string) =>
      setChosen(chosen?.row === row && chosen.segment === segment ? undefined : { row, segment }),
    close: () => setChosen(undefined),
    pin: (segment: string, is: boolean) => {
      edit(choose(segment, { pinned: is }));
    },
    notTonight: (id: string) =>
      change({
        ...wish,
        excluded: [...without(wish.excluded, id), id],
        included: without(wish.included, id),
      }),
    askFor: (id: string) =>
      change({
        ...wish,
        included: [...without(wish.included, id), id],
        excluded: without(wish.excluded, id),
      }),
    takeWhole: (plan: Proposal) => {
      edit(takeWhole(document, segmentsOf(plan, exercises, document.segments, newId)));
      onLeave();
    },
    takeAcross: (plan: Proposal, exercise: string) => {
      const segment = segmentsOf(plan, exercises, [], newId).find(
        (one) => one.exercise.id === exercise,
      );
      if (!segment) return;
      const order = plan.segments.map((one) => one.exercise);
      const done = edit(takeAcross(document, segment, order)).length > 0;
      setSaid(
        done
          ? `${nameOf(exercise)} is in your plan now; undo takes it out again.`
          : 'Your plan takes no more segments; leave one out first.',
      );
    },
  };
}

export type Proposing = ReturnType<typeof useProposals>;
