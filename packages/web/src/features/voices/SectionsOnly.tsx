import { Box, Flex } from '@chakra-ui/react';
import type { Voices } from '@wide-fern/contract';
import { countInWords, rangeInWords } from '@wide-fern/words';
import { useHere } from '../../here/session';
import { hueOf } from '../../ui/color';
import { Label, Name } from '../../ui/words';

/** What a reader sees: sections, never persons. */
export default function SectionsOnly({ voices }: { readonly voices: Voices }) {
  const { choir } = useHere();
  return (
    <Box px={{ base: '16px', md: '40px' }} pt="16px" maxW="68ch">
      <Name as="h1" fontSize="24px" mb="16px">
        What each section sings easily
      </Name>
      {voices.sections.map(({ id, many, comfort, reach, singers }, place) => (
        <Flex key={id} gap="16px" py="10px" borderBottomWidth="1px" align="baseline" wrap="wrap">
          <Box w="28px" fontWeight={700} style={{ color: hueOf(id, place) }}>
            {id}
          </Box>
          <Box flex="1 1 120px">{many.charAt(0).toUpperCase() + many.slice(1)}</Box>
          <Box flex="1 1 140px" fontWeight={650}>
            {rangeInWords(comfort, choir.writing)}
          </Box>
          <Label flex="2 1 220px">
            {singers === 0
              ? 'the part’s usual figures; nobody is on record'
              : `${countInWords(singers)} on record; reach ${rangeInWords(reach, choir.writing)}`}
          </Label>
        </Flex>
      ))}
      <Label mt="16px">Single singers are seen by those who lead.</Label>
    </Box>
  );
}
