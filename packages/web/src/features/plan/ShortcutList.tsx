import { Box, Flex } from '@chakra-ui/react';
import { Label, Name, WordButton } from '../../ui/words';
import type { Shortcut } from '../../ui/useShortcuts';

/** The list of keys, beside what they do. */
export function ShortcutList({
  shortcuts,
  letters,
  onLetters,
  onClose,
}: {
  readonly shortcuts: readonly Shortcut[];
  readonly letters: boolean;
  readonly onLetters: (on: boolean) => void;
  readonly onClose: () => void;
}) {
  return (
    <Box as="section" aria-label="Keys" px={{ base: '16px', md: '24px' }} pt="10px" pb="16px">
      <Flex align="baseline" gap="16px" mb="8px">
        <Name as="h2" fontSize="18px">
          Keys
        </Name>
        <Flex as="label" gap="6px" fontSize="13px" align="center">
          <input
            type="checkbox"
            checked={letters}
            onChange={(event) => onLetters(event.currentTarget.checked)}
          />
          single letters act
        </Flex>
        <WordButton ml="auto" fontSize="13px" onClick={onClose}>
          back to the bench
        </WordButton>
      </Flex>
      <Box as="dl" columnWidth="280px">
        {shortcuts.map(({ keys, words }) => (
          <Flex key={keys} gap="12px" breakInside="avoid" fontSize="15px">
            <Box as="dt" w="130px" fontWeight={650}>
              {keys}
            </Box>
            <Label as="dd">{words}</Label>
          </Flex>
        ))}
      </Box>
    </Box>
  );
}
