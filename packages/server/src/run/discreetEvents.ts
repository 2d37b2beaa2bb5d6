import type { Run } from '@wide-fern/contract';

/** What a reader is not told of a run: what was noticed of whom, and sections as they were put anew. */
export const discreetEvents = (events: Run['events']): Run['events'] =>
  events.flatMap((event) => {
    const { act } = event;
    if (act.kind === 'marked') return [];
    if (act.kind !== 'renewed') return [event];
    const { tonight: _, ...known } = act;
    return [{ ...event, act: known }];
  });
