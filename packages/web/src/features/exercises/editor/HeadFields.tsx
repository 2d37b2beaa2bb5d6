import { Box, Flex } from '@chakra-ui/react';
import { kinds, modeNames } from '@wide-fern/core';
import { kindWords } from '@wide-fern/words';
import { FormField } from '../../../ui/FormField';
import { SelectField } from '../../../ui/SelectField';
import {
  metreNamed,
  metreOptions,
  metreWord,
  withMetre,
  withMode,
  withPickUp,
} from './model/metres';
import { Figure, type DraftProps } from './musicParts';

/** What an exercise is called, its kind, and the mode and bars of those kinds that have them. */
export function HeadFields({ draft, errors, set }: DraftProps) {
  return (
    <Flex gap="16px" wrap="wrap" align="flex-start" mb="12px">
      <Box flex="1 1 240px" maxW="340px">
        <FormField
          label="Name"
          value={draft.name}
          error={errors.name}
          onChange={(event) => set({ name: event.currentTarget.value })}
        />
      </Box>
      <Box w="180px">
        <SelectField
          label="Kind"
          value={draft.kind}
          options={kinds.map((kind) => ({ value: kind, word: kindWords[kind] }))}
          onChange={(event) => set({ kind: kinds[event.currentTarget.selectedIndex]! })}
        />
      </Box>
      {withMode.includes(draft.kind) && (
        <Box w="140px">
          <SelectField
            label="Mode"
            value={draft.mode}
            options={modeNames.map((mode) => ({ value: mode, word: mode }))}
            onChange={(event) => set({ mode: modeNames[event.currentTarget.selectedIndex]! })}
          />
        </Box>
      )}
      {withMetre.includes(draft.kind) && (
        <Box w="130px">
          <SelectField
            label="Bars"
            value={metreWord(draft.metre)}
            options={metreOptions(draft.metre).map((word) => ({ value: word, word }))}
            onChange={(event) => {
              const metre = metreNamed(event.currentTarget.value);
              if (metre !== undefined) set({ metre });
            }}
          />
        </Box>
      )}
      {withMetre.includes(draft.kind) && draft.metre && (
        <Box pt="22px">
          <Figure
            label="Beats before the first bar"
            value={draft.metre.pickUp ?? 0}
            limits={[0, draft.metre.beats - 0.5]}
            step={0.5}
            onChange={(beats) => set({ metre: withPickUp(draft.metre!, beats) })}
          />
        </Box>
      )}
    </Flex>
  );
}
