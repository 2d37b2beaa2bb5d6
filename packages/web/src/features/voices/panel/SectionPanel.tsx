import { Box, Flex } from '@chakra-ui/react';
import { useMutation } from '@tanstack/react-query';
import type { SaveVoices } from '@wide-fern/contract';
import { countInWords, withoutInWords, absenceInWords, rangeInWords } from '@wide-fern/words';
import { useMemo } from 'react';
import { messageOf, queryClient, voicesQuery, call, eveningsQuery } from '@wide-fern/client';
import { useHere } from '../../../here/session';
import { MainButton, QuietButton } from '../../../ui/MainButton';
import { Label, WordButton, WordLink } from '../../../ui/words';
import { narrowingOf } from '../model/section';
import type { PanelProps } from './props';
import { PanelHead } from './PanelHead';

/** What is to be said of a section: who is away, who alone narrows it, and the share that is wanted. */
export function SectionPanel({
  data,
  section,
  looked,
  onLook,
  onOpen,
}: PanelProps & {
  readonly looked: number | null;
  readonly onLook: (percent: number | null) => void;
}) {
  const { choir } = useHere();
  const { part, rows, section: band } = section;
  const { voices, evening } = data;
  const share = (looked ?? voices.sharePercent) / 100;
  const narrowing = useMemo(() => narrowingOf(section, share), [section, share]);
  const isDirector = choir.role === 'director';
  const keep = useMutation({
    mutationFn: (body: SaveVoices) => call('saveVoices', { params: { choir: choir.id }, body }),
    onSuccess: (saved) => {
      queryClient.setQueryData(voicesQuery(choir.id).queryKey, saved);
      void queryClient.invalidateQueries({ queryKey: eveningsQuery(choir.id).queryKey });
      onLook(null);
    },
  });
  const nameOf = (id: string) => rows.find(({ singer }) => singer.id === id)?.singer.name ?? '';
  const away = rows.filter((row) => row.away).length;
  const unknown = rows.filter(({ range }) => !range).length;
  const everyone = evening?.withEveryone.find(({ id }) => id === part.id);
  const absence =
    everyone && looked === null
      ? absenceInWords({ ...part, away, comfort: band.comfort }, everyone.comfort, choir.writing)
      : undefined;
  return (
    <Box>
      <PanelHead title={part.many.charAt(0).toUpperCase() + part.many.slice(1)} />
      <Box mb="12px">
        {rows.length === 0
          ? 'Nobody'
          : countInWords(rows.length).replace(/^./, (first) => first.toUpperCase())}{' '}
        on the roster
        {unknown > 0 ? `, ${countInWords(unknown)} without a known range` : ''}
        {away > 0 ? `, ${countInWords(away)} away` : ''}.
      </Box>
      {absence && <Box mb="12px">{absence.charAt(0).toUpperCase() + absence.slice(1)}.</Box>}
      {narrowing.length > 0 && (
        <Box mb="12px">
          {narrowing.slice(0, 3).map(({ ids, comfort }) => (
            <Box key={ids.join()}>
              {withoutInWords(ids.map(nameOf)).replace(/^w/, 'W')}, it would be{' '}
              {rangeInWords(comfort, choir.writing)}.
            </Box>
          ))}
          <Label>Only those who lead see this.</Label>
        </Box>
      )}
      <Flex gap="8px" wrap="wrap" my="16px">
        {evening && (
          <MainButton size="sm" onClick={() => onOpen('tonight')}>
            Say who is here
          </MainButton>
        )}
        {rows.length > 0 && (
          <QuietButton size="sm" onClick={() => onOpen('section-check')}>
            Check the section
          </QuietButton>
        )}
        <QuietButton size="sm" asChild>
          <WordLink to="/voices/room" textDecoration="none" color="ink">
            Check the whole room
          </WordLink>
        </QuietButton>
      </Flex>
      <Box borderTopWidth="1px" pt="12px" role="status">
        {looked === null ? (
          <Label>
            Every note of a band is easy for {voices.sharePercent} in 100 of its section. Drag the
            level or an edge to see what another share would do.
          </Label>
        ) : (
          <>
            <Box>
              Looking at {looked} in 100 instead of {voices.sharePercent}, for every section.
            </Box>
            <Flex gap="16px" mt="4px">
              {isDirector && (
                <WordButton
                  disabled={keep.isPending}
                  onClick={() => keep.mutate({ sharePercent: looked })}
                >
                  keep {looked} in 100
                </WordButton>
              )}
              <WordButton onClick={() => onLook(null)}>back to {voices.sharePercent}</WordButton>
            </Flex>
            {!isDirector && <Label>A director can keep it.</Label>}
          </>
        )}
        {keep.isError && (
          <Box role="alert" color="brick" fontSize="13px">
            {messageOf(keep.error)}
          </Box>
        )}
      </Box>
      <Label mt="16px">Choose a singer in the picture to see more.</Label>
    </Box>
  );
}
