import { Box, Button } from '@chakra-ui/react';
import type { ReactNode } from 'react';
import { Mark } from './Mark';
import { Name } from './words';

/** While something is fetched: quiet, announced, and only shown when it takes a moment. */
export function Loading({ what }: { readonly what: string }) {
  return (
    <Box role="status" p="40px 24px" color="inkSoft">
      Fetching {what} …
    </Box>
  );
}

/** Where there is nothing yet: what this place is for, and the one act that begins it. */
export function Empty({
  title,
  children,
}: {
  readonly title: string;
  readonly children: ReactNode;
}) {
  return (
    <Box p="40px 24px" maxW="68ch">
      <Mark height={56} />
      <Name as="h1" fontSize="24px" mt="16px">
        {title}
      </Name>
      <Box mt="8px">{children}</Box>
    </Box>
  );
}

/** What went wrong, what is safe, and what to do. */
export function Failed({
  message,
  onRetry,
}: {
  readonly message: string;
  readonly onRetry?: (() => void) | undefined;
}) {
  return (
    <Box role="alert" p="40px 24px" maxW="68ch">
      <Name as="h1" fontSize="24px">
        This could not be shown
      </Name>
      <Box mt="8px">{message}</Box>
      {onRetry && (
        <Button mt="16px" size="sm" bg="fern" color="onFern" onClick={onRetry}>
          Try again
        </Button>
      )}
    </Box>
  );
}
