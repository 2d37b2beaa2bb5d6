import { Box, Flex } from '@chakra-ui/react';
import { useQuery } from '@tanstack/react-query';
import { messageOf, planVersionsQuery, type PlanPlace, type PlanStore } from '@wide-fern/client';
import type { Evening, PlanVersion } from '@wide-fern/contract';
import { editInWords, momentInWords } from '@wide-fern/words';
import { useState } from 'react';
import { useHere } from '../../../here/session';
import { lazily, missing } from '../../../ui/lazily';
import { Loading } from '../../../ui/states';
import { Label, WordButton } from '../../../ui/words';

/** What is compared comes when it is looked at. */
const Compared = lazily(() => import('./Compared').then((it) => ({ default: it.Compared })), {
  room: <Loading what="both plans" />,
  absent: missing('Both plans'),
});

/** More of what was done at once is counted, not listed. */
const mostFacts = 3;
const mostShown = 40;

/** Earlier versions, by whom and when, and how each of them stands to the plan as it is. */
export function Versions({
  store,
  place,
  evening,
}: {
  readonly store: PlanStore;
  readonly place: PlanPlace;
  readonly evening: Evening;
}) {
  const versions = useQuery(planVersionsQuery(place));
  const [looked, setLooked] = useState<number>();
  if (versions.error) {
    return (
      <Box role="alert" fontSize="13px">
        {messageOf(versions.error)}{' '}
        <WordButton fontSize="13px" onClick={() => void versions.refetch()}>
          try again
        </WordButton>
      </Box>
    );
  }
  if (!versions.data) return <Loading what="earlier versions" />;
  const shown = versions.data.slice(0, mostShown);
  if (shown.length === 0) return <Label>None yet: nothing of this plan has been saved.</Label>;
  return (
    <Box as="ol" listStyleType="none" fontSize="13px" aria-label="Earlier versions">
      {shown.map((one, i) => (
        <Box as="li" key={one.version} py="2px">
          <VersionLine
            version={one}
            isPresent={i === 0}
            isOpen={looked === one.version}
            onLook={() => setLooked(looked === one.version ? undefined : one.version)}
          />
          {looked === one.version && (
            <Compared {...{ store, place, evening }} version={one.version} />
          )}
        </Box>
      ))}
      {versions.data.length > shown.length && (
        <Label>{versions.data.length - shown.length} more before these.</Label>
      )}
    </Box>
  );
}

/** Who saved it when, and what was done in it. */
function VersionLine({
  version: { savedAt, savedBy, edits, whole },
  isPresent,
  isOpen,
  onLook,
}: {
  readonly version: PlanVersion;
  readonly isPresent: boolean;
  readonly isOpen: boolean;
  readonly onLook: () => void;
}) {
  const { timeZone, clock } = useHere().choir;
  const said = edits.slice(-mostFacts).map(editInWords);
  const more = edits.length - said.length;
  return (
    <Flex gap="0 12px" wrap="wrap" align="baseline" minH="24px">
      <Box w="120px" fontWeight={650}>
        {momentInWords(savedAt, timeZone, clock)}
      </Box>
      <Box w="130px">{savedBy || 'somebody who left'}</Box>
      <Box flex="1" minW="200px" color="inkSoft">
        {said.join('; ') || 'no words of what was done'}
        {more > 0 && `; ${more} more`}
      </Box>
      {whole && !isPresent && (
        <WordButton fontSize="13px" aria-expanded={isOpen} onClick={onLook}>
          {isOpen ? 'close' : 'compare with now'}
        </WordButton>
      )}
    </Flex>
  );
}
