import { Box } from '@chakra-ui/react';
import { chanceInWords, countInWords, formFor, planRows, rowStateInWords } from '@wide-fern/words';
import { useHere } from '../../../here/session';
import { MainButton } from '../../../ui/MainButton';
import { Label, WordButton } from '../../../ui/words';
import type { RowsLayout } from './drawing/rowLayout';
import type { DrawnRow } from './model/useDrawn';
import type { Proposing } from './model/useProposals';
import { ProposalRow } from './ProposalRow';
import { Worth } from './SegmentWhy';

/** A plan that was built: when it ends, what it is worth, and the way to take it. */
export function BuiltRow({
  label,
  drawn: { row, evaluated },
  layout,
  isOpen,
  proposing,
  onOpen,
}: {
  readonly label: string;
  readonly drawn: DrawnRow;
  readonly layout: RowsLayout;
  readonly isOpen: boolean;
  readonly proposing: Proposing;
  readonly onOpen: () => void;
}) {
  const { writing } = useHere().choir;
  const { building, start, clock, chosen, pinned, toggle, takeWhole } = proposing;
  const { plan, bound, isFinal } = row;
  const ends = clock.drawn.second(start + Math.round(evaluated.total) * 1000);
  return (
    <ProposalRow
      {...{ label, layout, isOpen, writing, pinned }}
      plan={evaluated}
      chosen={chosen?.row === label ? chosen.segment : undefined}
      onChoose={(segment) => {
        onOpen();
        toggle(label, segment);
      }}
      under={
        <>
          <Box fontWeight={650}>worth {plan.points}</Box>
          <Label as="span" fontSize="12px">
            {rowStateInWords({
              more: isFinal
                ? plan.bound - plan.points
                : bound === undefined
                  ? undefined
                  : bound - plan.points,
              isFinal,
              isStopped: building.state === 'stopped',
            })}
          </Label>
        </>
      }
      beside={
        <>
          <Box fontWeight={650}>ends {ends}</Box>
          <Label mb="4px">{chanceInWords(evaluated.chanceOnTime)}</Label>
          {isOpen ? (
            <>
              <MainButton size="sm" onClick={() => takeWhole(plan)}>
                Take it whole
              </MainButton>
              <Box mt="6px">
                <Worth
                  rows={planRows(plan)}
                  sum={plan.points}
                  label={`What the ${label} is worth`}
                />
              </Box>
            </>
          ) : (
            <WordButton fontSize="13px" onClick={onOpen}>
              open it
            </WordButton>
          )}
        </>
      }
    />
  );
}

/** The present plan, weighed like the others; what stays of it is in green. */
export function PresentRow({
  layout,
  proposing,
  onLeave,
}: {
  readonly layout: RowsLayout;
  readonly proposing: Proposing;
  readonly onLeave: () => void;
}) {
  const { writing } = useHere().choir;
  const { building, present, start, clock, chosen, pinned, toggle } = proposing;
  return (
    <ProposalRow
      label="now"
      {...{ layout, writing, pinned }}
      isOpen={false}
      plan={present}
      chosen={chosen?.row === 'now' ? chosen.segment : undefined}
      onChoose={(segment) => toggle('now', segment)}
      under={building.present && <Label as="span">worth {building.present.points}</Label>}
      beside={
        <>
          <Box fontWeight={650}>
            ends {clock.drawn.second(start + Math.round(present.total) * 1000)}
          </Box>
          <Label>
            {pinned.size === 0
              ? 'Choose a segment to keep it as it is.'
              : `${countInWords(pinned.size)} ${formFor(pinned.size, 'stays', 'stay')}, in green`}
          </Label>
          <WordButton fontSize="13px" onClick={onLeave}>
            keep it
          </WordButton>
        </>
      }
    />
  );
}
