import { Box } from '@chakra-ui/react';
import type { ReactNode } from 'react';

/** A small square to tick, with its words behind it. */
export function Tick({
  checked,
  onChange,
  children,
}: {
  readonly checked: boolean;
  readonly onChange: (checked: boolean) => void;
  readonly children: ReactNode;
}) {
  return (
    <Box
      asChild
      fontSize="13px"
      display="inline-flex"
      alignItems="center"
      gap="4px"
      minH="24px"
      css={{ '@media (pointer: coarse)': { minHeight: '44px' } }}
    >
      <label>
        <input
          type="checkbox"
          checked={checked}
          onChange={(event) => onChange(event.currentTarget.checked)}
        />
        <span>{children}</span>
      </label>
    </Box>
  );
}
