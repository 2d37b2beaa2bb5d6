import { Box } from '@chakra-ui/react';
import type { LogSpan } from '@wide-fern/core';
import type { LogColumn, LogbookView } from '@wide-fern/plan';
import { lengthInFigures } from '@wide-fern/words';
import { Hidden } from '../../ui/words';
import { classOf } from './shown';
import { wholeHeight } from './tableStyles';
import type { Coming } from './useLogbook';

/** As high as the row is: so many seconds at least. */
const leastHigh = 15 * 60;

/** How long the warm-ups were: as planned, and as led with talk on top. */
export function WholeRow({
  view: { columns },
  coming,
  span,
}: {
  readonly view: LogbookView;
  readonly coming: Coming | undefined;
  readonly span: LogSpan;
}) {
  const longest = Math.max(
    leastHigh,
    ...columns.map(({ planned, real }) => Math.max(planned, real)),
  );
  const scale = wholeHeight / longest;
  return (
    <tr className="whole">
      <th scope="row">
        <b>{span === 'week' ? 'The whole warm-up' : 'All warm-ups'}</b>
        <Box color="inkSoft" fontSize="12px" pb="4px">
          hollow: as planned
          <br />
          filled: as led, talk dotted
        </Box>
      </th>
      {columns.map((column) => {
        const kind = classOf(column, coming);
        return (
          <td key={column.column} className={kind}>
            {kind === 'coming' && coming ? (
              <div className="stem" style={{ gap: 4 }}>
                <div className="bar planned" style={{ height: coming.planned.total * scale }} />
                <Box fontSize="13px" fontWeight={650} color="fern">
                  {lengthInFigures(coming.planned.total)}
                </Box>
              </div>
            ) : (
              column.real > 0 && <Whole column={column} scale={scale} isWide={span === 'week'} />
            )}
          </td>
        );
      })}
    </tr>
  );
}

function Whole({
  column: { planned, real, talk },
  scale,
  isWide,
}: {
  readonly column: LogColumn;
  readonly scale: number;
  /** Whether there is room for the planned figure too. */
  readonly isWide: boolean;
}) {
  return (
    <div className="stem" style={{ gap: 3 }}>
      <div className="bar hollow" style={{ height: planned * scale }} />
      <div>
        <div className="bar talk" style={{ height: talk * scale }} />
        <div className="bar" style={{ height: Math.max(1, real - talk) * scale }} />
      </div>
      <Box fontSize="13px" pl="2px" whiteSpace="nowrap">
        {isWide ? (
          <Box color="inkSoft" fontSize="12px">
            of {lengthInFigures(planned)}
          </Box>
        ) : (
          <Hidden>of {lengthInFigures(planned)}</Hidden>
        )}
        <b>{lengthInFigures(real)}</b>
      </Box>
    </div>
  );
}
