import { Box } from '@chakra-ui/react';
import type { Evening } from '@wide-fern/contract';
import type { EvaluatedPlan } from '@wide-fern/plan';
import {
  dayInWords,
  endInWords,
  isTooLong,
  lengthInFigures,
  madeForInWords,
  type Clock,
} from '@wide-fern/words';
import { LedWords } from '../../here/LedWords';
import { useHere } from '../../here/session';
import { MainButton } from '../../ui/MainButton';
import { WordButton, WordLink } from '../../ui/words';
import { TitleLine } from './TitleLine';

/** Less time free than this, in seconds, is left alone. */
const leastFree = 60;

/** What is planned and when it ends, and what can be made of it. */
export function PlanTitle({
  evening,
  item,
  plan,
  start,
  clock,
  onBuild,
  onShelf,
  onFit,
}: {
  readonly evening: Evening;
  readonly item: string;
  readonly plan: EvaluatedPlan;
  readonly start: number;
  readonly clock: Clock;
  readonly onBuild: () => void;
  readonly onShelf: () => void;
  readonly onFit: () => void;
}) {
  const { choir, mayEdit } = useHere();
  return (
    <TitleLine
      date={dayInWords(evening.startsAt, choir.timeZone)}
      place={evening.place}
      figure={`${lengthInFigures(plan.total)} of ${lengthInFigures(plan.allotted)}`}
      tooLong={isTooLong(plan)}
      sentence={endInWords(plan, start, clock)}
      madeFor={madeForInWords(plan.document.tonight)}
    >
      <WordLink to={`/evenings/${evening.id}/sheet/${item}`} fontSize="13px">
        sheet for the stand
      </WordLink>
      <LedWords place={{ choir: choir.id, evening: evening.id, item }} />
      {mayEdit && plan.segments.length > 0 && (
        <WordLink to={`/evenings/${evening.id}/lead/${item}`} fontSize="13px">
          lead it
        </WordLink>
      )}
      {mayEdit && plan.segments.length > 0 && (isTooLong(plan) || plan.left >= leastFree) && (
        <WordButton fontSize="13px" onClick={onFit}>
          fit to time
        </WordButton>
      )}
      {mayEdit && (
        <WordButton fontSize="13px" onClick={onBuild}>
          build it
        </WordButton>
      )}
      {mayEdit && (
        <MainButton size="xs" onClick={onShelf}>
          Add an exercise
        </MainButton>
      )}
    </TitleLine>
  );
}

/** What stands in the time that nothing fills yet. */
export function FreePlace({
  words,
  onAdd,
}: {
  readonly words: string;
  readonly onAdd: (() => void) | false;
}) {
  return (
    <>
      <Box fontWeight={700} whiteSpace="nowrap">
        {words}
      </Box>
      {onAdd && (
        <WordButton fontSize="12px" onClick={onAdd}>
          add from the shelf
        </WordButton>
      )}
    </>
  );
}
