import { Box, Flex } from '@chakra-ui/react';
import { noteName, type CheckProgress, type NoteWriting } from '@wide-fern/core';
import { listInWords } from '@wide-fern/words';
import { Tick } from '../../../ui/Tick';

/** How a check goes on, and where the voice was heard to change. */
export function CheckHow({
  check,
  larger,
  writing,
  onChange,
}: {
  readonly check: CheckProgress;
  readonly larger: { readonly on: boolean; readonly set: (on: boolean) => void } | null;
  readonly writing: NoteWriting;
  readonly onChange: (next: CheckProgress) => void;
}) {
  const { changes } = check;
  return (
    <>
      {changes.length > 0 && (
        <Box mt="8px" role="status">
          The voice changes its register at{' '}
          {listInWords(changes.map((note) => noteName(note, writing)))}.
        </Box>
      )}
      <Flex gap="4px 16px" wrap="wrap" mt="8px">
        {larger && (
          <Tick checked={larger.on} onChange={larger.set}>
            larger steps where it is easy
          </Tick>
        )}
        <Tick checked={check.light} onChange={(light) => onChange({ ...check, light })}>
          look for the light register too
        </Tick>
      </Flex>
    </>
  );
}
