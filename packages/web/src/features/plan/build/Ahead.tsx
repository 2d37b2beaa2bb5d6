import { Box, Flex } from '@chakra-ui/react';
import { messageOf } from '@wide-fern/client';
import { evaluate, segmentsOf, emptyDocument, type Proposal } from '@wide-fern/plan';
import type { BuildWish, Evening, Exercise } from '@wide-fern/contract';
import { aheadStateInWords, dayInWords, lengthInFigures, shortDay } from '@wide-fern/words';
import { useMemo, useState } from 'react';
import { useHere } from '../../../here/session';
import { Failed, Loading } from '../../../ui/states';
import { Label, Name, WordButton, WordLink } from '../../../ui/words';
import type { BuildPlace } from './model/useProposals';
import { useAhead, type AheadRow } from './model/useAhead';

/** The weeks ahead: opened on request, and built at once. */
export function Ahead(props: {
  readonly place: BuildPlace;
  readonly wish: BuildWish;
  /** What this evening's warm-up will have. */
  readonly plan: Proposal;
}) {
  const [isOpen, setOpen] = useState(false);
  return (
    <Box
      as="section"
      aria-label="The weeks ahead"
      px={{ base: '16px', md: '24px' }}
      py="8px"
      fontSize="13px"
    >
      <Flex gap="12px" align="baseline" wrap="wrap">
        <Name as="h2" fontSize="18px">
          The weeks ahead
        </Name>
        <WordButton fontSize="13px" aria-expanded={isOpen} onClick={() => setOpen(!isOpen)}>
          {isOpen ? 'put them away' : 'plan them too, each knowing what the others use'}
        </WordButton>
      </Flex>
      {isOpen && <Following {...props} />}
    </Box>
  );
}

function Following({
  place: { evening, known, exercises, makeBuilder },
  wish,
  plan,
}: Parameters<typeof Ahead>[0]) {
  const exercisesNow = plan.segments.map(({ exercise }) => exercise);
  const ahead = useAhead({ evening, known, wish, exercises, exercisesNow, makeBuilder });
  if (ahead.failed) {
    return <Failed message={messageOf(ahead.failed)} onRetry={ahead.retry} />;
  }
  if (!ahead.isReady) return <Loading what="the evenings that follow" />;
  if (ahead.rows.length === 0) {
    return <Box mt="4px">No evening follows this one. Add its date on Tonight.</Box>;
  }
  return (
    <Box>
      {ahead.rows.map((row) => (
        <Week
          key={row.evening.id}
          row={row}
          exercises={exercises}
          onTake={() => void ahead.take(row)}
        />
      ))}
      <Box role="status" mt="4px">
        {ahead.message && (
          <Box as="span" color="brick">
            {ahead.message}{' '}
          </Box>
        )}
        {ahead.isBuilding ? (
          'building, one evening after the other …'
        ) : ahead.open > 0 ? (
          <WordButton fontSize="13px" onClick={() => void ahead.build()}>
            {ahead.open === 1
              ? 'build the one that is open'
              : `build the ${ahead.open} that are open`}
          </WordButton>
        ) : null}
      </Box>
    </Box>
  );
}

/** One evening of them. */
function Week({
  row,
  exercises,
  onTake,
}: {
  readonly row: AheadRow;
  readonly exercises: ReadonlyMap<string, Exercise>;
  readonly onTake: () => void;
}) {
  const { choir } = useHere();
  const { evening, item, planned, built, state } = row;
  const made = useBuilt(evening, built, exercises);
  const names =
    made?.names ?? planned?.document.segments.map(({ exercise }) => exercise.name) ?? [];
  return (
    <Flex gap="4px 16px" wrap="wrap" align="baseline" py="4px" borderTopWidth="1px">
      <Box w="90px" fontWeight={650}>
        {dayInWords(evening.startsAt, choir.timeZone)}
      </Box>
      <Box flex="1 1 320px">
        {names.join(' · ')}{' '}
        <Label as="span" fontSize="12px">
          {made && `${made.length}, `}
          {aheadStateInWords(state, {
            hasWarmUp: item !== undefined,
            isPlanned: (planned?.document.segments.length ?? 0) > 0,
            isProven: built !== undefined && built.bound <= built.points,
          })}
        </Label>
      </Box>
      {state === 'built' && (
        <WordButton fontSize="13px" onClick={onTake}>
          take it for {shortDay(evening.startsAt, choir.timeZone)}
        </WordButton>
      )}
      {(state === 'stored' || state === 'meanwhile') && item !== undefined && (
        <WordLink to={`/evenings/${evening.id}/plan/${item}`} fontSize="13px">
          open it
        </WordLink>
      )}
    </Flex>
  );
}

/** The names of what was built, and how long it takes. */
function useBuilt(
  { tonight }: Evening,
  built: Proposal | undefined,
  exercises: ReadonlyMap<string, Exercise>,
): { readonly names: readonly string[]; readonly length: string } | undefined {
  return useMemo(() => {
    if (!built) return undefined;
    let count = 0;
    const segments = segmentsOf(built, exercises, [], () => `week-${(count += 1)}`);
    const { total } = evaluate({ ...emptyDocument(tonight), segments }, 0);
    return {
      names: segments.map(({ exercise }) => exercise.name),
      length: lengthInFigures(total),
    };
  }, [built, exercises, tonight]);
}
