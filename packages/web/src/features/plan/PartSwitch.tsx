import { Box, Flex } from '@chakra-ui/react';
import type { Section } from '@wide-fern/core';
import { hueOf } from '../../ui/color';
import { WordButton } from '../../ui/words';

/** On a narrow page: which part's band is shown, and the way from segment to segment. */
export function PartSwitch({
  sections,
  part,
  onPart,
  segment,
  onSegment,
}: {
  readonly sections: readonly Section[];
  readonly part: number;
  readonly onPart: (part: number) => void;
  readonly segment: string;
  readonly onSegment: (by: number) => void;
}) {
  return (
    <Flex px="16px" py="8px" align="center" gap="4px" wrap="wrap">
      <Flex role="group" aria-label="Part shown" gap="4px" wrap="wrap">
        {sections.map((band, i) => (
          <Box
            as="button"
            key={band.id}
            aria-pressed={i === part}
            aria-label={band.many}
            onClick={() => onPart(i)}
            minW="44px"
            minH="44px"
            fontWeight={700}
            fontSize="18px"
            borderBottomWidth="3px"
            style={{
              color: hueOf(band.id, i),
              borderColor: i === part ? hueOf(band.id, i) : 'transparent',
            }}
          >
            {band.id}
          </Box>
        ))}
      </Flex>
      {segment && (
        <Flex ml="auto" align="center" gap="8px">
          <WordButton
            aria-label="Previous segment"
            minW="44px"
            minH="44px"
            onClick={() => onSegment(-1)}
          >
            ‹
          </WordButton>
          <Box as="span">{segment}</Box>
          <WordButton
            aria-label="Next segment"
            minW="44px"
            minH="44px"
            onClick={() => onSegment(1)}
          >
            ›
          </WordButton>
        </Flex>
      )}
    </Flex>
  );
}
