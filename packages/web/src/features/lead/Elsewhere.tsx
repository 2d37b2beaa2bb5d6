import { Flex, Box } from '@chakra-ui/react';
import { useQuery } from '@tanstack/react-query';
import {
  messageOf,
  queryClient,
  runQuery,
  runsQuery,
  takenOver,
  type KeptRun,
  type PlanPlace,
} from '@wide-fern/client';
import { clockIn } from '@wide-fern/words';
import { useState } from 'react';
import { goesOn } from '../../here/LedWords';
import { useHere } from '../../here/session';
import { WordButton, WordLink } from '../../ui/words';

/** That the warm-up is led from another device now: it can be followed, or led on from here. */
export default function Elsewhere({
  place,
  onTakeOver,
}: {
  readonly place: PlanPlace;
  readonly onTakeOver: (run: KeptRun) => void;
}) {
  const { choir } = useHere();
  const runs = useQuery(runsQuery(place));
  const [failed, setFailed] = useState('');
  const latest = runs.data?.[0];
  if (!latest || !goesOn(latest, runs.dataUpdatedAt)) return null;
  const take = () => {
    queryClient
      .fetchQuery({ ...runQuery(place, latest.id), staleTime: 0 })
      .then((run) => onTakeOver(takenOver(run)))
      .catch((error: unknown) => setFailed(messageOf(error)));
  };
  const since = clockIn(choir.timeZone, choir.clock).minute(Date.parse(latest.startedAt));
  return (
    <Flex gap="0 24px" wrap="wrap" align="center" fontSize="18px" mb="8px" color="sporeText">
      <Box role="status">
        {latest.ledBy || 'Somebody'} leads it from another device, since {since}.
      </Box>
      <WordLink minH="44px" to={`/evenings/${place.evening}/led/${place.item}`}>
        follow
      </WordLink>
      <WordButton fontSize="18px" minH="44px" onClick={take}>
        lead it on from here
      </WordButton>
      {failed && <Box role="alert">{failed}</Box>}
    </Flex>
  );
}
