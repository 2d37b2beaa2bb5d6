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

/** Styles of a table, said once for all its cells: there are a hundred of them with eight parts. */
const tableStyles = {
  width: '100%',
  maxWidth: '420px',
  fontSize: '12px',
  marginTop: '6px',
  fontVariantNumeric: 'tabular-nums',
  '& caption': { textAlign: 'left', fontWeight: 650 },
  '& th, & td': { textAlign: 'right' },
  '& thead th': {
    fontWeight: 400,
    color: 'inkSoft',
    paddingLeft: '8px',
    lineHeight: '14px',
    verticalAlign: 'bottom',
  },
  '& th:first-of-type': { textAlign: 'left', paddingLeft: 0 },
  '& tbody th': { fontWeight: 700 },
} as const;

function Figures({
  caption,
  rows,
}: {
  readonly caption: string;
  readonly rows: readonly LoadRow[];
}) {
  return (
    <Box as="table" css={tableStyles}>
      <caption>{caption}</caption>
      <thead>
        <tr>
          {columns.map((column) => (
            <th key={column} scope="col">
              {loadHeads[column]}
            </th>
          ))}
        </tr>
      </thead>
      <tbody>
        {rows.map((row) => (
          <tr key={row.part}>
            {columns.map((column) =>
              column === 'part' ? (
                <th key={column} scope="row">
                  {row[column]}
                </th>
              ) : (
                <td key={column}>{row[column]}</td>
              ),
            )}
          </tr>
        ))}
      </tbody>
    </Box>
  );
}
