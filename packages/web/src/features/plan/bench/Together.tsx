import { Flex } from '@chakra-ui/react';
import { counted, lengthInFigures } from '@wide-fern/words';
import { WordButton } from '../../../ui/words';

/** Segments that are chosen together. */
export interface Together {
  readonly count: number;
  readonly seconds: number;
  readonly onOnlyOne: () => void;
}

/** How many are chosen, how long they take, and that what is done is done to all of them. */
export function TogetherWords({ count, seconds, onOnlyOne }: Together) {
  return (
    <Flex gridColumn="1 / -1" gap="14px" wrap="wrap" align="baseline" fontSize="13px" role="status">
      <b>
        Chosen together: {counted(count, 'segment', 'segments')}, {lengthInFigures(seconds)}
      </b>
      <span>earlier, later, stay and leave out go for all of them</span>
      <WordButton fontSize="13px" onClick={onOnlyOne}>
        only this one
      </WordButton>
    </Flex>
  );
}
