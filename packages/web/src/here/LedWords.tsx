import { useQuery } from '@tanstack/react-query';
import { runsQuery, type PlanPlace } from '@wide-fern/client';
import { WordLink } from '../ui/words';

/** After so long a run that was not ended is not going on any more, in milliseconds. */
const longest = 3 * 60 * 60_000;

/** That a warm-up is being led now, or that it was: a word that leads there; nothing where neither is so. */
export function LedWords({ place }: { readonly place: PlanPlace }) {
  const runs = useQuery(runsQuery(place));
  const latest = runs.data?.[0];
  if (!latest) return null;
  const { startedAt, endedAt, ledBy } = latest;
  const isNow = endedAt === null && runs.dataUpdatedAt - Date.parse(startedAt) < longest;
  return (
    <WordLink fontSize="13px" to={`/evenings/${place.evening}/led/${place.item}`}>
      {isNow ? `${ledBy || 'somebody'} leads it now: follow` : 'what happened'}
    </WordLink>
  );
}
