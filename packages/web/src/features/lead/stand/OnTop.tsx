import { Box } from '@chakra-ui/react';
import type { ReactNode } from 'react';

/** What is opened above the touches, and stops nothing. */
export function OnTop({
  label,
  children,
}: {
  readonly label: string;
  readonly children: ReactNode;
}) {
  return (
    <Box
      as="section"
      aria-label={label}
      tabIndex={0}
      mx={{ base: '20px', md: '40px' }}
      mb="12px"
      p="8px 16px"
      bg="sheet"
      borderWidth="1px"
      borderColor="line"
      borderRadius="3px"
      maxH="60dvh"
      overflowY="auto"
    >
      {children}
    </Box>
  );
}
