import { queryOptions, useQuery } from '@tanstack/react-query';
import { exercisesQuery, ledOnceQuery } from '@wide-fern/client';
import type { Course } from '@wide-fern/contract';
import { courseWay, type CourseWay } from '@wide-fern/core';
import { useMemo } from 'react';
import { builtInQuery } from '../builtIn';
import { useHere } from '../session';

/** A course there is, and how far the choir is on it where it follows it. */
export interface CourseHere {
  readonly course: Course;
  /** Whether it is the choir's own. */
  readonly isOwn: boolean;
  readonly since: string | null;
  readonly way: CourseWay | null;
}

/** The courses of a choir and the built-in ones: on their way, failed, or there, those that are followed first. */
export type CoursesState =
  | { readonly kind: 'loading' }
  | { readonly kind: 'failed'; readonly error: unknown; readonly retry: () => void }
  | {
      readonly kind: 'ready';
      readonly courses: readonly CourseHere[];
      /** What each exercise is called, by its id. */
      readonly names: ReadonlyMap<string, string>;
    };

const builtInCoursesQuery = queryOptions({
  queryKey: ['built-in courses'],
  queryFn: async () => (await import('@wide-fern/catalogue')).courses,
  staleTime: Infinity,
});

/** Gathers the courses and what was led of them. */
export function useCourses(): CoursesState {
  const { choir } = useHere();
  const builtIn = useQuery(builtInCoursesQuery);
  const exercises = useQuery(builtInQuery);
  const own = useQuery(exercisesQuery(choir.id));
  const led = useQuery(ledOnceQuery(choir.id));
  const names = useMemo(
    () =>
      new Map(
        [...(exercises.data ?? []), ...(own.data?.own ?? [])].map(({ id, name }) => [id, name]),
      ),
    [exercises.data, own.data],
  );
  const courses = useMemo(() => {
    if (!builtIn.data || !led.data) return undefined;
    const kept = new Map(Object.entries(choir.courses));
    const ours = [...kept.values()].flatMap(({ course }) => course ?? []);
    const isOurs = new Set(ours.map(({ id }) => id));
    const all = [...ours, ...builtIn.data.filter(({ id }) => !isOurs.has(id))];
    return all
      .map((course): CourseHere => {
        const since = kept.get(course.id)?.since ?? null;
        const way = since === null ? null : courseWay(course.steps, led.data, since);
        return { course, isOwn: isOurs.has(course.id), since, way };
      })
      .sort((one, other) => Number(one.way === null) - Number(other.way === null));
  }, [builtIn.data, choir.courses, led.data]);
  if (courses && exercises.data && own.data) return { kind: 'ready', courses, names };
  const queries = [builtIn, exercises, own, led];
  const failed = queries.find(({ error }) => error);
  if (!failed) return { kind: 'loading' };
  const retry = () => {
    for (const query of queries) if (query.error) void query.refetch();
  };
  return { kind: 'failed', error: failed.error, retry };
}

/** Those that are followed, with their way. */
export const followedOf = (courses: readonly CourseHere[]) =>
  courses.flatMap(({ course, way }) => (way ? [{ course, way }] : []));
