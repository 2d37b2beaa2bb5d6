import { Flex } from '@chakra-ui/react';
import { counted } from '@wide-fern/words';
import type { Folded } from '@wide-fern/core';
import { WordButton } from './words';

/** The other ways of a family, folded behind the first of them: opened and folded by a word. */
export function MoreWays({
  row: { family, more, open },
  onFold,
}: {
  readonly row: Pick<Extract<Folded<unknown>, { kind: 'ways' }>, 'family' | 'more' | 'open'>;
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

/** A set with one more, or without it where it had it. */
export function toggled(set: ReadonlySet<string>, key: string): ReadonlySet<string> {
  const next = new Set(set);
  if (!next.delete(key)) next.add(key);
  return next;
}
