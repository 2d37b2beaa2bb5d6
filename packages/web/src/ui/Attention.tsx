import { Box } from '@chakra-ui/react';
import { color } from './color';

/** The sign of attention, small: something here asks for a look. What it is about is said with it. */
export const Attention = ({ words }: { readonly words: string }) => (
  <Box as="span" role="img" aria-label={words} title={words} display="inline-block" ml="5px">
    <svg width="9" height="9" viewBox="0 0 9 9" style={{ display: 'inline' }}>
      <path d="M4.5 0 L9 4.5 L4.5 9 L0 4.5 Z" fill={color('spore')} />
    </svg>
  </Box>
);
