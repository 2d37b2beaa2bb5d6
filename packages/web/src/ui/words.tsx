import { Box, chakra, type BoxProps } from '@chakra-ui/react';
import type { ReactNode } from 'react';
import { Link as RouterLink } from 'react-router';

/** A word that does something, where a button would be too loud. */
export const WordButton = chakra('button', {
  base: {
    color: 'fern',
    fontSize: '15px',
    cursor: 'pointer',
    borderRadius: '3px',
    whiteSpace: 'nowrap',
    _hover: { textDecoration: 'underline', textUnderlineOffset: '3px' },
    _disabled: { color: 'inkSoft', cursor: 'default', textDecoration: 'none' },
  },
});

/** A word that leads somewhere. */
export const WordLink = chakra(RouterLink, {
  base: {
    color: 'fern',
    textDecoration: 'underline',
    textUnderlineOffset: '3px',
    textDecorationThickness: '1px',
  },
});

/** The name of an evening, a piece or an exercise, and the one sentence of a screen. */
export const Name = (props: BoxProps) => <Box textStyle="name" {...props} />;

/** What a field or a passage is about. */
export const Label = (props: BoxProps) => <Box color="inkSoft" fontSize="13px" {...props} />;

/** Text for those who listen to the page instead of looking at it. */
export function Hidden({ children }: { readonly children: ReactNode }) {
  return (
    <Box as="span" position="absolute" w="1px" h="1px" overflow="hidden" clipPath="inset(50%)">
      {children}
    </Box>
  );
}
