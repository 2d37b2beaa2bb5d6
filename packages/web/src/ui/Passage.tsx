import { Box } from '@chakra-ui/react';
import type { ReactNode } from 'react';

/** A part of a page of settings, under its title. */
export function Passage({
  title,
  children,
}: {
  readonly title: string;
  readonly children: ReactNode;
}) {
  return (
    <Box as="section" py="24px" borderTopWidth="1px" borderColor="ink" aria-label={title}>
      <Box as="h2" fontWeight={650} mb="8px">
        {title}
      </Box>
      {children}
    </Box>
  );
}

/** What is wrong with the whole of a form, or what was done. */
export function Said({
  wrong,
  children,
}: {
  readonly wrong?: boolean;
  readonly children: ReactNode;
}) {
  if (!children) return null;
  return (
    <Box role={wrong ? 'alert' : 'status'} color={wrong ? 'brick' : 'ink'} fontSize="13px">
      {children}
    </Box>
  );
}
