import { runEventSchema, runHeadSchema, uuid, z, type RunHead } from '@wide-fern/contract';
import { ordered } from '@wide-fern/core';
import { bySchema, keptOnDevice } from '../device/store';
import type { PlanPlace } from '../queries';

const progressSchema = z.object({
  id: uuid,
  events: z.array(runEventSchema),
  /** The ids of those events that the server has, and whether it has the beginning. */
  known: z.array(z.string()),
  begun: z.boolean(),
});
/** A run as it lies on the device that leads it, until the server has all of it. */
export type KeptRun = z.infer<typeof progressSchema> & { readonly head: RunHead };

// What it began with is large and never changes: it is not written again with every touch.
const heads = keptOnDevice('runhead', bySchema(runHeadSchema));
const progress = keptOnDevice('run', bySchema(progressSchema));
const idsOf = (account: string, { choir, evening, item }: PlanPlace, run: string) => [
  account,
  choir,
  evening,
  item,
  run,
];

/** A run that lies on this device; undefined where it does not. */
export function readKeptRun(account: string, place: PlanPlace, run: string): KeptRun | undefined {
  const ids = idsOf(account, place, run);
  const [head, found] = [heads.read(...ids), progress.read(...ids)];
  return head && found && { ...found, head };
}

/** Keeps a run; false where the device did not take it. */
export function keepRun(account: string, place: PlanPlace, { head, ...rest }: KeptRun): boolean {
  const ids = idsOf(account, place, rest.id);
  const isBegun = heads.read(...ids) !== undefined || heads.keep(ids, head);
  return isBegun && progress.keep(ids, rest);
}

export function forgetRun(account: string, place: PlanPlace, run: string): void {
  const ids = idsOf(account, place, run);
  progress.keep(ids, undefined);
  heads.keep(ids, undefined);
}

/** Every run of an account on this device, the latest first, and where it belongs. */
export const keptRuns = (account: string): { readonly place: PlanPlace; readonly run: KeptRun }[] =>
  progress
    .below(account)
    .flatMap(({ ids: [choir, evening, item], value: { id } }) => {
      if (!choir || !evening || !item) return [];
      const place = { choir, evening, item };
      const run = readKeptRun(account, place, id);
      return run ? [{ place, run }] : [];
    })
    .sort((a, b) => b.run.head.startedAt.localeCompare(a.run.head.startedAt));

/** The run of a warm-up that was begun last and lies here. */
export const lastKeptRun = (account: string, place: PlanPlace): KeptRun | undefined =>
  keptRuns(account).find(({ place: at }) => at.evening === place.evening && at.item === place.item)
    ?.run;

/** What two windows of one device know of the same run, together. */
export const joinedRuns = (one: KeptRun, other: KeptRun): KeptRun => ({
  ...one,
  events: ordered([...one.events, ...other.events]),
  known: [...new Set([...one.known, ...other.known])],
  begun: one.begun || other.begun,
});
