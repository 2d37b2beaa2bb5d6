import type { QueryKey } from '@tanstack/query-core';
import { happenedSchema, type ChoirEvent, type Happened, type RunNews } from '@wide-fern/contract';
import { ordered } from '@wide-fern/core';
import { queryClient } from '../queries';

/** What a stream tells of it; what this page does not understand is fetched when the change is told. */
export const readHappened = (data: string): Happened | undefined =>
  happenedSchema.safeParse(JSON.parse(data)).data;

/** What is known of a run, with what happened in it since; whole only where nothing lies between. */
function withHappened(known: RunNews, { from, to, events }: Happened): RunNews {
  const stored = known.stored === from ? to : known.stored;
  return { ...known, stored, events: ordered([...known.events, ...events]) };
}

/** Adds what happened to what is on the screen, so that it need not be fetched. */
export function takeHappened(queryKey: QueryKey, happened: Happened): void {
  queryClient.setQueryData<RunNews>(queryKey, (known) => known && withHappened(known, happened));
}

/** Whether a change of a run tells nothing that was not told already. */
export const wasTold = ({ events }: Pick<ChoirEvent, 'events'>, known: unknown): boolean =>
  events !== undefined && (known as RunNews | undefined)?.stored === events;
