import { useQuery } from '@tanstack/react-query';
import { eveningsQuery, logbookQuery, planQuery } from '@wide-fern/client';
import type { EveningSummary, Logbook } from '@wide-fern/contract';
import { columnOf, type LogSpan } from '@wide-fern/core';
import { plannedTimes, readLogbook, type LogbookView } from '@wide-fern/plan';
import { useMemo } from 'react';
import { localDates, nextEvening } from '../../here/dates';
import { useHere } from '../../here/session';

/** How many columns are shown of each span, and how many weeks are asked for: what helped is seen over longer. */
const shown: Readonly<Record<LogSpan, { readonly count: number; readonly weeks: number }>> = {
  week: { count: 8, weeks: 60 },
  month: { count: 12, weeks: 60 },
  year: { count: 10, weeks: 530 },
};

/** What is planned for the evening that comes, in the column it stands in. */
export interface Coming {
  readonly evening: EveningSummary;
  readonly column: string;
  readonly planned: ReturnType<typeof plannedTimes>;
}

/** A logbook as the page has it. */
export type LogbookData =
  | { readonly kind: 'loading' }
  | { readonly kind: 'failed'; readonly error: unknown; readonly retry: () => void }
  | {
      readonly kind: 'ready';
      readonly book: Logbook;
      readonly view: LogbookView;
      readonly coming: Coming | undefined;
      readonly dayOf: (moment: string) => string;
    };

/** Gathers what was led, and what is planned next. */
export function useLogbook(span: LogSpan): LogbookData {
  const { choir } = useHere();
  const { count, weeks } = shown[span];
  const book = useQuery(logbookQuery(choir.id, weeks));
  const evenings = useQuery(eveningsQuery(choir.id));
  const next = useMemo(
    () => (evenings.data ? nextEvening(evenings.data, evenings.dataUpdatedAt) : undefined),
    [evenings.data, evenings.dataUpdatedAt],
  );
  const place = { choir: choir.id, evening: next?.id ?? '', item: 'warm-up' };
  const plan = useQuery({ ...planQuery(place), enabled: next !== undefined });
  const dayOf = useMemo(() => localDates(choir.timeZone), [choir.timeZone]);
  const at = book.dataUpdatedAt;
  const document = plan.data?.document;

  const ready = useMemo(() => {
    if (!book.data) return undefined;
    const today = dayOf(at);
    const comes = next && dayOf(next.startsAt);
    // What comes in a later week has its column too, unless it is long until then.
    const isNear = comes !== undefined && Date.parse(comes) - Date.parse(today) < 9 * 86_400_000;
    const until = isNear && comes > today ? comes : undefined;
    const view = readLogbook(book.data, { span, count, today, until, dayOf });
    const coming: Coming | undefined =
      next && isNear && document && span === 'week'
        ? {
            evening: next,
            column: columnOf(dayOf(next.startsAt), span),
            planned: plannedTimes(document),
          }
        : undefined;
    return { book: book.data, view, coming, dayOf };
  }, [book.data, at, next, document, span, count, dayOf]);

  if (ready) return { kind: 'ready', ...ready };
  const error = book.error ?? evenings.error;
  if (!error) return { kind: 'loading' };
  return { kind: 'failed', error, retry: () => void book.refetch() };
}
