import type { Logbook, Logged, LoggedRun } from '@wide-fern/contract';
import {
  closedTargets,
  columnOf,
  columnsUntil,
  effectOf,
  neglected,
  openTarget,
  timeByPhase,
  weeksBetween,
  type ClosedTarget,
  type Effect,
  type LogSpan,
  type Neglected,
  type OpenTarget,
  type PhaseTime,
  type Phase,
  type Purpose,
  type Seconds,
} from '@wide-fern/core';

/** An evening with what was led in it: each warm-up once, as it was led longest. */
export interface LogEvening {
  readonly id: string;
  readonly startsAt: string;
  readonly name: string | null;
  readonly runs: readonly LoggedRun[];
  readonly led: readonly Logged[];
}

/** A week, a month or a year of a logbook. */
export interface LogColumn {
  /** Its first day. */
  readonly column: string;
  readonly evenings: readonly LogEvening[];
  /** Seconds of its warm-ups: as planned, as they were, and talk among these. */
  readonly planned: Seconds;
  readonly real: Seconds;
  readonly talk: Seconds;
}

/** How a piece was judged for the one skill that is followed, column by column in the order of time. */
export interface JudgedRow {
  readonly piece: string;
  readonly title: string;
  readonly skill: Purpose;
  readonly scores: readonly (readonly number[])[];
}

/** Whether leading a skill helped, over all pieces and piece by piece. */
export interface SkillEffect {
  readonly skill: Purpose;
  readonly all: Effect;
  readonly byPiece: readonly { readonly title: string; readonly effect: Effect }[];
}

/** An exercise that was not led for some weeks. */
export interface Unused {
  readonly exercise: string;
  readonly name: string;
  readonly weeks: number;
}

/** A logbook as it is read. */
export interface LogbookView {
  readonly columns: readonly LogColumn[];
  readonly times: readonly PhaseTime[];
  readonly neglected: Neglected | undefined;
  readonly judged: readonly JudgedRow[];
  readonly open: readonly (OpenTarget & { readonly title: string })[];
  readonly closed: readonly (ClosedTarget & { readonly title: string })[];
  readonly effects: readonly SkillEffect[];
  /** Seconds led on each skill in these columns, the most first; an exercise may work on several. */
  readonly skills: readonly { readonly skill: Purpose; readonly seconds: Seconds }[];
  /** The longest unused first. */
  readonly unused: readonly Unused[];
}

/** How a logbook is read. */
export interface Reading {
  readonly span: LogSpan;
  readonly count: number;
  /** The day today where the choir is, and that of any moment. */
  readonly today: string;
  /** A day to come that has its column too. */
  readonly until?: string | undefined;
  readonly dayOf: (moment: string) => string;
}

/** Later is no neglect: not everything is led every time. */
const leastWeeks = 3;
/** So many columns are shown of a choir that has only begun. */
const leastColumns = 4;

const groupBy = <T>(items: readonly T[], keyOf: (item: T) => string): Map<string, T[]> => {
  const groups = new Map<string, T[]>();
  for (const item of items) {
    const key = keyOf(item);
    const group = groups.get(key);
    if (group) group.push(item);
    else groups.set(key, [item]);
  }
  return groups;
};
const sum = (numbers: readonly number[]): number => numbers.reduce((all, one) => all + one, 0);

/** Of each warm-up the time it was led longest: a false start is none. */
function longestRuns(runs: readonly LoggedRun[]): LoggedRun[] {
  return [...groupBy(runs, ({ evening, item }) => `${evening} ${item}`).values()].map((same) =>
    same.reduce((most, one) => (one.real > most.real ? one : most)),
  );
}

function eveningsOf({ evenings, runs, led }: Logbook): LogEvening[] {
  const byEvening = groupBy(longestRuns(runs), ({ evening }) => evening);
  const byRun = groupBy(led, ({ run }) => run);
  return evenings.map(({ id, startsAt, name }) => {
    const own = byEvening.get(id) ?? [];
    return { id, startsAt, name, runs: own, led: own.flatMap((run) => byRun.get(run.id) ?? []) };
  });
}

const logColumn = (column: string, evenings: readonly LogEvening[]): LogColumn => ({
  column,
  evenings,
  planned: sum(evenings.flatMap(({ runs }) => runs.map(({ planned }) => planned))),
  real: sum(evenings.flatMap(({ runs }) => runs.map(({ real }) => real))),
  talk: sum(evenings.flatMap(({ led }) => led.map(({ talk }) => talk))),
});

type JudgedOnce = Logbook['judged'][number];

/** The skill a piece is followed by: its open target, else what was judged most often, the later one first. */
function followedSkill(judged: readonly JudgedOnce[]): Purpose | undefined {
  const open = openTarget(judged)?.skill;
  if (open) return open;
  const counts = new Map<Purpose, number>();
  for (const { scores } of judged) {
    for (const { skill } of scores) counts.set(skill, (counts.get(skill) ?? 0) + 1);
  }
  return [...counts].reduce<[Purpose, number] | undefined>(
    (most, one) => (most === undefined || one[1] >= most[1] ? one : most),
    undefined,
  )?.[0];
}

