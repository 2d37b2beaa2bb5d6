import type { Evening, Exercise } from '@wide-fern/contract';
import { leftAlone, type Proposal } from '@wide-fern/plan';
import { useHere } from '../../../here/session';
import { WordButton } from '../../../ui/words';
import type { Proposing } from './model/useProposals';
import { SegmentWhy } from './SegmentWhy';

/** The reasons of the segment that is chosen in a row; nothing where none is. */
export function ReasonsOf({
  row,
  plan,
  ids,
  exercises,
  wishes,
  proposing,
}: {
  readonly row: string;
  readonly plan: Proposal;
  /** The ids of the row's segments, in the order of the plan. */
  readonly ids: readonly string[];
  readonly exercises: ReadonlyMap<string, Exercise>;
  readonly wishes: Evening['wishes'];
  readonly proposing: Proposing;
}) {
  const { writing } = useHere().choir;
  const { chosen, request, document, pinned, pin, takeAcross, notTonight, close } = proposing;
  if (chosen?.row !== row) return null;
  const segment = plan.segments[ids.indexOf(chosen.segment)];
  const exercise = segment && exercises.get(segment.exercise);
  if (!segment || !exercise) return null;
  const { id, name, cue } = exercise;
  const here = segment.segment;
  const { tonight, ledAgo, givenUp = {} } = request;
  const given = givenUp[id] ?? [];
  const kept =
    given.length === 0 ? [] : leftAlone({ id, exercise, choices: segment.choices }, tonight, given);
  return (
    <SegmentWhy
      {...{ segment, name, cue }}
      context={{ tonight, wishes, ledAgo, writing, leftAlone: kept }}
      onClose={close}
    >
      {here !== null ? (
        <WordButton fontSize="13px" onClick={() => pin(here, !pinned.has(here))}>
          {pinned.has(here) ? 'let it be changed' : 'it stays as it is'}
        </WordButton>
      ) : (
        !document.segments.some((one) => one.exercise.id === id) && (
          <WordButton fontSize="13px" onClick={() => takeAcross(plan, id)}>
            take only this into the plan
          </WordButton>
        )
      )}
      <WordButton fontSize="13px" onClick={() => notTonight(id)}>
        not tonight
      </WordButton>
    </SegmentWhy>
  );
}
