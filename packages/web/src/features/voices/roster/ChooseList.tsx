import { Box, Flex } from '@chakra-ui/react';
import { useState } from 'react';
import { MainButton } from '../../../ui/MainButton';
import { textOf } from './csv';

/** The way in: pasted cells or a file. */
export function ChooseList({
  trouble,
  onText,
  onTrouble,
}: {
  readonly trouble: string | undefined;
  readonly onText: (text: string) => void;
  readonly onTrouble: (trouble: string) => void;
}) {
  const [pasted, setPasted] = useState('');
  return (
    <Box maxW="760px">
      <Box mb="12px">
        Copy rows from a spreadsheet and paste them, or choose a CSV file. A row is a singer: a name
        and a part at least, and the notes of the range where you have them. Nothing is stored
        before you have looked at it.
      </Box>
      <Box
        asChild
        w="100%"
        bg="sheet"
        borderWidth="1px"
        borderColor="inkSoft"
        p="8px"
        fontSize="13px"
      >
        <textarea
          aria-label="Rows from a spreadsheet"
          rows={10}
          spellCheck={false}
          value={pasted}
          onChange={(event) => setPasted(event.currentTarget.value)}
        />
      </Box>
      <Flex gap="16px" mt="8px" align="center" wrap="wrap">
        <MainButton onClick={() => onText(pasted)}>Look at these rows</MainButton>
        <Box asChild fontSize="13px">
          <label>
            or a file:{' '}
            <input
              type="file"
              accept=".csv,.tsv,.txt,text/csv,text/plain"
              onChange={(event) => {
                const [file] = event.currentTarget.files ?? [];
                if (!file) return;
                textOf(file).then(onText, (error: unknown) =>
                  onTrouble(error instanceof Error ? error.message : 'This file cannot be read.'),
                );
              }}
            />
          </label>
        </Box>
      </Flex>
      {trouble && (
        <Box role="alert" color="brick" mt="8px">
          {trouble}
        </Box>
      )}
    </Box>
  );
}
