import { Flex } from '@chakra-ui/react';
import type { ReactNode } from 'react';
import { Label } from '../../../ui/words';

/** A line of choices behind what they are about. */
export function ChoiceRow({
  label,
  children,
}: {
  readonly label: string;
  readonly children: ReactNode;
}) {
  return (
    <Flex gap="8px" align="center" minH="28px" wrap="wrap">
      <Label as="span" w="60px">
        {label}
      </Label>
      {children}
    </Flex>
  );
}
