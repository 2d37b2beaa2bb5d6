import { Box, Flex } from '@chakra-ui/react';
import { useEffect, type ReactNode } from 'react';
import { Mark } from '../../ui/Mark';
import { Name } from '../../ui/words';

/** The page of someone who is not signed in yet. */
export function AccountFrame({
  title,
  children,
}: {
  readonly title: string;
  readonly children: ReactNode;
}) {
  useEffect(() => {
    document.title = `${title} · Wide Fern`;
  }, [title]);
  return (
    <Box as="main" minH="100dvh" px="24px" py={{ base: '40px', md: '9vh' }}>
      <Box maxW="440px" mx="auto">
        <Flex align="center" gap="12px" mb="24px">
          <Mark height={40} />
          <Name fontSize="24px">Wide Fern</Name>
        </Flex>
        <Name as="h1" fontSize="24px" mb="16px">
          {title}
        </Name>
        {children}
      </Box>
    </Box>
  );
}
