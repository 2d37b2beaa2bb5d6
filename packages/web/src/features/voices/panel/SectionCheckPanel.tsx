import { Box, Flex } from '@chakra-ui/react';
import { nextNote, noteName, tick, turnAround } from '@wide-fern/core';
import { rangeInWords } from '@wide-fern/words';
import { useHere } from '../../../here/session';
import { LongList } from '../../../ui/LongList';
import { MainButton, QuietButton } from '../../../ui/MainButton';
import { letter, lettersOn, useShortcuts } from '../../../ui/useShortcuts';
import { Label, Name, WordButton } from '../../../ui/words';
import { useSectionCheck } from '../model/useSectionCheck';
import { giveNote } from '../tone/tone';
import { PanelHead } from './PanelHead';
import type { PanelProps } from './props';

/** A whole section checked as in a rehearsal: all sing up together, who drops out is ticked off, then down. */
export function SectionCheckPanel({ section, onOpen }: PanelProps) {
  const { writing } = useHere().choir;
  const { part } = section;
  const { check, found, singerOf, isOut, change, undo, canUndo, beginAgain, keep } =
    useSectionCheck(section, () => onOpen('section'));
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
                <Box whiteSpace="nowrap">{rangeInWords(comfort, writing)}</Box>
              </Flex>
            )}
          </LongList>
          <Flex gap="16px" align="center" mt="12px">
            <MainButton disabled={keep.isBusy || found.length === 0} onClick={keep.found}>
              Keep what is found
            </MainButton>
            <WordButton onClick={undo} disabled={!canUndo}>
              undo
            </WordButton>
          </Flex>
          {keep.failed && (
            <Box role="alert" color="brick" fontSize="13px" mt="8px">
              {keep.failed}
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
              {noteName(check.note, writing)}
            </Name>
            <Label>
              {check.singers.filter((id) => !isOut(id)).length} of {check.singers.length} still sing
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
            <WordButton onClick={undo} disabled={!canUndo}>
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
                    {singerOf(id)?.name ?? 'left the section'}
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
      <WordButton fontSize="13px" mt="12px" onClick={beginAgain}>
        begin again
      </WordButton>
    </Box>
  );
}
