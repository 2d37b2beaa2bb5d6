import { useQuery } from '@tanstack/react-query';
import type { RunSummary } from '@wide-fern/contract';
import { runsQuery, type PlanPlace } from '@wide-fern/client';
import { WordLink } from '../ui/words';

/** After so long a run that was not ended is not going on any more, in milliseconds. */
const longest = 3 * 60 * 60_000;

/** Whether a run is being led: one that was never ended is over after a while. */
export const goesOn = (
  { startedAt, endedAt }: Pick<RunSummary, 'startedAt' | 'endedAt'>,
  now: number,
): boolean => endedAt === null && now - Date.parse(startedAt) < longest;

/** That a warm-up is being led now, or that it was: a word that leads there; nothing where neither is so. */
export function LedWords({ place }: { readonly place: PlanPlace }) {
  const runs = useQuery(runsQuery(place));
  const latest = runs.data?.[0];
  if (!latest) return null;
  const { startedAt, endedAt, ledBy } = latest;
  const isNow = goesOn({ startedAt, endedAt }, runs.dataUpdatedAt);
  return (
    <WordLink fontSize="13px" to={`/evenings/${place.evening}/led/${place.item}`}>
      {isNow ? `${ledBy || 'somebody'} leads it now: follow` : 'what happened'}
    </WordLink>
  );
}
