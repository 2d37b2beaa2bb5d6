import { Box, Flex } from '@chakra-ui/react';
import type { NoteWriting } from '@wide-fern/core';
import { useState } from 'react';
import { SelectField } from '../../../ui/SelectField';
import { Label, WordButton } from '../../../ui/words';
import { openMicrophone } from '../listening/microphone';
import { openSimulated } from '../listening/simulated';
import type { OpenSource } from '../listening/source';
import type { Listening } from '../listening/useListening';
import { heardInWords } from '../listening/words';

/** What can be listened to. The simulated singer stands in where there is no microphone. */
const sources: readonly { readonly value: string; readonly word: string; open: OpenSource }[] = [
  { value: 'microphone', word: 'This device’s microphone', open: openMicrophone },
  { value: 'simulated', word: 'A simulated singer', open: openSimulated(1) },
  {
    value: 'simulated-fast',
    word: 'A simulated singer, ten times as fast',
    open: openSimulated(10),
  },
];

/** The microphone of a check: on or off, what is heard, and whether the check goes on by itself. */
export function Listen({
  state,
  byItself,
  writing,
  onStart,
  onStop,
  onByItself,
}: {
  readonly state: Listening;
  readonly byItself: boolean;
  readonly writing: NoteWriting;
  readonly onStart: (open: OpenSource) => void;
  readonly onStop: () => void;
  readonly onByItself: (on: boolean) => void;
}) {
  const [source, setSource] = useState('microphone');
  const isOn = state.kind === 'on' || state.kind === 'opening';
  const heard = state.kind === 'on' ? state.heard : undefined;
  const cents = heard?.kind === 'near' || heard?.kind === 'other' ? heard.cents : undefined;
  return (
    <Box mt="16px" pt="12px" borderTopWidth="1px">
      <Flex gap="8px" align="flex-end">
        <Box flex="1">
          <SelectField
            label="Listen to"
            options={sources}
            value={source}
            disabled={isOn}
            onChange={(event) => setSource(event.currentTarget.value)}
          />
        </Box>
        <WordButton
          minH="32px"
          onClick={() => {
            const found = sources.find(({ value }) => value === source);
            if (isOn) onStop();
            else if (found) onStart(found.open);
          }}
        >
          {isOn ? 'stop listening' : 'listen'}
        </WordButton>
      </Flex>
      <Box asChild display="flex" gap="8px" mt="8px" fontSize="13px">
        <label>
          <input
            type="checkbox"
            checked={byItself}
            onChange={(event) => onByItself(event.currentTarget.checked)}
          />
          hands free: give each note and go on by itself
        </label>
      </Box>
      {heard && (
        <Box mt="8px">
          <Box h="8px" position="relative" borderWidth="1px" bg="sunk" aria-hidden="true">
            <Box position="absolute" left="30%" w="40%" h="100%" bg="fern" opacity={0.2} />
            {cents !== undefined && Math.abs(cents) <= 150 && (
              <Box
                position="absolute"
                style={{ left: `${50 + cents / 3}%` }}
                w="3px"
                h="100%"
                bg="fern"
              />
            )}
          </Box>
          <Box role="status" fontSize="13px" mt="4px" minH="36px">
            {heardInWords(heard, writing)}
          </Box>
        </Box>
      )}
      {state.kind === 'opening' && <Label mt="8px">Opening …</Label>}
      {state.kind === 'refused' && (
        <Box role="alert" color="brick" fontSize="13px" mt="8px">
          {state.message}
        </Box>
      )}
      {!isOn && (
        <Label mt="8px">
          A note held steady for a second within 60 cents counts as easy. What is shown lags behind
          the voice by about a tenth of a second, a wide vibrato by a quarter. What is heard stays
          on this device; only the notes you keep are stored.
        </Label>
      )}
    </Box>
  );
}
