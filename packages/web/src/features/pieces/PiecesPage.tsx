import { Box, Flex, Input } from '@chakra-ui/react';
import { useQuery } from '@tanstack/react-query';
import { useDeferredValue, useMemo, useRef, useState } from 'react';
import { messageOf, piecesQuery } from '@wide-fern/client';
import { Frame } from '../../here/Frame';
import { useHere } from '../../here/session';
import { LongList } from '../../ui/LongList';
import { Empty, Failed, Loading } from '../../ui/states';
import { usePageHeight, useWidth } from '../../ui/useSize';
import { Signs, SignsWord, useSigns } from '../../ui/Signs';
import { Label, Name, WordLink } from '../../ui/words';
import { useTonight } from '../../here/useTonight';
import { signsOf } from '../../music/signs';
import { laneWidth } from './drawing/RangeStems';
import { PieceRow, stackedHeight } from './PieceRow';
import { piecesWanted } from './model/list';

/** The pieces a choir sings: what each asks of the parts over tonight's sections, and its open target. */
export default function PiecesPage() {
  const { choir, mayEdit } = useHere();
  const pieces = useQuery(piecesQuery(choir.id));
  const { tonight, error, retry } = useTonight();
  const frame = useRef<HTMLDivElement>(null);
  const width = useWidth(frame);
  const height = usePageHeight();
  const signs = useSigns('pieces');
  const [search, setSearch] = useState('');
  const looked = useDeferredValue(search);
  const shown = useMemo(() => piecesWanted(pieces.data ?? [], looked), [pieces.data, looked]);
  const failed = (!pieces.data && pieces.error) || (!tonight && error);
  if (failed) {
    return (
      <Frame place="Pieces">
        <Failed
          message={messageOf(failed)}
          onRetry={() => {
            void pieces.refetch();
            retry();
          }}
        />
      </Frame>
    );
  }
  if (!pieces.data || !tonight) {
    return (
      <Frame place="Pieces">
        <Loading what="the pieces" />
      </Frame>
    );
  }
  const acts = mayEdit && (
    <Flex gap="14px" fontSize="13px">
      <WordLink to="/pieces/new">type one in</WordLink>
      <WordLink to="/pieces/read">read a score</WordLink>
    </Flex>
  );
  if (pieces.data.length === 0) {
    return (
      <Frame place="Pieces">
        <Empty title="There is no piece yet">
          What you sing decides how high a warm-up climbs and what it prepares.
          <Box mt="8px">{acts || 'A director or deputy adds the first one.'}</Box>
        </Empty>
      </Frame>
    );
  }
  // A name that is cut to nothing beside its stems stands above them.
  const stacked = width < tonight.sections.length * laneWidth + 220;
  const open = pieces.data.filter(({ target }) => target !== null).length;
  return (
    <Frame place="Pieces">
      <Box ref={frame} px={{ base: '16px', md: '40px' }} pt="14px">
        <Flex align="baseline" gap="16px" wrap="wrap" mb="8px">
          <Name as="h1" fontSize="24px">
            {pieces.data.length === 1 ? 'One piece' : `${pieces.data.length} pieces`}
            {open > 0 && `, ${open === 1 ? 'one target is' : `${open} targets are`} open`}
          </Name>
          {acts}
        </Flex>
        <Flex gap="16px" align="center" mb="8px" wrap="wrap">
          <Input
            size="sm"
            w="260px"
            bg="sheet"
            borderColor="inkSoft"
            aria-label="Search in titles, composers and languages"
            placeholder="title, composer, language"
            value={search}
            onChange={(event) => setSearch(event.currentTarget.value)}
          />
          <Label as="span" role="status">
            {shown.length === 0 ? 'Nothing is called that.' : `${shown.length} shown.`}
          </Label>
          <SignsWord {...signs} />
        </Flex>
        <Signs shown={signs} load={signsOf.pieces} />
        <LongList
          items={shown}
          label="Pieces"
          rowHeight={stacked ? stackedHeight : 64}
          mostHeight={Math.max(300, height - 150)}
          keyOf={({ id }) => id}
        >
          {(piece) => (
            <PieceRow
              piece={piece}
              sections={tonight.sections}
              writing={choir.writing}
              timeZone={choir.timeZone}
              wide={width >= 860}
              stacked={stacked}
            />
          )}
        </LongList>
      </Box>
    </Frame>
  );
}
