import { chakra, type HTMLChakraProps } from '@chakra-ui/react';
import type { ReactNode } from 'react';

const Button = chakra('button');

/** A large area for touch, with its key small in its corner. */
export function Area({
  children,
  shortcut,
  isMain = false,
  ...button
}: {
  readonly children: ReactNode;
  readonly shortcut?: string;
  /** The one that is touched most. */
  readonly isMain?: boolean;
} & HTMLChakraProps<'button'>) {
  return (
    <Button
      position="relative"
      w="100%"
      h={{ base: isMain ? '88px' : '76px', md: '112px' }}
      borderRadius="3px"
      borderWidth="1px"
      borderColor={isMain ? 'fern' : 'line'}
      bg={isMain ? 'fern' : 'sheet'}
      color={isMain ? 'onFern' : 'ink'}
      fontSize={{ base: isMain ? '34px' : '24px', md: isMain ? '40px' : '34px' }}
      fontWeight={650}
      lineHeight="1.1"
      px="8px"
      cursor="pointer"
      touchAction="manipulation"
      _disabled={{ opacity: 0.75, cursor: 'default', color: 'inkSoft', bg: 'sunk' }}
      {...button}
    >
      {children}
      {shortcut && (
        <chakra.span
          aria-hidden
          display={{ base: 'none', md: 'block' }}
          position="absolute"
          right="14px"
          bottom="8px"
          fontSize="18px"
          fontWeight={400}
        >
          {shortcut}
        </chakra.span>
      )}
    </Button>
  );
}
