import { Box, Flex } from '@chakra-ui/react';
import { useMutation } from '@tanstack/react-query';
import type { KeepChecks } from '@wide-fern/contract';
import {
  beginSectionCheck,
  foundForSinger,
  nextNote,
  noteName,
  stillSinging,
  tick,
  turnAround,
  usualStart,
  withReachKept,
  type SectionCheck,
} from '@wide-fern/core';
import { useState } from 'react';
import { messageOf, queryClient, call, choirQuery } from '@wide-fern/client';
import { useHere } from '../../../here/session';
import { LongList } from '../../../ui/LongList';
import { MainButton, QuietButton } from '../../../ui/MainButton';
import { letter, lettersOn, useShortcuts } from '../../../ui/useShortcuts';
import { Label, Name, WordButton } from '../../../ui/words';
import { keptSectionChecks } from '../model/keptOnDevice';
import { rangeInWords } from '@wide-fern/words';
import { giveNote } from '../tone/tone';
import type { PanelProps } from './props';
import { PanelHead } from './PanelHead';

/** A whole section checked as in a rehearsal: all sing up together, who drops out is ticked off, then down. */
export function SectionCheckPanel({ section, onOpen }: PanelProps) {
  const { choir, account } = useHere();
  const { accidentals } = choir;
  const { part, rows } = section;
  const here = rows.filter(({ away }) => !away);
  const of = `${choir.id}:${part.id}`;
  const begin = () =>
    beginSectionCheck(
      here.map(({ singer }) => singer.id),
      usualStart(part.comfort),
    );
  const [past, setPast] = useState<readonly SectionCheck[]>([]);
  const [check, setCheck] = useState<SectionCheck>(
    () => keptSectionChecks.read(account.id, of) ?? begin(),
  );
  const change = (next: SectionCheck) => {
    if (next === check) return;
    setPast([...past.slice(-100), check]);
    setCheck(next);
    keptSectionChecks.keep(account.id, of, next);
  };
  const undo = () => {
    const before = past[past.length - 1];
    if (!before) return;
    setPast(past.slice(0, -1));
    setCheck(before);
    keptSectionChecks.keep(account.id, of, before);
  };
  const keep = useMutation({
    mutationFn: (body: KeepChecks) => call('keepChecks', { params: { choir: choir.id }, body }),
    onSuccess: async () => {
      keptSectionChecks.keep(account.id, of, undefined);
      await queryClient.invalidateQueries({ queryKey: choirQuery(choir.id).queryKey });
      onOpen('section');
    },
  });
  const known = new Map(rows.map((row) => [row.singer.id, row.singer]));
  const found = check.singers.flatMap((id) => {
    const singer = known.get(id);
    const comfort = check.way === 'done' && singer ? foundForSinger(check, id) : undefined;
    if (!singer || !comfort) return [];
    const before =
      singer.comfort && singer.reach ? { comfort: singer.comfort, reach: singer.reach } : undefined;
    return [{ singer, ...withReachKept(comfort, before) }];
  });
  const singing = stillSinging(check);
  const isOut = (id: string) => !singing.includes(id);
  useShortcuts(
    [
      { keys: 'n', words: 'next note', match: letter('n'), act: () => change(nextNote(check)) },
      { keys: 'h', words: 'hear', match: letter('h'), act: () => void giveNote(check.note) },
      { keys: 'u', words: 'undo', match: letter('u'), act: undo },
    ],
    lettersOn(),
  );
  return (
    <Box>
      <PanelHead title={`All ${part.many}`} onClose={() => onOpen('section')} close="pause" />
      {check.way === 'done' ? (
        <>
          <Box role="status" mb="8px">
            Found for {found.length} of {check.singers.length}. Who found no note easy keeps what is
            known.
          </Box>
          <LongList
            items={found}
            label="What was found"
            rowHeight={24}
            mostHeight={360}
            keyOf={({ singer }) => singer.id}
          >
            {({ singer, comfort }) => (
              <Flex justify="space-between" gap="8px" fontSize="13px">
                <Box truncate>{singer.name}</Box>
                <Box whiteSpace="nowrap">{rangeInWords(comfort, accidentals)}</Box>
              </Flex>
            )}
          </LongList>
          <Flex gap="16px" align="center" mt="12px">
            <MainButton
              disabled={keep.isPending || found.length === 0}
              onClick={() =>
                keep.mutate({
                  checks: found.map(({ singer, comfort, reach }) => ({
                    singer: singer.id,
                    comfort,
                    reach,
                    lightTop: null,
                    means: 'section',
                  })),
                })
              }
            >
              Keep what is found
            </MainButton>
            <WordButton onClick={undo} disabled={past.length === 0}>
              undo
            </WordButton>
          </Flex>
          {keep.isError && (
            <Box role="alert" color="brick" fontSize="13px" mt="8px">
              {messageOf(keep.error)}
            </Box>
          )}
        </>
      ) : (
        <>
          <Box as="h3" fontWeight={650}>
            Everyone {check.way === 'up' ? 'up' : 'down'}, a note at a time
          </Box>
          <Flex align="baseline" gap="16px" my="8px">
            <Name fontSize="64px" lineHeight="1" role="status">
              {noteName(check.note, accidentals)}
            </Name>
            <Label>
              {singing.length} of {check.singers.length} still sing
            </Label>
          </Flex>
          <Flex gap="8px" wrap="wrap" mb="12px">
            <MainButton size="sm" onClick={() => change(nextNote(check))}>
              Next note (n)
            </MainButton>
            <QuietButton size="sm" onClick={() => change(turnAround(check))}>
              {check.way === 'up' ? 'Now down' : 'That is all'}
            </QuietButton>
            <WordButton onClick={() => void giveNote(check.note)}>hear (h)</WordButton>
            <WordButton onClick={undo} disabled={past.length === 0}>
              undo (u)
            </WordButton>
          </Flex>
          <LongList
            items={check.singers}
            label="Who still sings"
            rowHeight={34}
            mostHeight={374}
            keyOf={(id) => id}
          >
            {(id) => (
              <Box asChild w="100%" h="32px" textAlign="left" px="8px" borderWidth="1px" bg="sheet">
                <button
                  type="button"
                  aria-pressed={isOut(id)}
                  onClick={() => change(tick(check, id))}
                >
                  <Box
                    as="span"
                    color={isOut(id) ? 'inkSoft' : 'ink'}
                    textDecoration={isOut(id) ? 'line-through' : undefined}
                  >
                    {known.get(id)?.name ?? 'left the section'}
                  </Box>
                  {isOut(id) && (
                    <Box as="span" color="inkSoft" fontSize="13px">
                      {' '}
                      dropped out
                    </Box>
                  )}
                </button>
              </Box>
            )}
          </LongList>
          <Label mt="8px">
            Tick whoever drops out at this note. Nobody sings on when it is not easy; a changing
            voice is never pushed.
          </Label>
        </>
      )}
      <WordButton
        fontSize="13px"
        mt="12px"
        onClick={() => {
          change(begin());
        }}
      >
        begin again
      </WordButton>
    </Box>
  );
}
