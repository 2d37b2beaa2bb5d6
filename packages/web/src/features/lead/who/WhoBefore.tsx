import { Box, Flex } from '@chakra-ui/react';
import type { PlanPlace } from '@wide-fern/client';
import type { PlanDocument, PlanEdit } from '@wide-fern/contract';
import { takeTonight, type SectionsChange } from '@wide-fern/plan';
import { capitalise, madeForInWords, sectionsChangeInWords } from '@wide-fern/words';
import { useCallback, useState } from 'react';
import { useHere } from '../../../here/session';
import { WordButton } from '../../../ui/words';
import { useWho } from './useWho';
import WhoNow from './WhoNow';

/** Before the first: who is here and how they are; the plan follows what is said. */
export default function WhoBefore({
  place,
  document,
  edit,
}: {
  readonly place: PlanPlace;
  readonly document: PlanDocument;
  readonly edit: (edit: PlanEdit) => unknown;
}) {
  const { choir } = useHere();
  const [isOpen, setOpen] = useState(false);
  const take = useCallback(
    ({ tonight }: SectionsChange) => void edit(takeTonight(document, tonight)),
    [document, edit],
  );
  const who = useWho(place, document, take);
  const { differs } = who;
  return (
    <Box as="section" aria-label="Who is here" mb="24px" fontSize="18px">
      <Flex gap="0 24px" align="center" wrap="wrap">
        <Box>{capitalise(madeForInWords(who.tonight))}.</Box>
        {!isOpen && (
          <WordButton minH="44px" onClick={() => setOpen(true)}>
            say who is here
          </WordButton>
        )}
      </Flex>
      {differs && (
        <Flex gap="0 24px" align="center" wrap="wrap" color="sporeText">
          <Box flex="1 1 360px">{sectionsChangeInWords(differs, choir.writing)}</Box>
          <WordButton minH="44px" onClick={() => take(differs)}>
            take tonight’s keys
          </WordButton>
        </Flex>
      )}
      {isOpen && <WhoNow who={who} onClose={() => setOpen(false)} />}
    </Box>
  );
}
