import { Box } from '@chakra-ui/react';
import type { PlanLoad } from '@wide-fern/core';
import { loadHeads, loadInWords, loadNote, loadRows, type LoadRow } from '@wide-fern/words';
import { Label } from '../../../ui/words';

const columns = Object.keys(loadHeads) as (keyof LoadRow)[];

/** What each part's singing adds up to, here and in the whole warm-up; opened on request. */
export function LoadFigures({
  load,
  segment,
}: {
  readonly load: PlanLoad;
  readonly segment: string;
}) {
  const own = load.segments.find(({ id }) => id === segment);
  if (!own) return null;
  return (
    <details>
      <summary style={{ cursor: 'pointer' }}>{loadInWords(own)}</summary>
      <Figures caption="In this segment" rows={loadRows(load, segment)} />
      <Figures caption="In the whole warm-up" rows={loadRows(load)} />
      <Label fontSize="12px" mt="4px">
        {loadNote}
      </Label>
    </details>
  );
}

function Figures({
  caption,
  rows,
}: {
  readonly caption: string;
  readonly rows: readonly LoadRow[];
}) {
  return (
    <Box as="table" w="100%" maxW="420px" fontSize="12px" mt="6px">
      <Box as="caption" textAlign="left" fontWeight={650}>
        {caption}
      </Box>
      <thead>
        <tr>
          {columns.map((column) => (
            <Box
              as="th"
              key={column}
              fontWeight={400}
              color="inkSoft"
              pl={column === 'part' ? 0 : '8px'}
              lineHeight="14px"
              verticalAlign="bottom"
              textAlign={column === 'part' ? 'left' : 'right'}
            >
              {loadHeads[column]}
            </Box>
          ))}
        </tr>
      </thead>
      <tbody>
        {rows.map((row) => (
          <tr key={row.part}>
            {columns.map((column) => (
              <Box
                as={column === 'part' ? 'th' : 'td'}
                key={column}
                fontWeight={column === 'part' ? 700 : 400}
                textAlign={column === 'part' ? 'left' : 'right'}
                fontVariantNumeric="tabular-nums"
              >
                {row[column]}
              </Box>
            ))}
          </tr>
        ))}
      </tbody>
    </Box>
  );
}
