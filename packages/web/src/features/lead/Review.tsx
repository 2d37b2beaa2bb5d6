import { Box, Flex } from '@chakra-ui/react';
import type { Sent } from '@wide-fern/client';
import type { SentAct } from '@wide-fern/contract';
import type { NoteWriting, RunState } from '@wide-fern/core';
import type { EvaluatedPlan } from '@wide-fern/plan';
import { happened, happenedInAll, sentInWords } from '@wide-fern/words';
import { Label, Name, WordButton } from '../../ui/words';
import { Area } from './Area';
import { HappenedList } from './HappenedList';

/** Right after it: what happened, and how it went, every answer one touch. */
export function Review({
  plan,
  state,
  sent,
  isKept,
  writing,
  onUndo,
  onNote,
  onLeave,
}: {
  readonly plan: EvaluatedPlan;
  readonly state: RunState;
  readonly sent: Sent;
  readonly isKept: boolean;
  readonly writing: NoteWriting;
  readonly onUndo: () => void;
  readonly onNote: (act: SentAct) => void;
  readonly onLeave: () => void;
}) {
  const waiting = sentInWords(sent.kind, isKept);
  return (
    <Box p={{ base: '20px', md: '40px' }} maxW="900px">
      <Name as="h1" fontSize="34px">
        What happened
      </Name>
      <Box fontSize="20px" mb="16px">
        {happenedInAll(plan, state)}
      </Box>
      <HappenedList
        rows={happened(plan, state, writing)}
        onManaged={(segment, how) => onNote({ kind: 'managed', how, segment })}
      />
      <Flex gap="24px" align="center" mt="16px" wrap="wrap">
        <Box w="260px">
          <Area isMain onClick={onLeave}>
            Done
          </Area>
        </Box>
        <WordButton minH="44px" onClick={onUndo}>
          undo the last touch
        </WordButton>
        <Label role="status" fontSize="17px">
          {waiting || (sent.kind === 'all' ? 'kept with the evening' : '')}
        </Label>
      </Flex>
    </Box>
  );
}
