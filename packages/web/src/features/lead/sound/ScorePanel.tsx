import { Box, Flex } from '@chakra-ui/react';
import { oncePerLine, type NoteWriting, type RunState } from '@wide-fern/core';
import { givenNow, type EvaluatedPlan } from '@wide-fern/plan';
import { useMemo } from 'react';
import ScoreStaff from '../../../music/notation/ScoreStaff';
import { WordButton } from '../../../ui/words';
import { OnTop } from '../stand/OnTop';

/** The present key in notes, as it is sung now, what parts sing alike once; it goes along from key to key. */
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
  const score = useMemo(() => {
    const open = settled.segments[settled.open]?.id;
    const one = plan.segments.find(({ segment }) => segment.id === open);
    const given = one && givenNow(one, plan.document.tonight.sections, settled);
    return given?.score && oncePerLine(given.score, given.key);
  }, [plan, settled]);
  return (
    <OnTop label="Notes of this key">
      <Flex
        align="flex-start"
        gap={{ base: '0', md: '16px' }}
        direction={{ base: 'column-reverse', md: 'row' }}
      >
        <Box flex="1" minW={0} w="100%">
          {score?.keys[0] ? (
            <ScoreStaff score={score} writing={writing} />
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