function judgedRow(
  { id, title }: Logbook['pieces'][number],
  judged: readonly JudgedOnce[],
  columns: readonly string[],
  span: LogSpan,
): JudgedRow | undefined {
  const skill = followedSkill(judged);
  if (!skill) return undefined;
  const scores = columns.map((column) =>
    judged
      .filter(({ judgedOn }) => columnOf(judgedOn, span) === column)
      .flatMap((one) => one.scores.filter((score) => score.skill === skill))
      .map(({ score }) => score),
  );
  if (scores.every((some) => some.length === 0)) return undefined;
  return { piece: id, title, skill, scores };
}

function effectsOf(
  book: Logbook,
  evenings: readonly LogEvening[],
  dayOf: Reading['dayOf'],
): SkillEffect[] {
  const judged = book.judged.flatMap(({ piece, judgedOn, scores }) =>
    scores.map(({ skill, score }) => ({ piece, skill, day: judgedOn, score })),
  );
  const led = evenings.flatMap(({ startsAt, led: some }) =>
    some.map(({ purposes, singing }) => ({ day: dayOf(startsAt), purposes, seconds: singing })),
  );
  const skills = [...new Set(judged.map(({ skill }) => skill))];
  return skills
    .map((skill) => ({
      skill,
      all: effectOf(skill, judged, led),
      byPiece: book.pieces.flatMap(({ id, title }) => {
        const own = judged.filter(({ piece }) => piece === id);
        const effect = effectOf(skill, own, led);
        return effect.pairs.length > 0 ? [{ title, effect }] : [];
      }),
    }))
    .filter(({ all }) => all.pairs.length > 0)
    .sort((a, b) => b.all.pairs.length - a.all.pairs.length);
}

/** Columns from the first in which there was anything. */
function begun(columns: readonly string[], hasAny: (column: string) => boolean): string[] {
  const first = columns.findIndex(hasAny);
  const latest = columns.length - leastColumns;
  return columns.slice(Math.max(0, first < 0 ? latest : Math.min(first, latest)));
}

/** Seconds led on each skill. */
function skillTimes(columns: readonly LogColumn[]): LogbookView['skills'] {
  const seconds = new Map<Purpose, Seconds>();
  for (const { evenings } of columns) {
    for (const { purposes, singing } of evenings.flatMap(({ led }) => led)) {
      for (const skill of purposes) seconds.set(skill, (seconds.get(skill) ?? 0) + singing);
    }
  }
  return [...seconds]
    .map(([skill, some]) => ({ skill, seconds: some }))
    .sort((a, b) => b.seconds - a.seconds);
}

/** A logbook as it is read: what was led when, what is neglected, what helped, what is not used. */
export function readLogbook(
  book: Logbook,
  { span, count, today, until = today, dayOf }: Reading,
): LogbookView {
  const evenings = eveningsOf(book);
  const inColumn = groupBy(evenings, ({ startsAt }) => columnOf(dayOf(startsAt), span));
  const days = begun(columnsUntil(until, count, span), (column) => inColumn.has(column));
  const columns = days.map((column) => logColumn(column, inColumn.get(column) ?? []));
  const times = timeByPhase(
    days,
    columns.flatMap(({ column, evenings: some }) =>
      some.flatMap(({ led }) => led.map(({ phase, singing }) => ({ column, phase, singing }))),
    ),
  );
  const isLed = columns.map(({ evenings: some }) => some.some(({ led }) => led.length > 0));
  const judgedOf = groupBy(book.judged, ({ piece }) => piece);
  const own = book.pieces.map((piece) => ({ piece, judged: judgedOf.get(piece.id) ?? [] }));
  return {
    columns,
    times,
    neglected: neglected(times, isLed),
    judged: own.flatMap(({ piece, judged }) => judgedRow(piece, judged, days, span) ?? []),
    open: own.flatMap(({ piece: { title }, judged }) => {
      const target = openTarget(judged);
      return target ? [{ ...target, title }] : [];
    }),
    closed: own.flatMap(({ piece: { title }, judged }) =>
      closedTargets(judged).map((target) => ({ ...target, title })),
    ),
    skills: skillTimes(columns),
    effects: effectsOf(book, evenings, dayOf),
    unused: book.lastLed
      .map(({ exercise, name, ledAt }) => ({
        ...{ exercise, name },
        weeks: weeksBetween(dayOf(ledAt), today),
      }))
      .filter(({ weeks }) => weeks >= leastWeeks)
      .sort((a, b) => b.weeks - a.weeks || (a.name < b.name ? -1 : 1)),
  };
}

/** What was led on a phase in a column, evening by evening. */
export const ledIn = (
  { evenings }: Pick<LogColumn, 'evenings'>,
  phase: Phase,
): { readonly evening: LogEvening; readonly led: readonly Logged[] }[] =>
  evenings.flatMap((evening) => {
    const led = evening.led.filter((one) => one.phase === phase);
    return led.length > 0 ? [{ evening, led }] : [];
  });
