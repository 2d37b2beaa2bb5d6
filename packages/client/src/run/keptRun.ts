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
const idsOf = (account: string, { choir, evening, item }: PlanPlace) => [
  account,
  choir,
  evening,
  item,
];

/** The run of a warm-up that lies on this device; undefined where none does. */
export const readKeptRun = (account: string, place: PlanPlace): KeptRun | undefined =>
  kept.read(...idsOf(account, place));

/** Keeps a run, or forgets it; false where the device did not take it. */
export const keepRun = (account: string, place: PlanPlace, run: KeptRun | undefined): boolean =>
  kept.keep(idsOf(account, place), run);

/** What two windows of one device know of the same run, together. */
export const joinedRuns = (one: KeptRun, other: KeptRun): KeptRun => ({
  ...one,
  events: ordered([...one.events, ...other.events]) as SentEvent[],
  known: [...new Set([...one.known, ...other.known])],
  begun: one.begun || other.begun,
});
