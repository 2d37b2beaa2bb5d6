import { Box, Flex } from '@chakra-ui/react';
import type { CheckAnswer } from '@wide-fern/core';
import { QuietButton } from '../../../ui/MainButton';

export const answers: readonly { answer: CheckAnswer; words: string; key: string }[] = [
  { answer: 'easy', words: 'Easy', key: 'e' },
  { answer: 'came-out', words: 'It came out', key: 'c' },
  { answer: 'no', words: 'Not there', key: 'x' },
];

/** The three answers to a note, large, with their keys. */
export function Answers({ onAnswer }: { readonly onAnswer: (answer: CheckAnswer) => void }) {
  return (
    <Flex gap="4px" my="12px">
      {answers.map(({ answer: one, words, key }) => (
        <QuietButton
          key={one}
          flex="1"
          h="56px"
          px="4px"
          borderColor="fern"
          color="fern"
          fontWeight={650}
          aria-keyshortcuts={key}
          onClick={() => onAnswer(one)}
        >
          <Box>
            <Box>{words}</Box>
            <Box fontSize="12px" fontWeight={400} color="inkSoft" aria-hidden="true">
              {key}
            </Box>
          </Box>
        </QuietButton>
      ))}
    </Flex>
  );
}
