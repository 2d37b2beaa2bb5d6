import { Box, Flex } from '@chakra-ui/react';
import {
  beyondInWords,
  chosenStartInWords,
  infeasibleInWords,
  type Wording,
} from '@wide-fern/words';
import { ladderAnyway, tonicName, type Ladder, type SegmentKeys } from '@wide-fern/core';
import { WordButton } from '../../ui/words';

type LadderKeys = Extract<SegmentKeys, { kind: 'ladder' }>;

/** What a start asks: the best one, what another one costs, or who would go beyond their reach. */
function ladderInWords(ladder: Ladder, { best, problem }: LadderKeys, wording: Wording): string {
  const name = (tonic: number) => tonicName(tonic, wording.mode, wording.writing);
  if (ladder.beyond) {
    return `From ${name(ladder.start)} ${beyondInWords(ladder, problem, wording)}.`;
  }
  if (best.kind === 'infeasible') return infeasibleInWords(best, problem, wording);
  if (ladder.start === best.start) return `Best start ${name(best.start)}.`;
  return chosenStartInWords(ladder, best, problem, wording);
}

/** What is to be said: of the start that is pointed at, else of the one in force. */
function startInWords(keys: LadderKeys, looked: number | undefined, wording: Wording): string {
  const { best, sung, problem } = keys;
  if (looked !== undefined && looked !== sung?.start) {
    return ladderInWords(ladderAnyway(problem, looked), keys, wording);
  }
  if (sung) return `${ladderInWords(sung, keys, wording)}${sung.beyond ? ' Sung anyway.' : ''}`;
  return best.kind === 'infeasible' ? infeasibleInWords(best, problem, wording) : '';
}

/** Other keys that are only asked about yet. */
export interface AskedKeys {
  readonly words: string;
  /** The word it is done by; undefined where it cannot be done. */
  readonly act: string | undefined;
  readonly onDo: () => void;
  readonly onLeave: () => void;
}

/** The start in force, or the one that is pointed at, in a line below the strip; and what is asked. */
export function StartWords({
  keys,
  wording,
  looked,
  asked,
  onBest,
}: {
  readonly keys: LadderKeys;
  readonly wording: Wording;
  readonly looked?: number | undefined;
  readonly asked?: AskedKeys | undefined;
  readonly onBest: (() => void) | undefined;
}) {
  const { best, sung } = keys;
  const isBest = best.kind === 'ladder' && sung?.start === best.start;
  return (
    <Box fontSize="13px" role="status" mt="8px">
      {asked ? (
        <Box borderLeftWidth="3px" borderColor="spore" pl="8px">
          {asked.words}{' '}
          {asked.act && (
            <WordButton fontSize="13px" mr="12px" onClick={asked.onDo}>
              {asked.act}
            </WordButton>
          )}
          <WordButton fontSize="13px" onClick={asked.onLeave}>
            leave it
          </WordButton>
        </Box>
      ) : (
        <Flex gap="8px" align="baseline">
          <Box
            w="6px"
            h="6px"
            borderRadius="50%"
            bg={isBest ? 'fern' : sung && !sung.beyond ? 'spore' : 'brick'}
            flexShrink={0}
            position="relative"
            top="-2px"
          />
          <Box>
            {startInWords(keys, looked, wording)}{' '}
            {!isBest && best.kind === 'ladder' && onBest && (
              <WordButton fontSize="13px" onClick={onBest}>
                take the best, {tonicName(best.start, wording.mode, wording.writing)}
              </WordButton>
            )}
          </Box>
        </Flex>
      )}
    </Box>
  );
}
