import { Box, Flex } from '@chakra-ui/react';
import { useInfiniteQuery } from '@tanstack/react-query';
import { momentInWords, recordInWords } from '@wide-fern/words';
import { useState } from 'react';
import { call, messageOf } from '@wide-fern/client';
import { useHere } from '../../here/session';
import { LongList } from '../../ui/LongList';
import { Failed, Loading } from '../../ui/states';
import { Label, WordButton } from '../../ui/words';

function RecordList() {
  const { choir } = useHere();
  const records = useInfiniteQuery({
    queryKey: ['choirs', choir.id, 'records'],
    queryFn: ({ pageParam, signal }) =>
      call('listRecords', {
        params: { choir: choir.id },
        query: pageParam === undefined ? {} : { after: pageParam },
        signal,
      }),
    initialPageParam: undefined as string | undefined,
    getNextPageParam: ({ next }) => next ?? undefined,
    staleTime: 0,
  });
  if (records.isPending) return <Loading what="what was done" />;
  if (records.isError) {
    return <Failed message={messageOf(records.error)} onRetry={() => void records.refetch()} />;
  }
  const items = records.data.pages.flatMap((page) => page.items);
  if (items.length === 0) return <Label>Nothing was noted yet.</Label>;
  return (
    <>
      <LongList
        items={items}
        label="What was done, the latest first"
        rowHeight={28}
        mostHeight={420}
        keyOf={({ id }) => id}
      >
        {(one) => (
          <Flex gap="16px" h="28px" align="center" fontSize={{ base: '13px', md: '15px' }}>
            <Box color="inkSoft" flex="0 0 124px" whiteSpace="nowrap">
              {momentInWords(one.at, choir.timeZone, choir.clock)}
            </Box>
            <Box truncate title={recordInWords(one)}>
              {recordInWords(one)}
            </Box>
          </Flex>
        )}
      </LongList>
      {records.hasNextPage && (
        <WordButton disabled={records.isFetching} onClick={() => void records.fetchNextPage()}>
          what was done before
        </WordButton>
      )}
    </>
  );
}

/** Who signed in, invited, took out, downloaded and threw away; fetched when it is wanted. */
export function Records() {
  const [isOpen, setOpen] = useState(false);
  return (
    <>
      <Label>
        Who signed in, came and went, downloaded and threw away. Kept for a year; only directors
        read it.
      </Label>
      {isOpen ? (
        <RecordList />
      ) : (
        <WordButton mt="4px" onClick={() => setOpen(true)}>
          show it
        </WordButton>
      )}
    </>
  );
}
