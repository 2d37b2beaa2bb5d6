import { Box, Flex } from '@chakra-ui/react';
import type { BuildWish } from '@wide-fern/contract';
import { bringsInWords, conflictInWords, type GivenUp } from '@wide-fern/words';
import { Label, Name, WordButton } from '../../../ui/words';
import type { Brings } from './model/useBrings';

/** Wishes that cannot be met together, each with its one act to give it up. */
export function ConflictView({
  ways,
  brings,
  onWish,
  onUnpin,
}: {
  readonly ways: readonly GivenUp[];
  /** What giving each of them up brings, as far as it is known. */
  readonly brings: Readonly<Record<string, Brings>>;
  readonly onWish: (wish: BuildWish) => void;
  readonly onUnpin: (segment: string) => void;
}) {
  return (
    <Box role="alert" px={{ base: '16px', md: '24px' }} py="16px" bg="sheet" borderTopWidth="1px">
      <Name fontSize="18px">{conflictInWords(ways)}</Name>
      <Box mt="4px">Any one of these makes room for the others:</Box>
      <Flex direction="column" align="flex-start" gap="4px" mt="6px">
        {ways.map(({ wish, act, next, unpin }) => (
          <Flex key={wish} gap="10px" wrap="wrap" align="baseline">
            <WordButton
              onClick={() => {
                if (unpin !== undefined) onUnpin(unpin);
                else if (next) onWish(next);
              }}
            >
              {act}
            </WordButton>
            <Label as="span">{bringsInWords(brings[wish])}</Label>
          </Flex>
        ))}
      </Flex>
    </Box>
  );
}
