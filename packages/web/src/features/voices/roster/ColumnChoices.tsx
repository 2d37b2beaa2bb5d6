import { Box, Flex } from '@chakra-ui/react';
import { columnHeadings, noteNamings, rosterColumns } from '@wide-fern/core';
import { namingWords } from '@wide-fern/words';
import { SelectField } from '../../../ui/SelectField';
import { Tick } from '../../../ui/Tick';
import type { ReadList } from './keptList';
import { withColumn } from './reading';

const namingOptions = noteNamings.map((value) => ({ value, word: namingWords[value] }));
const columnOptions = [
  { value: '', word: 'leave out' },
  ...rosterColumns.map((value) => ({ value, word: columnHeadings[value] })),
];

interface ListProps {
  readonly list: ReadList;
  readonly onChange: (list: ReadList) => void;
}

/** What each column of a list holds. */
export function ColumnChoices({ list, onChange }: ListProps) {
  return (
    <Flex gap="16px" wrap="wrap" align="flex-end" mb="12px">
      {list.columns.map((column, i) => (
        <Box key={i} w="132px">
          <SelectField
            label={`Column ${i + 1}: ${list.rows[0]?.[i] ?? ''}`.slice(0, 28)}
            options={columnOptions}
            value={column ?? ''}
            onChange={(event) => {
              const found = rosterColumns.find((one) => one === event.currentTarget.value);
              onChange(withColumn(list, i, found ?? null));
            }}
          />
        </Box>
      ))}
    </Flex>
  );
}

/** How notes are written in it, and whether its first row is one of headings. */
export function HowWritten({ list, onChange }: ListProps) {
  return (
    <>
      <Box w="260px">
        <SelectField
          label="Notes are written so that"
          options={namingOptions}
          value={list.naming}
          onChange={(event) => {
            const found = noteNamings.find((one) => one === event.currentTarget.value);
            if (found) onChange({ ...list, naming: found, either: [] });
          }}
        />
      </Box>
      <Tick checked={list.headings} onChange={(headings) => onChange({ ...list, headings })}>
        the first row holds headings
      </Tick>
    </>
  );
}
