import { useQueries, useQuery } from '@tanstack/react-query';
import {
  beginPlan,
  eveningQuery,
  eveningsQuery,
  messageOf,
  newId,
  planQuery,
} from '@wide-fern/client';
import type { BuildWish, Evening, Exercise, Plan } from '@wide-fern/contract';
import {
  emptyDocument,
  itemTime,
  nothingAsked,
  planAhead,
  requestOf,
  segmentsOf,
  type AheadEvening,
  type Known,
  type Proposal,
} from '@wide-fern/plan';
import { useEffect, useRef, useState } from 'react';
import { useHere } from '../../../../here/session';
import type { Builder } from './builder';

/** So many evenings ahead are looked at. */
export const mostAhead = 3;

/** An evening ahead: what is planned for its warm-up, or what was built for it. */
export interface AheadRow {
  readonly evening: Evening;
  /** The agenda item it is for; undefined where the evening has no warm-up. */
  readonly item: string | undefined;
  readonly planned: Plan | null;
  readonly built: Proposal | undefined;
  readonly state: 'open' | 'building' | 'built' | 'nothing' | 'storing' | 'stored' | 'meanwhile';
}

type Step =
  | { readonly state: 'built'; readonly plan: Proposal }
  | { readonly state: Exclude<AheadRow['state'], 'open' | 'built'>; readonly plan?: Proposal };

const warmUpOf = ({ agenda }: Evening): string | undefined =>
  agenda.find(({ kind }) => kind === 'warm-up')?.id;

/** The evenings that follow one, with what is planned for them. */
function useFollowing(evening: Evening) {
  const { choir } = useHere();
  const list = useQuery(eveningsQuery(choir.id));
  const next = (list.data ?? [])
    .filter(({ startsAt }) => startsAt > evening.startsAt)
    .sort((a, b) => a.startsAt.localeCompare(b.startsAt))
    .slice(0, mostAhead);
  const evenings = useQueries({ queries: next.map(({ id }) => eveningQuery(choir.id, id)) });
  const plans = useQueries({
    queries: next.map(({ id }, i) => {
      const whole = evenings[i]?.data;
      const item = whole ? warmUpOf(whole) : undefined;
      const place = { choir: choir.id, evening: id, item: item ?? 'warm-up' };
      return { ...planQuery(place), enabled: item !== undefined };
    }),
  });
  const all = [list, ...evenings];
  const failed = all.find(({ error }) => error) ?? plans.find(({ error }) => error);
  return {
    failed: failed?.error,
    retry: () => {
      for (const query of [...all, ...plans]) if (query.error) void query.refetch();
    },
    isReady:
      list.data !== undefined &&
      next.every((_, i) => {
        const whole = evenings[i]?.data;
        return whole && (warmUpOf(whole) === undefined || plans[i]?.data !== undefined);
      }),
    rows: next.flatMap((_, i) => {
      const whole = evenings[i]?.data;
      return whole
        ? [{ evening: whole, item: warmUpOf(whole), planned: plans[i]?.data ?? null }]
        : [];
    }),
  };
}

/**
 * The warm-ups of the evenings that follow, built at once, each knowing what the ones before it use.
 * @param exercisesNow what this evening's warm-up has
 */
export function useAhead({
  evening,
  known,
  wish,
  exercises,
  exercisesNow,
  makeBuilder,
}: {
  readonly evening: Evening;
  readonly known: Known;
  readonly wish: BuildWish;
  readonly exercises: ReadonlyMap<string, Exercise>;
  readonly exercisesNow: readonly string[];
  readonly makeBuilder: () => Builder;
}) {
  const { choir } = useHere();
  const following = useFollowing(evening);
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
  const tell = (id: string, step: Step) => setSteps((now) => ({ ...now, [id]: step }));
  const isOpen = ({ item, planned }: Pick<AheadRow, 'item' | 'planned'>) =>
    item !== undefined && (planned?.document.segments.length ?? 0) === 0;
  const requestFor = (whole: Evening, item: string) =>
    requestOf(
      {
        choir: known.choir,
        document: emptyDocument(whole.tonight),
        allotted: itemTime(whole, item).allotted,
        evening: whole,
        evenings: known.evenings,
        exercises: known.exercises,
      },
      // How it is made goes for all of them; what was asked of one evening does not.
      { ...nothingAsked, approach: wish.approach, level: wish.level, quiet: wish.quiet },
    );
  const build = async () => {
    setMessage('');
    const mine = (builder.current ??= makeBuilder());
    const asked = following.rows.filter(isOpen);
    for (const {
      evening: { id },
    } of asked)
      tell(id, { state: 'building' });
    const row: AheadEvening[] = [
      { id: evening.id, planned: exercisesNow },
      ...following.rows.map((one): AheadEvening =>
        one.item !== undefined && isOpen(one)
          ? { id: one.evening.id, request: requestFor(one.evening, one.item) }
          : {
              id: one.evening.id,
              planned: one.planned?.document.segments.map(({ exercise }) => exercise.id) ?? [],
            },
      ),
    ];
    try {
      await planAhead(row, mine, ({ id, plan }) => {
        if (builder.current === mine)
          tell(id, plan ? { state: 'built', plan } : { state: 'nothing' });
      });
    } catch (error) {
      if (builder.current !== mine) return;
      setMessage(messageOf(error));
      setSteps({});
    }
  };
  const take = async ({ evening: whole, item, built }: AheadRow) => {
    if (item === undefined || !built) return;
    setMessage('');
    tell(whole.id, { state: 'storing', plan: built });
    const document = {
      ...emptyDocument(whole.tonight),
      segments: segmentsOf(built, exercises, [], newId),
    };
    try {
      const done = await beginPlan({ choir: choir.id, evening: whole.id, item }, document);
      tell(whole.id, { state: done === 'stored' ? 'stored' : 'meanwhile', plan: built });
    } catch (error) {
      tell(whole.id, { state: 'built', plan: built });
      setMessage(messageOf(error));
    }
  };
  const rows = following.rows.map((row): AheadRow => {
    const step = steps[row.evening.id];
    return { ...row, built: step?.plan, state: step?.state ?? 'open' };
  });
  return {
    ...{ rows, message, build, take },
    failed: following.failed,
    retry: following.retry,
    isReady: following.isReady,
    isBuilding: rows.some(({ state }) => state === 'building'),
    open: rows.filter((row) => isOpen(row) && row.state === 'open').length,
  };
}
