import { Box, Flex } from '@chakra-ui/react';
import {
  type Section,
  farKey,
  keysToReach,
  keyStrip,
  isToldToHold,
  ladderOfPart,
  patternOf,
  type KeyColumn,
  type Ladder,
  type SegmentKeys,
  type ToldMove,
} from '@wide-fern/core';
import { cellInWords, type CellDoing, type Wording } from '@wide-fern/words';
import { useRef, useState, type KeyboardEvent, type ReactNode } from 'react';
import { hueOf } from '../../ui/color';
import { type Sure, tooFewIn } from './sure';
import { cellAfterKey, keyRange, laddersOf } from './keyRange';
import { LadderLine, type LadderPull } from './LadderLine';
import { Starts } from './Starts';
import { cell, Cell } from './KeyCell';
import { isTold, Telling } from './Telling';

type LadderKeys = Extract<SegmentKeys, { kind: 'ladder' }>;

/** What a part does in a column's key, and what is known of it: of a tonic that is sung more than once, the first time. */
function doingAt(
  keys: LadderKeys,
  band: Section,
  column: KeyColumn,
  sure: Sure | undefined,
): CellDoing {
  const { problem, sung, untold } = keys;
  const ladder = ladderOfPart(keys, band.id);
  const moveIn = (of: Ladder | undefined, place: number) =>
    place < 0 ? undefined : of?.paths.find(({ id }) => id === band.id)?.moves[place];
  const place = ladder?.tonics.indexOf(column.tonic) ?? -1;
  const move = moveIn(ladder, place);
  const holds = isToldToHold(problem, band.id, place);
  const isByHand = sung === ladder && isTold(problem.fixed, band.id, place);
  return {
    ...{ move, holds },
    tooFew: tooFewIn(sure, band, column, { move, holds }),
    untold: isByHand ? moveIn(untold, place) : undefined,
  };
}

/** No more keys than this are pulled out. */
const mostKeys = 24;

/** How the ends of a ladder follow a hand; not where groups have ladders of their own. */
function usePull(
  { problem, sung, groups }: LadderKeys,
  onStart: (tonic: number) => void,
  onKeys: ((keys: number) => void) | undefined,
): LadderPull | undefined {
  const held = useRef({ tonic: 0, climb: problem });
  if (!sung || groups || !onKeys) return undefined;
  const hold = (isFirst: boolean, tonic: number) => {
    if (isFirst) held.current = { tonic, climb: problem };
    return held.current;
  };
  return {
    far: farKey(problem),
    onStart: (columns, isFirst) => {
      const { tonic } = hold(isFirst, sung.start);
      if (!isFirst) onStart(tonic + columns);
    },
    onFar: (columns, isFirst) => {
      const far = sung.tonics[farKey(problem)]!;
      const { tonic, climb } = hold(isFirst, far - sung.start);
      if (!isFirst) onKeys(keysToReach(climb, tonic + columns, mostKeys));
    },
  };
}

/**
 * Every tonic by semitone, every part: the room above and below, what is done on the ladder, and
 * the ladder as a line in the order sung. Choosing a column starts the ladder there.
 */
