import { Box, Flex } from '@chakra-ui/react';
import type { ReactNode } from 'react';
import { color } from './color';
import { Label } from './words';

/** What is said of a thing, row by row: a word on the left, what it is on the right. */
export function WordRow({
  label,
  width = '62px',
  children,
}: {
  readonly label: string;
  readonly width?: string;
  readonly children: ReactNode;
}) {
  return (
    <Box display="grid" gridTemplateColumns={`${width} 1fr`} mb="4px">
      <Label as="dt" fontSize="12px" pt="1px">
        {label}
      </Label>
      <Box as="dd">{children}</Box>
    </Box>
  );
}

/** Cautions, each with the sign that asks for attention. */
export function Cautions({ cautions }: { readonly cautions: readonly string[] }) {
  return cautions.map((caution) => (
    <Flex key={caution} gap="6px" align="baseline">
      <svg width="8" height="8" viewBox="0 0 8 8" aria-hidden="true" style={{ flexShrink: 0 }}>
        <path d="M4 0 L8 4 L4 8 L0 4 Z" fill={color('spore')} />
      </svg>
      <Box>{caution}</Box>
    </Flex>
  ));
}
