import { beginPlan, messageOf, newId } from '@wide-fern/client';
import type { BuildWish, Evening, Exercise } from '@wide-fern/contract';
import {
  emptyDocument,
  itemTime,
  nothingAsked,
  planAhead,
  requestOf,
  segmentsOf,
  type AheadEvening,
  type BuildRequest,
  type Known,
  type Proposal,
} from '@wide-fern/plan';
import { useEffect, useRef, useState } from 'react';
import { useHere } from '../../../../here/session';
import type { Builder } from '../../../../here/building/builder';
import { isOpen, useFollowing, type FollowingEvening } from './useFollowing';

/** An evening ahead: what is planned for its warm-up, or what was built for it. */
export interface AheadRow extends FollowingEvening {
  readonly built: Proposal | undefined;
  readonly state: 'open' | 'building' | 'built' | 'nothing' | 'storing' | 'stored' | 'meanwhile';
}

type Step = Pick<AheadRow, 'state' | 'built'>;

/** What is asked of an evening ahead: how it is made goes for all; what was asked of one evening does not. */
function requestAhead(known: Known, wish: BuildWish, evening: Evening, item: string): BuildRequest {
  const { choir, evenings, exercises } = known;
  const { approach, level, quiet } = wish;
  return requestOf(
    {
      ...{ choir, evening, evenings, exercises },
      document: emptyDocument(evening.tonight),
      allotted: itemTime(evening, item).allotted,
    },
    { ...nothingAsked, approach, level, quiet },
  );
}

interface Ahead {
  readonly evening: Evening;
  readonly known: Known;
  readonly wish: BuildWish;
  readonly exercises: ReadonlyMap<string, Exercise>;
  /** What this evening's warm-up has. */
  readonly exercisesNow: readonly string[];
  readonly makeBuilder: () => Builder;
}

/** This evening and those that follow, as they are planned at once. */
function rowOf(
  { evening, known, wish, exercisesNow }: Ahead,
  following: readonly FollowingEvening[],
): AheadEvening[] {
  return [
    { id: evening.id, planned: exercisesNow },
    ...following.map((one): AheadEvening => {
      const { evening: whole, item, planned } = one;
      if (item !== undefined && isOpen(one)) {
        return { id: whole.id, request: requestAhead(known, wish, whole, item) };
      }
      const segments = planned?.document.segments ?? [];
      return { id: whole.id, planned: segments.map(({ exercise }) => exercise.id) };
    }),
  ];
}

/** The warm-ups of the evenings that follow, built at once, each knowing what the others use. */
export function useAhead(asked: Ahead) {
  const { choir } = useHere();
  const following = useFollowing(asked.evening);
  const [steps, setSteps] = useState<Readonly<Record<string, Step>>>({});
  const [message, setMessage] = useState('');
  const builder = useRef<Builder>(undefined);
  useEffect(
    () => () => {
      builder.current?.end();
      builder.current = undefined;
    },
    [],
  );
  const tell = (id: string, state: Step['state'], built?: Proposal) =>
    setSteps((now) => ({ ...now, [id]: { state, built } }));
  const build = async () => {
    setMessage('');
    const mine = (builder.current ??= asked.makeBuilder());
    for (const { evening } of following.rows.filter(isOpen)) tell(evening.id, 'building');
    try {
      await planAhead(rowOf(asked, following.rows), mine, ({ id, plan }) => {
        if (builder.current === mine) tell(id, plan ? 'built' : 'nothing', plan);
      });
    } catch (error) {
      if (builder.current !== mine) return;
      setMessage(messageOf(error));
      setSteps({});
    }
  };
  const take = async ({ evening: { id, tonight }, item, built }: AheadRow) => {
    if (item === undefined || !built) return;
    setMessage('');
    tell(id, 'storing', built);
    const segments = segmentsOf(built, asked.exercises, [], newId);
    try {
      const place = { choir: choir.id, evening: id, item };
      const done = await beginPlan(place, { ...emptyDocument(tonight), segments });
      tell(id, done === 'stored' ? 'stored' : 'meanwhile', built);
    } catch (error) {
      tell(id, 'built', built);
      setMessage(messageOf(error));
    }
  };
  const rows = following.rows.map((row): AheadRow => {
    const { state = 'open', built } = steps[row.evening.id] ?? {};
    return { ...row, built, state };
  });
  const { failed, retry, isReady } = following;
  return {
    ...{ rows, message, build, take, failed, retry, isReady },
    isBuilding: rows.some(({ state }) => state === 'building'),
    open: rows.filter((row) => isOpen(row) && row.state === 'open').length,
  };
}
