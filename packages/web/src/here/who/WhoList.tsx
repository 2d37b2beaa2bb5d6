import { Box, Flex } from '@chakra-ui/react';
import type { ChangePresence, Singer } from '@wide-fern/contract';
import { singerStates, type SingerState } from '@wide-fern/core';
import { capitalise, stateWords } from '@wide-fern/words';
import { LongList } from '../../ui/LongList';
import { usePageHeight } from '../../ui/useSize';
import { WordButton } from '../../ui/words';

/** Rows are as high as a thumb is wide. */
const rowHeight = 44;

/** A singer as an evening finds them. */
interface Row {
  readonly singer: Pick<Singer, 'id' | 'name' | 'states'>;
  readonly away: boolean;
  /** What was said of tonight alone. */
  readonly statesTonight: readonly SingerState[];
}

/** A section, or those whose part is not decided. */
export interface WhoGroup {
  readonly part: { readonly id: string; readonly many: string };
  readonly rows: readonly Row[];
}

type Line =
  | { readonly kind: 'part'; readonly section: WhoGroup }
  | { readonly kind: 'singer'; readonly row: Row };
const keyOf = (line: Line): string =>
  line.kind === 'part' ? line.section.part.id : line.row.singer.id;

type Change = (change: ChangePresence) => void;
const said = (row: Row, more: { away?: boolean; states?: Row['statesTonight'] }) => ({
  singer: row.singer.id,
  away: more.away ?? row.away,
  states: [...(more.states ?? row.statesTonight)],
});

/** Everybody of every part in one list, to be ticked from the top to the bottom; the part in view first. */
export function WhoList({
  sections,
  undecided,
  first,
  mostHeight,
  change,
}: {
  readonly sections: readonly WhoGroup[];
  readonly undecided: readonly Row[];
  /** The part that is brought into view. */
  readonly first?: string;
  /** The list scrolls beyond this height, in px; else beyond what a page has. */
  readonly mostHeight?: number;
  readonly change: Change;
}) {
  const height = usePageHeight();
  const rest = { part: { id: '?', many: 'others, parts not decided' }, rows: undecided };
  const lines = [...sections, rest].flatMap((one: WhoGroup): Line[] =>
    one.rows.length === 0
      ? []
      : [{ kind: 'part', section: one }, ...one.rows.map((row): Line => ({ kind: 'singer', row }))],
  );
  return (
    <Box mt="12px">
      {/* Another part is chosen: its first row is brought into view anew. */}
      <LongList
        key={first}
        items={lines}
        label="Who is here"
        rowHeight={rowHeight}
        mostHeight={mostHeight ?? Math.max(352, height - 330)}
        keyOf={keyOf}
        startAt={Math.max(
          0,
          lines.findIndex((line) => keyOf(line) === first),
        )}
      >
        {(line) =>
          line.kind === 'part' ? (
            <PartLine section={line.section} change={change} />
          ) : (
            <SingerLine row={line.row} change={change} />
          )
        }
      </LongList>
    </Box>
  );
}

function PartLine({
  section: { part, rows },
  change,
}: {
  readonly section: WhoGroup;
  readonly change: Change;
}) {
  const away = rows.filter((row) => row.away);
  return (
    <Flex h="44px" align="flex-end" justify="space-between" pb="4px" borderBottomWidth="1px">
      <Box as="h3" fontWeight={650} truncate>
        {capitalise(part.many)}: {rows.length - away.length} of {rows.length} here
      </Box>
      {away.length > 0 && (
        <WordButton
          fontSize="13px"
          minH="40px"
          aria-label={`All ${part.many} are here`}
          onClick={() => change({ singers: away.map((row) => said(row, { away: false })) })}
        >
          all here
        </WordButton>
      )}
    </Flex>
  );
}

function SingerLine({ row, change }: { readonly row: Row; readonly change: Change }) {
  const { singer } = row;
  return (
    <Flex h="44px" align="center" gap="8px" fontSize="15px">
      <Box asChild flex="1" minW={0} h="100%" display="flex" alignItems="center" gap="10px">
        <label>
          <Box asChild w="20px" h="20px" flexShrink={0}>
            <input
              type="checkbox"
              checked={!row.away}
              onChange={() => change({ singers: [said(row, { away: !row.away })] })}
            />
          </Box>
          <Box as="span" truncate color={row.away ? 'inkSoft' : 'ink'}>
            {singer.name}
          </Box>
        </label>
      </Box>
      {!row.away && (
        <Box asChild bg="sheet" borderWidth="1px" borderRadius="3px" w="120px" fontSize="13px">
          <select
            aria-label={`How ${singer.name} is tonight`}
            value={row.statesTonight[0] ?? ''}
            onChange={(event) => {
              const found = singerStates.find((one) => one === event.currentTarget.value);
              change({ singers: [said(row, { states: found ? [found] : [] })] });
            }}
          >
            <option value="">
              {singer.states.length > 0
                ? singer.states.map((state) => stateWords[state]).join(', ')
                : 'as usual'}
            </option>
            {singerStates
              .filter((state) => !singer.states.includes(state))
              .map((state) => (
                <option key={state} value={state}>
                  {stateWords[state]}
                </option>
              ))}
          </select>
        </Box>
      )}
    </Flex>
  );
}
