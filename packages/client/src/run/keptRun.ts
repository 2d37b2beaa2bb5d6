import { runEventSchema, runHeadSchema, uuid, z, type SentEvent } from '@wide-fern/contract';
import { ordered } from '@wide-fern/core';
import { bySchema, keptOnDevice } from '../device/store';
import type { PlanPlace } from '../queries';

const keptRunSchema = z.object({
  id: uuid,
  head: runHeadSchema,
  events: z.array(runEventSchema),
  /** The ids of those events that the server has, and whether it has the beginning. */
  known: z.array(z.string()),
  begun: z.boolean(),
});
/** A run as it lies on the device that leads it, until the server has all of it. */
export type KeptRun = z.infer<typeof keptRunSchema>;

const kept = keptOnDevice('run', bySchema(keptRunSchema));
const idsOf = (account: string, { choir, evening, item }: PlanPlace, run: string) => [
  account,
  choir,
  evening,
  item,
  run,
];

/** A run that lies on this device; undefined where it does not. */
export const readKeptRun = (account: string, place: PlanPlace, run: string): KeptRun | undefined =>
  kept.read(...idsOf(account, place, run));

/** Keeps a run; false where the device did not take it. */
export const keepRun = (account: string, place: PlanPlace, run: KeptRun): boolean =>
  kept.keep(idsOf(account, place, run.id), run);

export const forgetRun = (account: string, place: PlanPlace, run: string): void =>
  void kept.keep(idsOf(account, place, run), undefined);

/** Every run of an account on this device, the latest first, and where it belongs. */
export const keptRuns = (account: string): { readonly place: PlanPlace; readonly run: KeptRun }[] =>
  kept
    .below(account)
    .flatMap(({ ids: [choir, evening, item], value }) =>
      choir && evening && item ? [{ place: { choir, evening, item }, run: value }] : [],
    )
    .sort((a, b) => b.run.head.startedAt.localeCompare(a.run.head.startedAt));

/** The run of a warm-up that was begun last and lies here. */
export const lastKeptRun = (account: string, place: PlanPlace): KeptRun | undefined =>
  keptRuns(account).find(({ place: at }) => at.evening === place.evening && at.item === place.item)
    ?.run;

/** What two windows of one device know of the same run, together. */
export const joinedRuns = (one: KeptRun, other: KeptRun): KeptRun => ({
  ...one,
  events: ordered([...one.events, ...other.events]) as SentEvent[],
  known: [...new Set([...one.known, ...other.known])],
  begun: one.begun || other.begun,
});
