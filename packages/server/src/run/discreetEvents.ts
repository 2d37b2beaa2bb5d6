import type { SentEvent } from '@wide-fern/contract';

/** What a reader is not told of a run: what was noticed of whom, and sections as they were put anew. */
export const discreetEvents = (events: readonly SentEvent[]): SentEvent[] =>
  events.flatMap((event) => {
    const { act } = event;
    if (act.kind === 'marked') return [];
    if (act.kind !== 'renewed') return [event];
    const { tonight: _, ...known } = act;
    return [{ ...event, act: known }];
  });
