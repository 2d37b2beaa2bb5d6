import { Box } from '@chakra-ui/react';
import type { NotKept } from '@wide-fern/interchange';
import { Label } from '../../../ui/words';

/** What a file holds and an exercise cannot keep, line by line. */
export function NotKeptList({ notKept }: { readonly notKept: readonly NotKept[] }) {
  if (notKept.length === 0) return <Label mt="6px">Everything in it can be kept.</Label>;
  return (
    <Box mt="8px">
      <Label>What cannot be kept:</Label>
      <Box as="ul" fontSize="13px" pl="18px" listStyleType="disc" maxH="200px" overflowY="auto">
        {notKept.map(({ where, what }, i) => (
          <li key={i}>
            {where && `${where}: `}
            {what}
          </li>
        ))}
      </Box>
    </Box>
  );
}
