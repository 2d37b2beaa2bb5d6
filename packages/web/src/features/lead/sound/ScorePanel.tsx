import { Box, Flex } from '@chakra-ui/react';
import type { NoteWriting, RunState } from '@wide-fern/core';
import { givenNow, type EvaluatedPlan } from '@wide-fern/plan';
import { useMemo } from 'react';
import ScoreStaff from '../../../music/notation/ScoreStaff';
import { WordButton } from '../../../ui/words';
import { OnTop } from '../OnTop';

/** The present key in notes, as it is sung now; it goes along from key to key. */
export default function ScorePanel({
  plan,
  settled,
  writing,
  onClose,
}: {
  readonly plan: EvaluatedPlan;
  readonly settled: RunState;
  readonly writing: NoteWriting;
  readonly onClose: () => void;
}) {
  const given = useMemo(() => {
    const open = settled.segments[settled.open]?.id;
    const one = plan.segments.find(({ segment }) => segment.id === open);
    return one && givenNow(one, plan.document.tonight.sections, settled);
  }, [plan, settled]);
  return (
    <OnTop label="Notes of this key">
      <Flex align="flex-start" gap="16px">
        <Box flex="1" minW={0}>
          {given?.score?.keys[given.key] ? (
            <ScoreStaff score={given.score} keyIndex={given.key} writing={writing} />
          ) : (
            'This exercise has no notes.'
          )}
        </Box>
        <WordButton fontSize="20px" minH="44px" onClick={onClose}>
          close
        </WordButton>
      </Flex>
    </OnTop>
  );
}
