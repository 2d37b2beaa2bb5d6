import { Box, Flex, Input } from '@chakra-ui/react';
import type { ChoirPart } from '@wide-fern/contract';
import { columnHeadings, type NoteNaming, type RosterColumn } from '@wide-fern/core';
import { rowProblemInWords } from '@wide-fern/words';
import { LongList } from '../../../ui/LongList';
import { usePageHeight } from '../../../ui/useSize';
import { WordButton } from '../../../ui/words';
import type { PreviewRow } from './reading';

const rowHeight = 62;

/** Every row of a list as it would be stored; each cell can be put right, and says what is wrong with it. */
export function PreviewList({
  rows,
  columns,
  parts,
  naming,
  onCell,
  onDrop,
}: {
  readonly rows: readonly PreviewRow[];
  readonly columns: readonly (RosterColumn | null)[];
  readonly parts: readonly ChoirPart[];
  readonly naming: NoteNaming;
  readonly onCell: (index: number, column: number, text: string) => void;
  readonly onDrop: (index: number) => void;
}) {
  const pageHeight = usePageHeight();
  const used = columns.flatMap((column, i) => (column ? [{ column, i }] : []));
  return (
    <LongList
      items={rows}
      label="Rows of the list"
      rowHeight={rowHeight}
      mostHeight={Math.max(240, pageHeight - 440)}
      keyOf={({ index }) => String(index)}
    >
      {(row) => {
        const problems = row.read.kind === 'faulty' ? row.read.problems : [];
        const [first] = problems;
        const problem = problems.find(({ column }) => !columns.includes(column)) ?? first;
        return (
          <Box
            borderTopWidth="1px"
            pt="4px"
            h={`${rowHeight}px`}
            aria-label={`Row ${row.number}`}
            role="group"
          >
            <Flex gap="8px" align="center" fontSize="13px">
              <Box w="36px" color="inkSoft" textAlign="right">
                {row.number}
              </Box>
              {used.map(({ column, i }) => {
                const wrong = problems.some((problem) => problem.column === column);
                return (
                  <Input
                    key={i}
                    aria-label={`${columnHeadings[column]}, row ${row.number}`}
                    aria-invalid={wrong}
                    size="xs"
                    h="28px"
                    flex={column === 'name' || column === 'notes' ? '3 1 140px' : '1 1 64px'}
                    minW={0}
                    fontSize="13px"
                    bg="sheet"
                    borderColor={wrong ? 'brick' : 'line'}
                    borderWidth={wrong ? '2px' : '1px'}
                    value={row.cells[i] ?? ''}
                    onChange={(event) => onCell(row.index, i, event.currentTarget.value)}
                  />
                );
              })}
              <WordButton
                fontSize="13px"
                aria-label={`Take row ${row.number} out`}
                onClick={() => onDrop(row.index)}
              >
                take out
              </WordButton>
            </Flex>
            <Box pl="44px" fontSize="13px" truncate color={first ? 'brick' : 'inkSoft'}>
              {problem && rowProblemInWords(problem, { parts, naming })}
              {!first &&
                (row.known
                  ? `already on the roster as ${row.known.part}`
                  : row.read.kind === 'singer'
                    ? (parts.find(
                        ({ id }) => row.read.kind === 'singer' && id === row.read.singer.part,
                      )?.one ?? '')
                    : '')}
            </Box>
          </Box>
        );
      }}
    </LongList>
  );
}
