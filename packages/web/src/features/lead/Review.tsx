import { Box, Flex } from '@chakra-ui/react';
import type { Sent } from '@wide-fern/client';
import type { SentAct } from '@wide-fern/contract';
import { managing, type NoteWriting, type RunState } from '@wide-fern/core';
import type { EvaluatedPlan } from '@wide-fern/plan';
import {
  happened,
  happenedInAll,
  managedWords,
  sentInWords,
  type Happened,
} from '@wide-fern/words';
import { Label, Name, WordButton } from '../../ui/words';
import { Area } from './Area';

/** One exercise as it was led, and how many managed it in one touch. */
function Row({
  one,
  onManaged,
}: {
  readonly one: Happened;
  readonly onManaged: (how: (typeof managing)[number]) => void;
}) {
  const { name, planned, real, times, keys, noticed } = one;
  return (
    <Box as="li" listStyleType="none" py="8px" borderTopWidth="1px" borderColor="line">
      <Flex justify="space-between" gap="16px" align="baseline" wrap="wrap">
        <Name as="h2" fontSize="24px">
          {name}
        </Name>
        <Box fontSize="20px">
          {real === null ? 'not led' : real}{' '}
          <Box as="span" color="inkSoft">
            planned {planned}
          </Box>
        </Box>
      </Flex>
      {real !== null && (
        <>
          <Label fontSize="18px">{[times, keys].filter((words) => words !== '').join(' · ')}</Label>
          {noticed && <Box fontSize="18px">{noticed}</Box>}
          <Flex columnGap="20px" wrap="wrap">
            {managing.map((how) => (
              <WordButton
                key={how}
                minH="44px"
                fontSize="18px"
                aria-label={`${name}: ${managedWords[how]}`}
                onClick={() => onManaged(how)}
              >
                {managedWords[how]}
              </WordButton>
            ))}
          </Flex>
        </>
      )}
    </Box>
  );
}

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
      <Box as="ol" aria-label="What happened" p={0}>
        {happened(plan, state, writing).map((one) => (
          <Row
            key={one.id}
            one={one}
            onManaged={(how) => onNote({ kind: 'managed', how, segment: one.id })}
          />
        ))}
      </Box>
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
