import { Box, Flex } from '@chakra-ui/react';
import { messageOf } from '@wide-fern/client';
import type { Evening, Exercise, PlanDocument, Segment } from '@wide-fern/contract';
import {
  insteadFor,
  itemTime,
  likenesses,
  nothingAsked,
  requestOf,
  type Instead as Other,
} from '@wide-fern/plan';
import { insteadInWords, keyPaths, likenessWords, wordingFor } from '@wide-fern/words';
import { useMemo } from 'react';
import { candidate } from '@wide-fern/plan';
import { useHere } from '../../../here/session';
import { Failed, Loading } from '../../../ui/states';
import { Label, Name, WordButton } from '../../../ui/words';
import { useKnown } from '../../../here/useKnown';

interface Asked {
  readonly evening: Evening;
  readonly item: string;
  readonly document: PlanDocument;
  readonly segment: Segment;
  readonly onTake: (exercise: Exercise, isNew: boolean) => void;
}

/** What could stand in the chosen segment's place: of its family, easier, much the same, harder. */
export function Instead({ onClose, ...asked }: Asked & { readonly onClose: () => void }) {
  const { evening, item, document, segment } = asked;
  const { allotted } = useMemo(() => itemTime(evening, item), [evening, item]);
  const state = useKnown(evening, item, document, allotted);
  return (
    <Box
      as="section"
      aria-label={`Instead of ${segment.exercise.name}`}
      px={{ base: '16px', md: '24px' }}
      pt="10px"
      pb="16px"
      onKeyDown={(event) => {
        if (event.key === 'Escape') onClose();
      }}
    >
      <Flex gap="16px" wrap="wrap" align="baseline" mb="6px">
        <Name as="h2" fontSize="18px">
          Instead of {segment.exercise.name}
        </Name>
        <WordButton ml="auto" fontSize="13px" onClick={onClose}>
          back to the bench
        </WordButton>
      </Flex>
      {state.kind === 'loading' && <Loading what="your exercises" />}
      {state.kind === 'failed' && <Failed message={messageOf(state.error)} onRetry={state.retry} />}
      {state.kind === 'ready' && <Others {...asked} state={state} />}
    </Box>
  );
}

function Others({
  document,
  segment,
  onTake,
  state: { known, exercises },
}: Asked & { readonly state: Extract<ReturnType<typeof useKnown>, { kind: 'ready' }> }) {
  const found = useMemo(() => {
    const request = requestOf(known, nothingAsked);
    const hidden = new Set(request.excluded);
    const inPlan = new Set(document.segments.map(({ exercise }) => exercise.id));
    const shelved = [...exercises.values()].filter(({ id }) => !hidden.has(id));
    return insteadFor(segment, shelved, request, inPlan);
  }, [known, exercises, document, segment]);
  if (found.length === 0) {
    return (
      <Box>
        Nothing else does the same work tonight. Look on the shelf, or let the planner build around
        it.
      </Box>
    );
  }
  return (
    <Box columnWidth="300px" columnGap="28px">
      {likenesses.map((likeness) => {
        const here = found.filter((one) => one.likeness === likeness);
        if (here.length === 0) return null;
        return (
          <Box key={likeness} mb="10px" breakInside="avoid">
            <Label as="h3" fontWeight={650} borderBottomWidth="1px">
              {likenessWords[likeness]}
            </Label>
            <Box as="ul" listStyleType="none">
              {here.map((one) => (
                <Row key={one.exercise.id} {...{ one, document, onTake }} />
              ))}
            </Box>
          </Box>
        );
      })}
    </Box>
  );
}

/** One that could stand there: its keys tonight, and what it would change. */
function Row({
  one,
  document: { tonight },
  onTake,
}: Pick<Asked, 'document' | 'onTake'> & { readonly one: Other }) {
  const { writing } = useHere().choir;
  const { exercise, isNew } = one;
  const paths = useMemo(() => {
    const wording = wordingFor(tonight.sections, { exercise }, writing);
    return keyPaths(candidate(exercise, tonight).keys, wording);
  }, [exercise, tonight, writing]);
  const effect = insteadInWords(one);
  return (
    <Box as="li">
      <Box
        as="button"
        aria-label={`Take ${exercise.name} instead: ${effect}`}
        onClick={() => onTake(exercise, isNew)}
        display="grid"
        gridTemplateColumns="1fr auto"
        columnGap="8px"
        w="100%"
        minH={{ base: '44px', md: '36px' }}
        py="3px"
        textAlign="left"
        fontSize="13px"
        cursor="pointer"
        _hover={{ bg: 'sunk' }}
      >
        <Name as="span" fontSize="15px">
          {exercise.name}
        </Name>
        <Box as="span" whiteSpace="nowrap">
          {paths.join(', ')}
        </Box>
        <Box as="span" gridColumn="1 / -1" color="inkSoft">
          {effect}
          {isNew && '; new to your choir'}
        </Box>
      </Box>
    </Box>
  );
}
