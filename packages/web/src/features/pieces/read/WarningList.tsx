import { Box } from '@chakra-ui/react';
import type { ScoreWarning } from '@wide-fern/core';
import { Label } from '../../../ui/words';

/** What of a score was not understood or is not taken as it stands, by bar. */
export function WarningList({ warnings }: { readonly warnings: readonly ScoreWarning[] }) {
  if (warnings.length === 0) return <Label>Everything in it was understood.</Label>;
  return (
    <details open={warnings.length <= 6} style={{ fontSize: 13, maxWidth: '80ch' }}>
      <summary style={{ cursor: 'pointer' }}>
        {warnings.length === 1
          ? 'One thing is not taken as it stands'
          : `${warnings.length} things are not taken as they stand`}
      </summary>
      <Box as="ul" listStyleType="none" maxH="160px" overflowY="auto">
        {warnings.map(({ bar, where, what }) => (
          <Box as="li" key={`${bar} ${where} ${what}`}>
            <Box as="span" color="inkSoft">
              {[bar === null ? '' : `bar ${bar}`, where].filter((one) => one !== '').join(', ')}
            </Box>{' '}
            {what}
          </Box>
        ))}
      </Box>
    </details>
  );
}
