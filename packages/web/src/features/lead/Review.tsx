import { Box, Flex } from '@chakra-ui/react';
import type { PlanPlace, RunLead } from '@wide-fern/client';
import type { RunState } from '@wide-fern/core';
import { workedOn, type EvaluatedPlan } from '@wide-fern/plan';
import { happened, happenedInAll, sentInWords } from '@wide-fern/words';
import { useMemo } from 'react';
import { useStore } from 'zustand';
import { useHere } from '../../here/session';
import { lazily } from '../../ui/lazily';
import { Label, Name, WordButton } from '../../ui/words';
import { Area } from './Area';
import { HappenedList } from './HappenedList';
import { NoteOfAll } from './review/NoteOfAll';

/** What is asked of the server: without the network the rest of the review is all there is. */
const NextTargets = lazily(() => import('./review/NextTargets'));

/** When it is over: what happened, how it went and what is next, every answer one touch. */
export default function Review({
  place,
  lead,
  plan,
  state,
  said,
  onUndo,
  onLeave,
}: {
  readonly place: PlanPlace;
  readonly lead: RunLead;
  readonly plan: EvaluatedPlan;
  readonly state: RunState;
  /** Which one it was, where that is not plain. */
  readonly said?: string;
  /** Nothing where there is nothing to take back. */
  readonly onUndo: (() => void) | undefined;
  readonly onLeave: () => void;
}) {
  const { choir } = useHere();
  const { run, sent, isKept } = useStore(lead.store);
  const waiting = sentInWords(sent.kind, isKept);
  const worked = useMemo(() => workedOn(plan, state), [plan, state]);
  return (
    <Box p={{ base: '20px', md: '40px' }} maxW="900px">
      <Name as="h1" fontSize="34px">
        What happened
      </Name>
      {said && (
        <Box fontSize="18px" color="inkSoft">
          {said}
        </Box>
      )}
      <Box fontSize="20px" mb="16px">
        {happenedInAll(plan, state)}
      </Box>
      <HappenedList
        rows={happened(plan, state, choir.writing)}
        onManaged={(segment, how) => lead.note({ kind: 'managed', how, segment })}
      />
      <NextTargets {...{ place, worked }} startedAt={run.head.startedAt} />
      <NoteOfAll
        run={run.id}
        notes={state.notes}
        onNote={(word) => lead.note({ kind: 'marked', part: null, word })}
      />
      <Flex gap="24px" align="center" mt="16px" wrap="wrap">
        <Box w="260px">
          <Area isMain onClick={onLeave}>
            Done
          </Area>
        </Box>
        <WordButton minH="44px" disabled={!onUndo} onClick={onUndo}>
          undo the last touch
        </WordButton>
        <Label role="status" fontSize="17px">
          {waiting || (sent.kind === 'all' ? 'kept with the evening' : '')}
        </Label>
      </Flex>
    </Box>
  );
}
