import { Box, Flex } from '@chakra-ui/react';
import { beginGroupCheck, easyForAll, usualStart } from '@wide-fern/core';
import { rangeInWords } from '@wide-fern/words';
import { useRef } from 'react';
import { useHere } from '../../../here/session';
import { LongList } from '../../../ui/LongList';
import { MainButton } from '../../../ui/MainButton';
import { useWidth } from '../../../ui/useSize';
import { WordButton } from '../../../ui/words';
import { AskingGroup } from '../group/AskingGroup';
import { foundInGroup, useGroupCheck } from '../group/useGroupCheck';
import { PanelHead } from './PanelHead';
import type { PanelProps } from './props';

/** A whole section checked as in a rehearsal: all sing up together, who drops out is ticked off, then down. */
export function SectionCheckPanel({ section, onOpen }: PanelProps) {
  const { choir } = useHere();
  const { part, rows } = section;
  const frame = useRef<HTMLDivElement>(null);
  const width = useWidth(frame);
  const here = rows.filter(({ away }) => !away).map(({ singer }) => singer);
  const begun = () =>
    beginGroupCheck(
      here.map(({ id }) => id),
      usualStart(part.comfort),
      { expected: easyForAll(here.map(({ comfort }) => comfort ?? part.comfort)) },
    );
  const group = useGroupCheck({
    of: `${choir.id}:${part.id}`,
    begun,
    onKept: () => onOpen('section'),
  });
  const { check, keep, undo } = group;
  const singers = rows.map(({ singer }) => singer);
  const found = check ? foundInGroup(check, singers) : [];
  const keepFound = () =>
    keep.send(
      found.map(({ singer, comfort, reach, changes }) => ({
        ...{ singer: singer.id, comfort, reach, changes: [...changes] },
        ...{ lightTop: null, means: 'section' as const },
      })),
    );
  return (
    <Box ref={frame}>
      <PanelHead title={`All ${part.many}`} onClose={() => onOpen('section')} close="pause" />
      {check && check.way !== 'done' && (
        <AskingGroup check={check} group={group} singers={singers} width={width} />
      )}
      {check?.way === 'done' && (
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
                <Box whiteSpace="nowrap">{rangeInWords(comfort, choir.writing)}</Box>
              </Flex>
            )}
          </LongList>
          <Flex gap="16px" align="center" mt="12px">
            <MainButton disabled={keep.isBusy || found.length === 0} onClick={keepFound}>
              Keep what is found
            </MainButton>
            <WordButton onClick={undo.act} disabled={!undo.can}>
              undo
            </WordButton>
          </Flex>
          {keep.failed && (
            <Box role="alert" color="brick" fontSize="13px" mt="8px">
              {keep.failed}
            </Box>
          )}
        </>
      )}
      <WordButton fontSize="13px" mt="12px" onClick={() => group.change(begun())}>
        begin again
      </WordButton>
    </Box>
  );
}
