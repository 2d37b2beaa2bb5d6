import { Box, Flex } from '@chakra-ui/react';
import { useMutation, useQuery } from '@tanstack/react-query';

import { listInWords, partFitInWords } from '@wide-fern/words';
import { noteName, possibleParts } from '@wide-fern/core';
import { useState } from 'react';
import { messageOf, checksQuery, queryClient, call, choirQuery } from '@wide-fern/client';
import { useHere } from '../../../here/session';
import { lazily, missing } from '../../../ui/lazily';
import { hueOf } from '../../../ui/color';
import { MainButton, QuietButton } from '../../../ui/MainButton';
import { saveFile } from '../../../ui/saveFile';
import { Label, WordButton } from '../../../ui/words';
import { trimOf, type Row } from '../model/section';
import { tonightInWords } from '../model/words';
import type { PanelProps } from './props';
import { PanelHead } from './PanelHead';

/** Charts come along when a singer's checks are looked at. */
const CheckHistory = lazily(() => import('./CheckHistory'), {
  room: <Label>Drawing the checks …</Label>,
  absent: missing('What was checked'),
});

const capital = (text: string): string => text.charAt(0).toUpperCase() + text.slice(1);

/** One singer: how they are tonight, what checks found over the months, which parts are possible. */
export function SingerPanel({
  data,
  section,
  place,
  row,
  onOpen,
}: PanelProps & { readonly row: Row }) {
  const { choir } = useHere();
  const { singer } = row;
  const { voices, setting, presence } = data;
  const checks = useQuery(checksQuery(choir.id, singer.id));
  const condition = setting.presence?.condition ?? 'rested';
  const hue = hueOf(section.part.id, place);
  const possible = singer.comfort ? possibleParts(singer.comfort, voices.parts) : [];
  const partOf = (id: string) => voices.parts.find((part) => part.id === id)!;
  return (
    <Box>
      <PanelHead title={singer.name} onClose={() => onOpen('section')} />
      <Box mb="8px">{tonightInWords(row, trimOf(row, setting), condition, choir.writing)}</Box>
      <Label>
        {capital(section.part.one)}
        {singer.also.length > 0
          ? `, can also sing ${listInWords(singer.also.map((id) => partOf(id).one))}`
          : ''}
        .{singer.notes ? ` ${singer.notes}` : ''}
        {singer.changes.length > 0 &&
          ` The voice changes its register at ${listInWords(singer.changes.map((note) => noteName(note, choir.writing)))}.`}
      </Label>
      <Flex gap="8px" wrap="wrap" my="16px">
        <MainButton size="sm" onClick={() => onOpen('check')}>
          Check the range
        </MainButton>
        <QuietButton size="sm" onClick={() => onOpen('edit')}>
          Change
        </QuietButton>
        {presence.presence && (
          <QuietButton
            size="sm"
            onClick={() =>
              presence.change({
                singers: [{ singer: singer.id, away: !row.away, states: [...row.statesTonight] }],
              })
            }
          >
            {row.away ? 'Here after all' : 'Away'}
          </QuietButton>
        )}
      </Flex>
      <Box as="h3" fontWeight={650} mb="4px">
        Checks
      </Box>
      {checks.isError && (
        <Box role="alert" color="brick" fontSize="13px">
          {messageOf(checks.error)}{' '}
          <WordButton fontSize="13px" onClick={() => void checks.refetch()}>
            try again
          </WordButton>
        </Box>
      )}
      {checks.data?.length === 0 && <Label>No check was kept yet.</Label>}
      {checks.data && checks.data.length > 0 && (
        <CheckHistory
          checks={checks.data}
          tonight={row.range}
          hue={hue}
          writing={choir.writing}
          onDrop={(check) => void dropCheck(choir.id, singer.id, check)}
        />
      )}
      {possible.length > 0 && (
        <Box mt="16px">
          <Box as="h3" fontWeight={650} mb="4px">
            Parts that suit this range
          </Box>
          {possible.map((fit, i) => (
            <Box key={fit.part} color={i === 0 ? 'ink' : 'inkSoft'}>
              {capital(partFitInWords(fit, partOf(fit.part), choir.writing))}
              {i === 0 && possible.length > 1 ? '; suits best' : ''}.
            </Box>
          ))}
          <Label mt="4px">
            A suggestion, never an assignment: a missing note or two decides nothing, ranges grow
            with practice, and anyone may sing any part that is easy for them.
          </Label>
        </Box>
      )}
      {choir.role === 'director' && <Personal singer={singer.id} name={singer.name} />}
    </Box>
  );
}

/** Takes a check back, and shows the limits that follow. */
async function dropCheck(choir: string, singer: string, check: string): Promise<void> {
  await call('dropCheck', { params: { choir, singer, check } });
  await queryClient.invalidateQueries({ queryKey: choirQuery(choir).queryKey });
}

/** Everything kept about a singer: handed out as a file, or forgotten for good. */
function Personal({ singer, name }: { readonly singer: string; readonly name: string }) {
  const { choir } = useHere();
  const [asked, setAsked] = useState(false);
  const params = { choir: choir.id, singer };
  const handOut = useMutation({
    mutationFn: () => call('exportSinger', { params }),
    onSuccess: (all) => saveFile('singer.json', 'application/json', JSON.stringify(all, null, 2)),
  });
  const forget = useMutation({
    mutationFn: () => call('deleteSinger', { params }),
    onSuccess: () => queryClient.invalidateQueries({ queryKey: choirQuery(choir.id).queryKey }),
  });
  const error = handOut.error ?? forget.error;
  return (
    <Box mt="16px" pt="12px" borderTopWidth="1px" fontSize="13px">
      {asked ? (
        <Box role="alertdialog" aria-label={`Forget ${name}`}>
          Everything kept about {name} goes for good: range, checks, evenings. Plans keep only the
          sections’ ranges.
          <Flex gap="16px" mt="4px">
            <WordButton
              fontSize="13px"
              color="brick"
              disabled={forget.isPending}
              onClick={() => forget.mutate()}
            >
              forget for good
            </WordButton>
            <WordButton fontSize="13px" autoFocus onClick={() => setAsked(false)}>
              keep
            </WordButton>
          </Flex>
        </Box>
      ) : (
        <Flex gap="16px">
          <WordButton fontSize="13px" onClick={() => handOut.mutate()}>
            hand out what is kept
          </WordButton>
          <WordButton fontSize="13px" onClick={() => setAsked(true)}>
            forget this singer
          </WordButton>
        </Flex>
      )}
      {error && (
        <Box role="alert" color="brick">
          {messageOf(error)}
        </Box>
      )}
    </Box>
  );
}
