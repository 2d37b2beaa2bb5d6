import { Box, Flex } from '@chakra-ui/react';
import { breathWays } from '@wide-fern/core';
import { FormField } from '../../../ui/FormField';
import { SelectField } from '../../../ui/SelectField';
import { Tick } from '../../../ui/Tick';
import { withColumn, withFields, type Column, type Further } from './model/further';
import type { DraftProps } from './musicParts';

const columns: readonly Column[] = ['in', 'hold', 'out', 'rest'];
const wayWords: Readonly<Record<(typeof breathWays)[number], string>> = {
  nose: 'by the nose',
  mouth: 'by the mouth',
  'nose in, mouth out': 'in by the nose, out by the mouth',
};

/** How breath goes beside its counts: empty first or not, by which way, and what the arms do. */
export function BreathFurther({ draft, errors, set }: DraftProps) {
  const { further } = draft;
  const { emptyFirst = false, way, arms } = further.music;
  const change = (changed: { [K in keyof Further['music']]?: Further['music'][K] | undefined }) =>
    set({ further: { ...further, music: withFields(further.music, changed) } });
  return (
    <Box mt="8px" display="grid" gap="8px">
      <Flex gap="16px" wrap="wrap" align="flex-end">
        <Box w="240px">
          <SelectField
            label="It goes"
            value={way ?? ''}
            options={[
              { value: '', word: 'as each likes' },
              ...breathWays.map((value) => ({ value, word: wayWords[value] })),
            ]}
            onChange={(event) => change({ way: breathWays[event.currentTarget.selectedIndex - 1] })}
          />
        </Box>
        <Tick checked={emptyFirst} onChange={(on) => change({ emptyFirst: on ? true : undefined })}>
          breathe out all the air first
        </Tick>
      </Flex>
      <Flex gap="8px" wrap="wrap" role="group" aria-label="What the arms do">
        {columns.map((column) => (
          <Box key={column} flex="1 1 120px">
            <FormField
              label={`arms, ${column}`}
              size="sm"
              value={arms?.[column] ?? ''}
              error={errors.arms}
              onChange={(event) =>
                change({ arms: withColumn<string>(arms, column, event.currentTarget.value) })
              }
            />
          </Box>
        ))}
      </Flex>
    </Box>
  );
}
