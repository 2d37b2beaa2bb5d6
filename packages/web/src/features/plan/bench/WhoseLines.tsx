import { Box, Flex } from '@chakra-ui/react';
import { choiceLimits } from '@wide-fern/contract';
import { turnsOfLines } from '@wide-fern/core';
import type { Evaluated } from '@wide-fern/plan';
import { linesInTurnWords } from '@wide-fern/words';
import type { BenchActions } from './actions';
import { Choice } from './Choice';

/** Whether parts change their lines from time to time in a key; nothing where all sing alike. */
export function WhoseLines({
  evaluated: { segment, computed },
  disabled,
  choose,
}: {
  readonly evaluated: Evaluated;
  readonly disabled: boolean;
  readonly choose: BenchActions['choose'];
}) {
  const { choices, exercise } = segment;
  const parts = computed.keys.kind === 'ladder' ? computed.keys.problem.sections.length : 0;
  const turns = turnsOfLines(exercise.music, parts);
  if (turns < 2) return null;
  // As often as it takes until everybody has sung every line, where it was fewer.
  const verses = Math.max(choices.verses, Math.min(turns, choiceLimits.verses[1]));
  return (
    <Flex gap="6px" fontSize="13px" align="center">
      <Box as="span" color="inkSoft" w="48px">
        Lines
      </Box>
      <Choice<'own' | 'turn'>
        label="Who sings which line"
        value={choices.linesInTurn ? 'turn' : 'own'}
        options={[
          ['own', linesInTurnWords(false, exercise.music.kind)],
          ['turn', linesInTurnWords(true, exercise.music.kind)],
        ]}
        disabled={disabled}
        onChange={(whose) =>
          choose(
            whose === 'own' ? { linesInTurn: undefined } : { linesInTurn: true, verses },
            `${segment.id} lines`,
          )
        }
      />
    </Flex>
  );
}
