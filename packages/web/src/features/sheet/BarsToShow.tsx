import { Box } from '@chakra-ui/react';
import { call, eveningQuery, messageOf, queryClient, type PlanPlace } from '@wide-fern/client';
import { mostBarsShown, type Segment } from '@wide-fern/contract';
import type { Section } from '@wide-fern/core';
import { barsShownInWords } from '@wide-fern/words';
import { useEffect, useRef, useState } from 'react';
import { hardBars, type FoundBars } from '../../here/score/hardBars';
import { Tick } from '../../ui/Tick';
import { WordButton } from '../../ui/words';

type Found =
  | { readonly kind: 'not wanted' }
  | { readonly kind: 'reading' }
  | { readonly kind: 'failed'; readonly message: string }
  | ({ readonly kind: 'found' } & FoundBars);

/** The marked bars of the pieces of an evening, as they are written. */
async function find(
  { choir, evening }: PlanPlace,
  sections: readonly Section[],
  signal: AbortSignal,
): Promise<FoundBars> {
  const { agenda } = await queryClient.ensureQueryData(eveningQuery(choir, evening));
  const ids = [...new Set(agenda.flatMap(({ piece }) => piece ?? []))];
  const pieces = await Promise.all(
    ids.map((piece) => call('showPiece', { params: { choir, piece }, signal })),
  );
  return hardBars(choir, pieces, sections, mostBarsShown, signal);
}

/** Whether hard bars are shown at home as they are written, and which: read when that is chosen. */
export function BarsToShow({
  place,
  sections,
  onBars,
}: {
  readonly place: PlanPlace;
  readonly sections: readonly Section[];
  /** Hears what is to be shown; undefined while that is not known. */
  readonly onBars: (bars: Segment[] | undefined) => void;
}) {
  const [found, setFound] = useState<Found>({ kind: 'not wanted' });
  const stop = useRef<AbortController>(undefined);
  useEffect(() => () => stop.current?.abort(), []);
  const tell = (next: Found) => {
    setFound(next);
    if (next.kind === 'found') onBars([...next.bars]);
    else onBars(next.kind === 'not wanted' ? [] : undefined);
  };
  const want = async (is: boolean) => {
    stop.current?.abort();
    if (!is) {
      tell({ kind: 'not wanted' });
      return;
    }
    const mine = (stop.current = new AbortController());
    tell({ kind: 'reading' });
    try {
      const bars = await find(place, sections, mine.signal);
      if (!mine.signal.aborted) tell({ kind: 'found', ...bars });
    } catch (error) {
      if (!mine.signal.aborted) tell({ kind: 'failed', message: messageOf(error) });
    }
  };
  return (
    <Box>
      <Tick checked={found.kind !== 'not wanted'} onChange={(is) => void want(is)}>
        show the marked bars of this evening’s pieces as they are written; whoever has the link sees
        that much of the score
      </Tick>
      <Box role="status" pl="26px">
        {found.kind === 'reading' && 'Reading the scores …'}
        {found.kind === 'found' && barsShownInWords(found.bars, found.leftOut)}
      </Box>
      {found.kind === 'failed' && (
        <Box role="alert" pl="26px" color="brick">
          {found.message}{' '}
          <WordButton fontSize="13px" onClick={() => void want(true)}>
            try again
          </WordButton>
        </Box>
      )}
    </Box>
  );
}
