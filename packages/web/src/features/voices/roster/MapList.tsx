import { Box, Flex } from '@chakra-ui/react';
import { useMutation } from '@tanstack/react-query';
import type { ChoirPart, Singer, StoreSingers } from '@wide-fern/contract';
import { useDeferredValue, useMemo, useState } from 'react';
import { useNavigate } from 'react-router';
import { messageOf, queryClient, singersQuery, call, choirQuery } from '@wide-fern/client';
import { useHere } from '../../../here/session';
import { MainButton, QuietButton } from '../../../ui/MainButton';
import { SelectField } from '../../../ui/SelectField';
import { Label } from '../../../ui/words';
import { Tick } from '../../../ui/Tick';
import { ColumnChoices, HowWritten } from './ColumnChoices';
import { keepList, type ReadList } from './keptList';
import { PreviewList } from './PreviewList';
import { onlyReach, previewRows, toStore, withCell, withoutRow, type SameName } from './reading';

/** What the columns are, how notes are written, every row as it would be stored, and the way on. */
export function MapList({
  list,
  parts,
  singers,
  onChange,
  onAway,
}: {
  readonly list: ReadList;
  readonly parts: readonly ChoirPart[];
  readonly singers: readonly Singer[];
  readonly onChange: (list: ReadList) => void;
  readonly onAway: () => void;
}) {
  const { choir, account } = useHere();
  const navigate = useNavigate();
  const [same, setSame] = useState<SameName>('change');
  const [onlyFaulty, setOnlyFaulty] = useState(false);
  const [leaveOut, setLeaveOut] = useState(false);
  // Thousands of rows are read again when there is time; typing never waits for them.
  const calm = useDeferredValue(list);
  const rows = useMemo(() => previewRows(calm, parts, singers), [calm, parts, singers]);
  const faulty = rows.filter(({ read }) => read.kind === 'faulty');
  const known = rows.filter((row) => row.known).length;
  const body = toStore(rows, same);
  const store = useMutation({
    mutationFn: (all: StoreSingers) =>
      call('storeSingers', { params: { choir: choir.id }, body: all }),
    onSuccess: async () => {
      keepList(account.id, choir.id, undefined);
      await queryClient.invalidateQueries({ queryKey: choirQuery(choir.id).queryKey });
      await navigate('/voices/roster');
    },
    // Whoever was changed meanwhile is read anew; the list is still here.
    onError: () => queryClient.invalidateQueries({ queryKey: singersQuery(choir.id).queryKey }),
  });
  const isStale = calm !== list;
  const count = body.add.length + body.change.length;
  const blocked = faulty.length > 0 && !leaveOut;
  return (
    <Box>
      {list.warning && (
        <Box role="alert" color="brick" mb="8px">
          {list.warning}
        </Box>
      )}
      {list.either.length > 1 && (
        <Box role="alert" color="sporeText" mb="8px">
          This list can name its notes in {list.either.length} ways. Look at what is shown below and
          choose how they are written.
        </Box>
      )}
      {onlyReach(list.columns) && (
        <Label mb="8px">
          The list says the lowest and the highest note of each singer: that is taken as how far
          they reach, and as easy what lies as far inside it as is usual for the part.
        </Label>
      )}
      <ColumnChoices list={list} onChange={onChange} />
      <Flex gap="24px" wrap="wrap" align="flex-end" mb="12px" fontSize="13px">
        <HowWritten list={list} onChange={onChange} />
        {known > 0 && (
          <Box w="240px">
            <SelectField
              label={`${known} on the roster already by name`}
              options={[
                { value: 'change', word: 'change those singers' },
                { value: 'add', word: 'add them as others' },
                { value: 'skip', word: 'leave those rows out' },
              ]}
              value={same}
              onChange={(event) => setSame(event.currentTarget.value as SameName)}
            />
          </Box>
        )}
      </Flex>
      <Flex gap="16px" align="baseline" wrap="wrap" mb="8px">
        <Box role="status" fontWeight={650}>
          {rows.length} {rows.length === 1 ? 'row' : 'rows'},{' '}
          {faulty.length === 0 ? 'all of them clear' : `${faulty.length} to put right`}
        </Box>
        {faulty.length > 0 && (
          <>
            <Tick checked={onlyFaulty} onChange={setOnlyFaulty}>
              show only those
            </Tick>
            <Tick checked={leaveOut} onChange={setLeaveOut}>
              leave them out
            </Tick>
          </>
        )}
      </Flex>
      <PreviewList
        rows={onlyFaulty ? faulty : rows}
        columns={calm.columns}
        naming={calm.naming}
        parts={parts}
        onCell={(index, column, text) => onChange(withCell(list, index, column, text))}
        onDrop={(index) => onChange(withoutRow(list, index))}
      />
      <Flex gap="16px" align="center" mt="16px" wrap="wrap">
        <MainButton
          disabled={blocked || isStale || count === 0 || store.isPending}
          onClick={() => store.mutate(body)}
        >
          {store.isPending ? 'Storing …' : `Store ${count} ${count === 1 ? 'singer' : 'singers'}`}
        </MainButton>
        <QuietButton onClick={onAway}>Throw this list away</QuietButton>
        {blocked && (
          <Label>Put the marked cells right, or leave those rows out; then it can be stored.</Label>
        )}
      </Flex>
      {store.isError && (
        <Box role="alert" color="brick" mt="8px">
          {messageOf(store.error)} Nothing was stored.
        </Box>
      )}
    </Box>
  );
}
