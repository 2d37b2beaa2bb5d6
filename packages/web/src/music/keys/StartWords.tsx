import { Box, Flex } from '@chakra-ui/react';
import { chosenStartInWords, infeasibleInWords, type Wording } from '@wide-fern/words';
import { tonicName, type SegmentKeys } from '@wide-fern/core';
import { WordButton } from '../../ui/words';

/** What is to be said of the start in force: the best one, what another costs, or why none works. */
function startInWords(
  { best, sung, problem }: Extract<SegmentKeys, { kind: 'ladder' }>,
  chosen: number | null,
  wording: Wording,
): string {
  const name = (tonic: number) => tonicName(tonic, wording.mode, wording.accidentals);
  if (best.kind === 'infeasible') return infeasibleInWords(best, problem, wording);
  if (!sung) {
    return `Nobody can start on ${name(chosen ?? 0)}: it leaves a part’s reach in too many keys.`;
  }
  if (sung.start === best.start) return `Best start ${name(best.start)}.`;
  return chosenStartInWords(sung, best, problem, wording);
}

/** The start in force, in a line below the strip. */
export function StartWords({
  keys,
  chosen,
  wording,
  onBest,
}: {
  readonly keys: Extract<SegmentKeys, { kind: 'ladder' }>;
  readonly chosen: number | null;
  readonly wording: Wording;
  readonly onBest: (() => void) | undefined;
}) {
  const { best, sung } = keys;
  const isBest = best.kind === 'ladder' && sung?.start === best.start;
  return (
    <Flex fontSize="13px" gap="8px" align="baseline" role="status" mt="8px">
      <Box
        w="6px"
        h="6px"
        borderRadius="50%"
        bg={isBest ? 'fern' : sung ? 'spore' : 'brick'}
        flexShrink={0}
        position="relative"
        top="-2px"
      />
      <Box>
        {startInWords(keys, chosen, wording)}{' '}
        {!isBest && best.kind === 'ladder' && onBest && (
          <WordButton fontSize="13px" onClick={onBest}>
            take the best, {tonicName(best.start, wording.mode, wording.accidentals)}
          </WordButton>
        )}
      </Box>
    </Flex>
  );
}
