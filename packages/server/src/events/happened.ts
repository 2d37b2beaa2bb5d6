import { happenedSchema, uuid, type z } from '@wide-fern/contract';

/** On which the database tells every process what happened in runs. */
export const happenedChannel = 'run_happened';

/** What happened in a run of a choir. */
export const happenedInSchema = happenedSchema.extend({ choir: uuid });
export type HappenedIn = z.infer<typeof happenedInSchema>;
