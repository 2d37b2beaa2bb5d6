import { Box } from '@chakra-ui/react';
import { useQueries } from '@tanstack/react-query';
import type { Evening } from '@wide-fern/contract';
import { planQuery } from '@wide-fern/client';
import { useHere } from '../../here/session';
import { WordLink } from '../../ui/words';
import type { EvaluatedPlan } from '@wide-fern/plan';
import { openDecisions } from './open';

/** The decisions that are open for an evening, each with its one act. */
export function StillOpen({
  evening,
  item,
  plan,
  clock,
  mayEdit,
}: {
  readonly evening: Evening;
  readonly item: string;
  readonly plan: EvaluatedPlan;
  readonly clock: (moment: number) => string;
  readonly mayEdit: boolean;
}) {
  const { choir } = useHere();
  const others = evening.agenda.filter(
    ({ id, kind }) => id !== item && (kind === 'warm-up' || kind === 'cool-down'),
  );
  const planned = useQueries({
    queries: others.map(({ id }) => planQuery({ choir: choir.id, evening: evening.id, item: id })),
    combine: (results) =>
      results.flatMap(({ data }, i) =>
        data === undefined
          ? []
          : [{ id: others[i]!.id, isEmpty: (data?.document.segments.length ?? 0) === 0 }],
      ),
  });
  const all = openDecisions(evening, {
    item,
    plan,
    planned,
    clock,
    writing: choir.writing,
  });
  // A reader is not told whether small sections are known.
  const open = mayEdit ? all : all.filter(({ id }) => id !== 'nobody');
  return (
    <Box flex="1 1 220px" minW={0}>
      <Box as="h2" fontWeight={650} mb="4px">
        {open.length === 0 ? 'Nothing is open' : `Still open: ${open.length}`}
      </Box>
      <Box as="ul" listStyleType="none" fontSize="13px">
        {open.slice(0, 4).map(({ id, words, act, to }) => (
          <Box as="li" key={id} position="relative" pl="14px" mb="8px">
            <Box
              position="absolute"
              left="0"
              top="6px"
              w="6px"
              h="6px"
              borderRadius="3px"
              bg="spore"
              aria-hidden="true"
            />
            {words}
            {mayEdit && (
              <Box>
                <WordLink fontSize="13px" fontWeight={650} to={to}>
                  {act}
                </WordLink>
              </Box>
            )}
          </Box>
        ))}
      </Box>
    </Box>
  );
}
