import { Box, chakra } from '@chakra-ui/react';
import type { LogSpan } from '@wide-fern/core';
import type { LogColumn, LogbookView } from '@wide-fern/plan';
import { columnHeading, columnsInWords, phaseWords, shortDay } from '@wide-fern/words';
import { useLayoutEffect, useRef } from 'react';
import { Link } from 'react-router';
import { useHere } from '../../here/session';
import { Hidden } from '../../ui/words';
import { JudgedRows } from './JudgedRows';
import { classOf, isLed, type Opened } from './shown';
import { ComingStem, Nothing, Stem } from './stems';
import { columnWidths, stemHeight, tableStyles } from './tableStyles';
import type { Coming, LogbookData } from './useLogbook';
import { WholeRow } from './WholeRow';

const Table = chakra('table');
const stemScale = 0.115;

/** Weeks as columns: how pieces were judged, what was led on each kind of work, how long all of it was. */
export function LogTable({
  data: { view, coming },
  span,
  opened,
  onOpen,
}: {
  readonly data: Extract<LogbookData, { kind: 'ready' }>;
  readonly span: LogSpan;
  readonly opened: Opened | undefined;
  readonly onOpen: (opened: Opened | undefined) => void;
}) {
  const frame = useRef<HTMLDivElement>(null);
  // Where not all of it has room, the latest is what is looked for.
  useLayoutEffect(() => {
    if (frame.current) frame.current.scrollLeft = frame.current.scrollWidth;
  }, []);
  return (
    <Box ref={frame} flex="1 1 auto" minW={0} overflowX="auto" tabIndex={0}>
      <Table css={tableStyles(columnWidths[span])} aria-label="What was led">
        <thead>
          <tr>
            <th scope="row">
              Whole runs, judged
              <Box fontWeight={400} color="inkSoft" fontSize="12px">
                1 falls apart, 5 carries
              </Box>
            </th>
            {view.columns.map((column) => (
              <ColumnHead key={column.column} {...{ column, span, coming }} />
            ))}
          </tr>
        </thead>
        <JudgedRows {...{ view, coming }} width={columnWidths[span]} />
        <Work {...{ view, coming, span, opened, onOpen }} />
        <tbody>
          <WholeRow {...{ view, coming, span }} />
        </tbody>
      </Table>
    </Box>
  );
}

/** Where an evening leads: to what happened in it, or to the evening. */
const recordOf = ({ id, runs }: LogColumn['evenings'][number]): string =>
  runs[0] ? `/evenings/${id}/led/${runs[0].item}` : `/evenings/${id}`;

function ColumnHead({
  column,
  span,
  coming,
}: {
  readonly column: LogColumn;
  readonly span: LogSpan;
  readonly coming: Coming | undefined;
}) {
  const { choir } = useHere();
  const { evenings } = column;
  const isComing = classOf(column, coming) === 'coming';
  const isFew = span === 'week' && evenings.length > 0 && evenings.length < 3;
  return (
    <th scope="col">
      <Box pl="10px">
        {isComing && coming ? (
          <Box color="fern">
            <Link to={`/evenings/${coming.evening.id}/plan/warm-up`}>
              {shortDay(coming.evening.startsAt, choir.timeZone)}
            </Link>
            <Box fontWeight={400} fontSize="12px">
              planned
            </Box>
          </Box>
        ) : isFew ? (
          evenings.map((one) => (
            <Box key={one.id} asChild display="block" _hover={{ textDecoration: 'underline' }}>
              <Link to={recordOf(one)}>{shortDay(one.startsAt, choir.timeZone)}</Link>
            </Box>
          ))
        ) : (
          columnHeading(column.column, span)
        )}
        {!isComing && evenings.length === 0 && (
          <Box fontWeight={400} color="inkSoft" fontSize="12px">
            {span === 'week' ? 'no evening' : <Hidden>no evening</Hidden>}
          </Box>
        )}
        {!isComing && evenings.length > 0 && !isFew && (
          <Box fontWeight={400} color="inkSoft" fontSize="12px">
            {evenings.length}
            {span === 'week' ? ' evenings' : <Hidden> evenings</Hidden>}
          </Box>
        )}
      </Box>
    </th>
  );
}

function Work({
  view,
  coming,
  span,
  opened,
  onOpen,
}: {
  readonly view: LogbookView;
  readonly coming: Coming | undefined;
  readonly span: LogSpan;
  readonly opened: Opened | undefined;
  readonly onOpen: (opened: Opened | undefined) => void;
}) {
  const { columns, times, neglected } = view;
  const longest = Math.max(1, ...times.flatMap(({ seconds }) => seconds));
  const scale = Math.min(stemScale, stemHeight / longest);
  return (
    <tbody>
      <tr className="work first">
        <th scope="row">
          <b>Time led on each kind</b>
        </th>
        <td colSpan={columns.length}>
          <Box className="stem">
            <Box className="ring" aria-hidden />
            <Box className="figure" style={{ minHeight: 0 }}>
              nothing
            </Box>
          </Box>
        </td>
      </tr>
      {times.map(({ phase, seconds }, row) => (
        <tr key={phase} className={`work${neglected?.phase === phase ? ' missing' : ''}`}>
          <th scope="row">{phaseWords[phase]}</th>
          {columns.map((column, i) => {
            const kind = classOf(column, coming);
            const isOpen = opened?.phase === phase && opened.column === column.column;
            return (
              <Box key={column.column} as="td" className={kind} position="relative">
                {neglected?.phase === phase && neglected.from === i && (
                  <Missing
                    words={`nothing for ${columnsInWords(neglected.led, span)}`}
                    width={(neglected.to - neglected.from + 1) * columnWidths[span]}
                  />
                )}
                {kind === 'coming' && coming ? (
                  <ComingStem seconds={coming.planned.times[row]!.seconds[0]!} scale={scale} />
                ) : seconds[i]! > 0 ? (
                  <Stem
                    seconds={seconds[i]!}
                    scale={scale}
                    isOpen={isOpen}
                    onOpen={() => onOpen(isOpen ? undefined : { phase, column: column.column })}
                  />
                ) : (
                  isLed(column) && <Nothing />
                )}
              </Box>
            );
          })}
        </tr>
      ))}
    </tbody>
  );
}

/** Says over which columns a kind of work has had nothing. */
function Missing({ words, width }: { readonly words: string; readonly width: number }) {
  return (
    <Box
      position="absolute"
      top="11px"
      left="8px"
      w={`${width - 16}px`}
      h="9px"
      borderColor="spore"
      borderWidth="1px"
      borderBottomWidth={0}
      zIndex={1}
    >
      <Box
        position="absolute"
        top="-10px"
        left="50%"
        transform="translateX(-50%)"
        bg="paper"
        px="8px"
        fontSize="13px"
        fontWeight={650}
        color="sporeText"
        whiteSpace="nowrap"
      >
        {words}
      </Box>
      <Hidden>, up to the last evening</Hidden>
    </Box>
  );
}
