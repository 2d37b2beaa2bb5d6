import { Flex } from '@chakra-ui/react';
import { canBeSplit, type Evaluated } from '@wide-fern/plan';
import { WordButton } from '../../../ui/words';
import type { BenchActions } from './actions';

/** What is done to a segment as a whole. */
export function WholeSegment({
  segment,
  actions,
}: {
  readonly segment: Evaluated['segment'];
  readonly actions: BenchActions;
}) {
  const { pinned = false } = segment.choices;
  const words = [
    ['earlier', () => actions.moveBy(-1)],
    ['later', () => actions.moveBy(1)],
    ['another instead', actions.instead],
    ['once more', actions.onceMore],
    ...(canBeSplit(segment) ? ([['in two parts', () => actions.split()]] as const) : []),
    [pinned ? 'may change again' : 'stays as it is', () => actions.pin(!pinned)],
    ['leave out', actions.takeOut],
  ] as const;
  return (
    <Flex columnGap="14px" mt="6px" wrap="wrap">
      {words.map(([word, act]) => (
        <WordButton key={word} fontSize="13px" onClick={act}>
          {word}
        </WordButton>
      ))}
    </Flex>
  );
}
