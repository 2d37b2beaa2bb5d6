import { Box } from '@chakra-ui/react';
import type { Touch } from '@wide-fern/core';
import { memo } from 'react';
import { Area } from './Area';

/** The four large areas: the one that leads on is the widest. */
export const LargeTouches = memo(function LargeTouches({
  main,
  canAgain,
  canMove,
  canGoOn,
  onTouch,
}: {
  readonly main: string;
  readonly canAgain: boolean;
  readonly canMove: boolean;
  readonly canGoOn: boolean;
  readonly onTouch: (touch: Touch) => void;
}) {
  return (
    <Box
      display="grid"
      gap={{ base: '8px', md: '16px' }}
      gridTemplateColumns={{ base: 'repeat(3, 1fr)', md: '250fr 434fr 234fr 234fr' }}
      px={{ base: '20px', md: '40px' }}
      pt="4px"
      pb={{ base: '12px', md: '24px' }}
    >
      <Box gridColumn={{ base: '1 / -1', md: '2' }} gridRow="1">
        <Area isMain shortcut="space" onClick={() => onTouch('next')}>
          {main}
        </Area>
      </Box>
      <Box gridRow={{ base: '2', md: '1' }} gridColumn={{ md: '1' }}>
        <Area shortcut="a" disabled={!canAgain} onClick={() => onTouch('again')}>
          Again
        </Area>
      </Box>
      <Area shortcut="comma" disabled={!canMove} onClick={() => onTouch('lower')}>
        Lower
      </Area>
      <Area shortcut="o" disabled={!canGoOn} onClick={() => onTouch('on')}>
        On
      </Area>
    </Box>
  );
});
