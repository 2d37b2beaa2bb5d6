import { Box, Flex } from '@chakra-ui/react';
import { useRef, type ReactNode } from 'react';
import { Link } from 'react-router';
import { lazily } from '../ui/lazily';
import { Mark } from '../ui/Mark';
import { Name } from '../ui/words';
import { useHere } from './session';
import { usePageTitle } from './usePageTitle';

/** Rarely said, so they come after the page. */
const Notices = lazily(() => import('./Notices'));

/** The places of the application, as plain words in the head. */
const places = [
  { name: 'Tonight', to: '/' },
  { name: 'Voices', to: '/voices' },
  { name: 'Pieces', to: '/pieces' },
  { name: 'Exercises', to: '/exercises' },
  { name: 'Logbook', to: '/logbook' },
] as const;

/** «IS», where there is no room for a name. */
const initialsOf = (name: string): string =>
  name
    .split(/\s+/)
    .map((word) => word.charAt(0).toUpperCase())
    .slice(0, 2)
    .join('');

const pageId = 'page';

/** Leads whoever goes by keyboard past the head; seen only while it has the focus. */
function SkipLink() {
  return (
    <Box
      asChild
      position="absolute"
      left="8px"
      top="-60px"
      zIndex={2}
      px="12px"
      py="8px"
      bg="sheet"
      color="fern"
      borderWidth="1px"
      borderColor="fern"
      borderRadius="3px"
      _focus={{ top: '8px' }}
    >
      <a
        href={`#${pageId}`}
        onClick={(event) => {
          // The address stays as it is: it may hold what is chosen.
          event.preventDefault();
          document.getElementById(pageId)?.focus();
        }}
      >
        To the page
      </a>
    </Box>
  );
}

/** A page with its head: mark, choir, places, what was saved, and the person. */
export function Frame({
  place,
  status,
  children,
}: {
  readonly place?: (typeof places)[number]['name'];
  readonly status?: ReactNode;
  readonly children: ReactNode;
}) {
  const { account, choir } = useHere();
  const page = useRef<HTMLDivElement>(null);
  usePageTitle(page, choir.name);
  return (
    <Box minH="100dvh" display="flex" flexDirection="column">
      <SkipLink />
      <Flex
        as="header"
        minH="48px"
        // What does not fit beside the places goes on below them.
        wrap={{ base: 'wrap', md: 'nowrap' }}
        px={{ base: '10px', md: '24px' }}
        align="center"
        gap={{ base: '6px', md: '40px' }}
        borderBottomWidth="1px"
        bg="paper"
        flexShrink={0}
      >
        <Flex as="span" align="center" gap="12px" minW={{ base: 0, md: '32px' }} flexShrink={3}>
          <Box as="span" hideBelow="sm">
            <Mark />
          </Box>
          <Name fontSize="18px" truncate hideBelow="md">
            {choir.name}
          </Name>
        </Flex>
        <Flex
          as="nav"
          aria-label="Places"
          gap={{ base: '9px', md: '28px' }}
          h="47px"
          flexShrink={0}
          fontSize={{ base: '13px', md: '15px' }}
        >
          {places.map(({ name, to }) => (
            <Box
              key={name}
              asChild
              h="100%"
              display="flex"
              alignItems="center"
              borderBottomWidth={place === name ? '3px' : 0}
              borderTopWidth={place === name ? '3px' : 0}
              borderTopColor="transparent"
              borderBottomColor="fern"
              color={place === name ? 'fern' : 'inkSoft'}
              fontWeight={place === name ? 700 : 400}
            >
              <Link to={to} aria-current={place === name ? 'page' : undefined}>
                {name}
              </Link>
            </Box>
          ))}
        </Flex>
        <Flex
          ml="auto"
          align="center"
          gap={{ base: '6px', md: '12px' }}
          fontSize={{ base: '12px', md: '13px' }}
          minW={0}
        >
          <Box color="inkSoft" flexShrink={{ base: 1, md: 0 }} minW={0}>
            {status}
          </Box>
          <Box
            asChild
            _hover={{ textDecoration: 'underline' }}
            truncate
            maxW="240px"
            textAlign="end"
            css={{ minWidth: '24px', '@media (pointer: coarse)': { minWidth: '44px' } }}
          >
            <Link to="/choir" aria-label={`${account.name}: choir and account`}>
              <Box as="span" hideBelow="sm">
                {account.name}
              </Box>
              <Box as="span" hideFrom="sm">
                {initialsOf(account.name)}
              </Box>
            </Link>
          </Box>
        </Flex>
      </Flex>
      <Notices place={place} />
      <Box
        as="main"
        id={pageId}
        tabIndex={-1}
        ref={page}
        flex="1"
        display="flex"
        flexDirection="column"
        minH={0}
      >
        {children}
      </Box>
    </Box>
  );
}
