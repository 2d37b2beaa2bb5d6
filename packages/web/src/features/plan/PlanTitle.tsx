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
import { memo, useMemo } from 'react';
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
  const { choir } = useHere();
  const isEmpty = plan.segments.length === 0;
  const canFit = isTooLong(plan) || plan.left >= leastFree;
  const acts = useMemo(
    () => <Acts {...{ evening: evening.id, item, onBuild, onShelf, onFit, isEmpty, canFit }} />,
    [evening.id, item, onBuild, onShelf, onFit, isEmpty, canFit],
  );
  return (
    <TitleLine
      date={dayInWords(evening.startsAt, choir.timeZone)}
      place={evening.place}
      figure={`${lengthInFigures(plan.total)} of ${lengthInFigures(plan.allotted)}`}
      tooLong={isTooLong(plan)}
      sentence={endInWords(plan, start, clock)}
      madeFor={madeForInWords(plan.document.tonight)}
    >
      {acts}
    </TitleLine>
  );
}

/** What can be made of the plan. */
function Acts({
  evening,
  item,
  isEmpty,
  canFit,
  onBuild,
  onShelf,
  onFit,
}: {
  readonly evening: string;
  readonly item: string;
  readonly isEmpty: boolean;
  /** Whether there is time to take or to give. */
  readonly canFit: boolean;
  readonly onBuild: () => void;
  readonly onShelf: () => void;
  readonly onFit: () => void;
}) {
  const { choir, mayEdit } = useHere();
  return (
    <>
      <WordLink to={`/evenings/${evening}/sheet/${item}`} fontSize="13px">
        sheet for the stand
      </WordLink>
      <LedWords place={{ choir: choir.id, evening: evening, item }} />
      {mayEdit && !isEmpty && (
        <WordLink to={`/evenings/${evening}/lead/${item}`} fontSize="13px">
          lead it
        </WordLink>
      )}
      {mayEdit && !isEmpty && canFit && (
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
    </>
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
      <div style={{ fontWeight: 700, whiteSpace: 'nowrap' }}>{words}</div>
      {onAdd && <FromTheShelf onAdd={onAdd} />}
    </>
  );
}

const FromTheShelf = memo(({ onAdd }: { readonly onAdd: () => void }) => (
  <WordButton fontSize="12px" onClick={onAdd}>
    add from the shelf
  </WordButton>
));
