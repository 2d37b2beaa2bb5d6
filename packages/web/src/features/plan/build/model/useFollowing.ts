import { useQueries, useQuery } from '@tanstack/react-query';
import { eveningQuery, eveningsQuery, planQuery } from '@wide-fern/client';
import type { Evening, Plan } from '@wide-fern/contract';
import { useHere } from '../../../../here/session';

/** So many evenings ahead are looked at. */
const mostAhead = 3;

/** An evening ahead, and what is planned for its warm-up. */
export interface FollowingEvening {
  readonly evening: Evening;
  /** The agenda item of its warm-up; undefined where it has none. */
  readonly item: string | undefined;
  readonly planned: Plan | null;
}

/** Whether a warm-up is set aside and nothing stands in it. */
export const isOpen = ({ item, planned }: FollowingEvening): boolean =>
  item !== undefined && (planned?.document.segments.length ?? 0) === 0;

const warmUpOf = ({ agenda }: Evening): string | undefined =>
  agenda.find(({ kind }) => kind === 'warm-up')?.id;

/** The evenings that follow one, with what is planned for them. */
export function useFollowing(evening: Evening) {
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
  const isThere = (_: unknown, i: number): boolean => {
    const whole = evenings[i]?.data;
    return whole !== undefined && (warmUpOf(whole) === undefined || plans[i]?.data !== undefined);
  };
  return {
    failed: failed?.error,
    retry: () => {
      for (const query of [...all, ...plans]) if (query.error) void query.refetch();
    },
    isReady: list.data !== undefined && next.every(isThere),
    rows: next.flatMap((_, i): FollowingEvening[] => {
      const whole = evenings[i]?.data;
      return whole
        ? [{ evening: whole, item: warmUpOf(whole), planned: plans[i]?.data ?? null }]
        : [];
    }),
  };
}
