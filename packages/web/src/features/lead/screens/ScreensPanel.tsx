import { Box, Flex } from '@chakra-ui/react';
import { useMutation, useQuery } from '@tanstack/react-query';
import { call, messageOf, planLinksQuery, queryClient, type PlanPlace } from '@wide-fern/client';
import type { NewPlanLink } from '@wide-fern/contract';
import { clockIn, linkUseWords } from '@wide-fern/words';
import { useState } from 'react';
import { useHere } from '../../../here/session';
import { WordButton } from '../../../ui/words';
import { OnTop } from '../stand/OnTop';

const uses = ['follow', 'step'] as const;
const touch = { fontSize: '20px', minH: '44px', px: '6px' } as const;

/** Codes by which other screens follow without an account: made, read aloud, and taken back. */
export default function ScreensPanel({
  place,
  onClose,
}: {
  readonly place: PlanPlace;
  readonly onClose: () => void;
}) {
  const { choir } = useHere();
  const query = planLinksQuery(place);
  const links = useQuery(query);
  const [made, setMade] = useState<NewPlanLink>();
  const refresh = () => queryClient.invalidateQueries({ queryKey: query.queryKey });
  const make = useMutation({
    mutationFn: (use: (typeof uses)[number]) =>
      call('makePlanLink', {
        params: place,
        body: { note: '', use, part: null, asks: false, bars: [] },
      }),
    onSuccess: setMade,
    onSettled: refresh,
  });
  const end = useMutation({
    mutationFn: (link: string) => call('endPlanLink', { params: { ...place, link } }),
    onSuccess: (_, link) => setMade((was) => (was?.id === link ? undefined : was)),
    onSettled: refresh,
  });
  const error = make.error ?? end.error ?? links.error;
  const clock = clockIn(choir.timeZone, choir.clock);
  return (
    <OnTop label="Other screens">
      <Flex wrap="wrap" columnGap="20px" align="center">
        <Box fontSize="17px" color="inkSoft">
          A code for another screen:
        </Box>
        {uses.map((use) => (
          <WordButton
            key={use}
            {...touch}
            disabled={make.isPending}
            onClick={() => make.mutate(use)}
          >
            one that {linkUseWords[use]}
          </WordButton>
        ))}
        <WordButton {...touch} ml="auto" onClick={onClose}>
          close
        </WordButton>
      </Flex>
      {error && (
        <Box role="alert" color="sporeText">
          {messageOf(error)}
        </Box>
      )}
      {made && (
        <Box role="status">
          <Box fontSize={{ base: '40px', md: '56px' }} fontWeight={650} letterSpacing="0.04em">
            {made.code}
          </Box>
          <Box fontSize="17px">
            To be typed at {window.location.origin}/follow, or opened as{' '}
            <Box as="span" overflowWrap="anywhere">
              {window.location.origin}/follow#{made.code}
            </Box>
            . It is not shown again.
          </Box>
        </Box>
      )}
      <Box as="ul" aria-label="Codes that are good" listStyleType="none" p={0}>
        {links.data?.map(({ id, use, expiresAt }) =>
          use === 'sheet' || use === 'practice' ? null : (
            <Flex as="li" key={id} gap="20px" align="center" borderTopWidth="1px" fontSize="17px">
              <Box flex="1">
                one that {linkUseWords[use]}, until {clock.minute(Date.parse(expiresAt))}
                {made?.id === id && ' (the one above)'}
              </Box>
              <WordButton {...touch} disabled={end.isPending} onClick={() => end.mutate(id)}>
                take it back
              </WordButton>
            </Flex>
          ),
        )}
      </Box>
    </OnTop>
  );
}
