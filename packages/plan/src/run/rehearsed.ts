import type { SentEvent } from '@wide-fern/contract';
import {
  beatsOf,
  effective,
  hasKeys,
  ledSeconds,
  ordered,
  slipsOf,
  type Answering,
  type RunState,
  type Seconds,
  type Slip,
} from '@wide-fern/core';
import type { Evaluated, EvaluatedPlan } from '../evaluate';
import { planNow, runAt, type LedPlan } from './now';

/** What whoever rehearses leading says that was said, one touch each. */
export const saidThings = ['purpose', 'cue', 'breath'] as const;
export type SaidThing = (typeof saidThings)[number];
/** As it is marked in the run. */
export const saidWord = (thing: SaidThing): string => `${thing} said`;

/** What came of a rehearsal, in figures. */
export interface Rehearsed {
  readonly planned: Seconds;
  readonly real: Seconds;
  readonly talkPlanned: Seconds;
  readonly talk: Seconds;
  readonly keysPlanned: number;
  /** Each key once, however often it was sung. */
  readonly keys: number;
  readonly again: number;
  /** How often a part slipped, and how often something was done about it. */
  readonly slips: number;
  readonly answered: number;
  /** The exercises in which something was not said, by name. */
  readonly unsaid: Readonly<Record<SaidThing, readonly string[]>>;
}

/** The parts that sing in a key. */
const singing = ({ computed }: Evaluated, key: number): string[] =>
  (computed.repetitions[key]?.parts ?? []).flatMap(({ part, does }) =>
    does === 'sing' ? [part] : [],
  );

/**
 * What a simulated choir gets wrong in the key a run is at.
 * @param time how often it was sung before
 */
export function slipsNow(
  plan: EvaluatedPlan,
  { segments, open, key }: Pick<RunState, 'segments' | 'open' | 'key'>,
  time: number,
  answering: Answering,
): Slip[] {
  const id = segments[open]?.id;
  const one = plan.segments.find(({ segment }) => segment.id === id);
  if (!one || key === null) return [];
  return slipsOf(singing(one, key), `${one.segment.id} ${key} ${time}`, answering);
}

/** How often the present key was begun before, in ordered events up to now. */
export function timesBegun(led: LedPlan, events: readonly SentEvent[]): number {
  const begun: string[] = [];
  const all = effective(ordered(events)) as SentEvent[];
  all.forEach(({ act }, i) => {
    if (act.kind !== 'began' && act.kind !== 'again') return;
    const { segments, open, key } = runAt(led, all.slice(0, i + 1));
    if (key !== null) begun.push(`${segments[open]?.id} ${key}`);
  });
  const last = begun.at(-1);
  return Math.max(0, begun.filter((one) => one === last).length - 1);
}

/** After a slip these say that it was heard. */
const reactions: ReadonlySet<string> = new Set(['again', 'marked', 'shifted', 'paused', 'held']);
const isReaction = ({ act }: SentEvent): boolean =>
  reactions.has(act.kind) ||
  (act.kind === 'talking' && act.on) ||
  (act.kind === 'managed' && act.how === 'few');

/** Slips, and those about which something was done before it went on. */
function slipsIn(
  led: LedPlan,
  events: readonly SentEvent[],
  answering: Answering,
): { slips: number; answered: number } {
  const all = effective(ordered(events)) as SentEvent[];
  const begun = new Map<string, number>();
  let slips = 0;
  let answered = 0;
  all.forEach(({ act }, i) => {
    if (act.kind !== 'began' && act.kind !== 'again') return;
    const upTo = all.slice(0, i + 1);
    const state = runAt(led, upTo);
    const { segments, open, key } = state;
    if (key === null) return;
    const which = `${segments[open]!.id} ${key}`;
    const time = begun.get(which) ?? 0;
    begun.set(which, time + 1);
    const found = slipsNow(planNow(led, upTo, state), state, time, answering).length;
    if (found === 0) return;
    slips += found;
    const after = all.slice(i + 1);
    const on = after.findIndex((one) => ['began', 'opened', 'ended'].includes(one.act.kind));
    const until = on < 0 ? after : after.slice(0, on);
    const next = on < 0 ? undefined : after[on]!.act;
    const wentBack = next?.kind === 'began' && next.key <= key;
    if (wentBack || until.some(isReaction)) answered += found;
  });
  return { slips, answered };
}

/** What could have been said of an exercise. */
function sayable({ segment: { exercise } }: Evaluated): SaidThing[] {
  const { purpose, cue, music } = exercise;
  const isBreathed = music.kind === 'breath' || (hasKeys(music) && beatsOf(music) > 0);
  return [
    ...(purpose ? (['purpose'] as const) : []),
    ...(cue ? (['cue'] as const) : []),
    ...(isBreathed ? (['breath'] as const) : []),
  ];
}

/** What came of a rehearsal with a simulated choir. */
export function rehearsed(
  led: LedPlan,
  events: readonly SentEvent[],
  answering: Answering,
): Rehearsed {
  const state = runAt(led, events);
  const plan = planNow(led, events, state);
  const records = state.records.filter(({ keys }) => keys.length > 0);
  const sum = (of: (one: (typeof records)[number]) => number) =>
    records.reduce((total, one) => total + of(one), 0);
  const unsaid: Record<SaidThing, string[]> = { purpose: [], cue: [], breath: [] };
  for (const { id, marks } of records) {
    const one = plan.segments.find(({ segment }) => segment.id === id);
    if (!one) continue;
    for (const thing of sayable(one)) {
      const isSaid = marks.some(({ word }) => word === saidWord(thing));
      if (!isSaid) unsaid[thing].push(one.segment.exercise.name);
    }
  }
  return {
    planned: led.segments.reduce((total, one) => total + ledSeconds(one), 0),
    real: state.elapsed - state.idle,
    talkPlanned: led.segments.reduce(
      (total, { talk, keys, after }) =>
        total + talk + after + keys.reduce((waits, { wait }) => waits + wait, 0),
      0,
    ),
    talk: sum(({ talk, coach, after }) => talk + coach + after),
    keysPlanned: led.segments.reduce((total, { keys }) => total + keys.length, 0),
    keys: sum(({ keys }) => new Set(keys.map(({ key }) => key)).size),
    again: sum(({ keys }) => keys.reduce((total, { times }) => total + times - 1, 0)),
    ...slipsIn(led, events, answering),
    unsaid,
  };
}