export function KeyStrip({
  keys,
  sections,
  sure,
  wording,
  width,
  mayEdit,
  onStart,
  onLook,
  onTell,
  onKeys,
  children,
}: {
  readonly keys: LadderKeys;
  readonly sections: readonly Section[];
  /** How sure a part is of a span of notes, where that is known. */
  readonly sure?: Sure | undefined;
  readonly wording: Wording;
  readonly width: number;
  readonly mayEdit: boolean;
  readonly onStart: (tonic: number) => void;
  /** A start that is pointed at, before it is taken; undefined when none is. */
  readonly onLook: (tonic: number | undefined) => void;
  /** Tells a part what to do in a key, by its place; null lets the best be found. */
  readonly onTell?: ((part: string, place: number, move: ToldMove | null) => void) | undefined;
  /** So many keys, as they are pulled; without it only the start can be. */
  readonly onKeys?: ((keys: number) => void) | undefined;
  /** What is said of the start, right below the strip. */
  readonly children: ReactNode;
}) {
  const { problem } = keys;
  const [focused, setFocused] = useState<{ row: number; column: number }>();
  const grid = useRef<HTMLDivElement>(null);
  const most = Math.max(5, Math.floor((width - 26) / cell.width));
  const columns = keyStrip(sections, (part) => patternOf(problem, part), keyRange(keys, most));
  const first = columns[0]!.tonic;
  const column = (tonic: number) => (tonic - first) * cell.width + cell.width / 2;
  const [asked, setAsked] = useState<{ part: string; place: number }>();
  // Groups have keys of their own, in which nothing is told yet.
  const mayTell = mayEdit && onTell !== undefined && !keys.groups;
  const lines = laddersOf(keys).map(({ tonics }) => tonics.map(column));
  const pull = usePull(keys, onStart, onKeys);
  const pointed = focused && {
    band: sections[focused.row]!,
    at: columns[focused.column]!,
  };

  const moveFocus = (event: KeyboardEvent) => {
    if (event.shiftKey) return;
    const to = cellAfterKey(event.key, focused ?? { row: 0, column: 0 }, {
      rows: sections.length,
      columns: columns.length,
    });
    if (!to) return;
    event.preventDefault();
    setFocused(to);
    grid.current?.querySelector<HTMLElement>(`[data-cell="${to.row}-${to.column}"]`)?.focus();
  };

  return (
    <Box>
      <Starts
        tonics={columns.map(({ tonic }) => tonic)}
        keys={keys}
        wording={wording}
        mayEdit={mayEdit}
        onStart={onStart}
        onLook={onLook}
      />
      {(lines.length > 0 ? lines : [[]]).map((line, i) => (
        <LadderLine
          key={i}
          width={26 + columns.length * cell.width}
          line={line}
          column={cell.width}
          pull={mayEdit ? pull : undefined}
        />
      ))}
      <Box
        ref={grid}
        role="grid"
        aria-label="Room of each part in each key"
        onKeyDown={moveFocus}
        onMouseLeave={() => setFocused(undefined)}
      >
        {sections.map((band, row) => (
          <Flex key={band.id} role="row" mt={`${cell.gap}px`}>
            <Box
              role="rowheader"
              w="26px"
              fontWeight={700}
              fontSize="15px"
              style={{ color: hueOf(band.id, row) }}
            >
              {band.id}
            </Box>
            {columns.map((each, i) => (
              <Cell
                key={each.tonic}
                place={`${row}-${i}`}
                band={band}
                column={each}
                doing={doingAt(keys, band, each, sure)}
                wording={wording}
                hue={hueOf(band.id, row)}
                isFocused={focused?.row === row && focused.column === i}
                isEntry={focused === undefined && row === 0 && i === 0}
                onPoint={() => setFocused({ row, column: i })}
                onAsk={
                  mayTell && keys.sung?.tonics.includes(each.tonic)
                    ? () =>
                        setAsked({ part: band.id, place: keys.sung!.tonics.indexOf(each.tonic) })
                    : undefined
                }
              />
            ))}
          </Flex>
        ))}
      </Box>
      {asked && mayTell && (
        <Telling
          key={`${asked.part} ${asked.place}`}
          {...{ keys, sections, wording, onTell }}
          {...asked}
          onClose={() => {
            setAsked(undefined);
            grid.current?.querySelector<HTMLElement>('[data-cell][tabindex="0"]')?.focus();
          }}
        />
      )}
      {children}
      <Box fontSize="13px" mt="2px" minH="18px" color="inkSoft" aria-live="off">
        {pointed
          ? cellInWords(
              pointed.band,
              pointed.at,
              doingAt(keys, pointed.band, pointed.at, sure),
              wording,
            )
          : null}
      </Box>
    </Box>
  );
}
