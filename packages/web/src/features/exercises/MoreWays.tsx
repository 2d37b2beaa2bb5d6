import { Flex } from '@chakra-ui/react';
import { counted } from '@wide-fern/words';
import { WordButton } from '../../ui/words';
import type { Row } from './model/rows';

/** The other ways of a family, folded behind the first of them: opened and folded by a word. */
export function MoreWays({
  row: { family, more, open },
  onFold,
}: {
  readonly row: Extract<Row, { kind: 'ways' }>;
  readonly onFold: () => void;
}) {
  const name = family.replaceAll('-', ' ');
  return (
    <Flex h="29px" align="center" pl="24px" borderBottomWidth="1px">
      <WordButton
        fontSize="13px"
        aria-expanded={open}
        aria-label={`${name}: ${open ? 'fold its' : 'show'} ${counted(more, 'more way', 'more ways')}`}
        onClick={onFold}
      >
        {open ? 'fold' : counted(more, 'more way', 'more ways')}: {name}
      </WordButton>
    </Flex>
  );
}
