import { Box, Flex } from '@chakra-ui/react';
import { choiceLimits } from '@wide-fern/contract';
import { hasKeys, type NoteWriting, type PlaceNeed } from '@wide-fern/core';
import { sungWords, ladderHeading, wordingFor } from '@wide-fern/words';
import type { ReactNode } from 'react';
import { Label, Name, WordButton } from '../../../ui/words';
import type { Evaluated, EvaluatedPlan, KeyProposal } from '@wide-fern/plan';
import { PatternFigure } from '../../../music/figures/PatternFigure';
import type { Behind } from '../model/useBehind';
import type { SegmentHearing } from '../model/useSegmentHearing';
import type { BenchActions } from './actions';
import { Choosing } from './Choosing';
import { Middle } from './Middle';
import { TogetherWords, type Together } from './Together';
import { WholeSegment } from './WholeSegment';
import { Words } from './Words';

/** Where the chosen segment is worked on. */
export function Bench({
  evaluated,
  plan,
  behind,
  forbids,
  writing,
  phraseSeconds,
  mayEdit,
  width,
  hearing,
  actions,
  together,
  proposal,
  learned,
  elsewhere,
  onLeave,
}: {
  readonly evaluated: Evaluated;
  readonly plan: EvaluatedPlan;
  /** What lies behind keys and times; not there yet while it is fetched. */
  readonly behind: Behind | undefined;
  /** What the place does not allow. */
  readonly forbids: readonly PlaceNeed[];
  readonly writing: NoteWriting;
  readonly phraseSeconds: number;
  readonly mayEdit: boolean;
  readonly width: number;
  readonly hearing: SegmentHearing;
  readonly actions: BenchActions;
  /** What is chosen together with it, where anything is. */
  readonly together: Together | undefined;
  /** What would become of its keys, while that is only asked. */
  readonly proposal: KeyProposal | undefined;
  /** What leading it has taught, as a row of its words. */
  readonly learned?: ReactNode;
  /** Where else it can go, below what is done to it as a whole. */
  readonly elsewhere?: ReactNode;
  readonly onLeave: () => void;
}) {
  const { segment } = evaluated;
  const { exercise } = segment;
  const wording = wordingFor(plan.document.tonight.sections, segment, writing);
  const stacked = width < 860;
  const left = stacked ? width - 32 : Math.min(336, width * 0.27);
  const middle = stacked ? width - 32 : Math.min(480, width * 0.39);
  return (
    <Box
      as="section"
      aria-label={`Bench: ${exercise.name}`}
      display="grid"
      gridTemplateColumns={stacked ? '1fr' : `${left}px ${middle}px 1fr`}
      gap={stacked ? '16px' : '28px'}
      px={stacked ? '16px' : '24px'}
      pt="10px"
      pb="16px"
    >
      {together && <TogetherWords {...together} />}
      <Box>
        <Flex align="baseline" gap="10px" wrap="wrap">
          <Name as="h2" fontSize="18px">
            {exercise.name}
          </Name>
          <Label as="span">{exercise.figure}</Label>
          {hearing.canBeHeard && (
            <WordButton fontSize="13px" aria-pressed={hearing.isOn} onClick={hearing.toggle}>
              {hearing.isOn ? 'be silent' : 'hear it'}
            </WordButton>
          )}
        </Flex>
        {hearing.failed && (
          <Box role="alert" color="brick" fontSize="13px">
            {hearing.failed}
          </Box>
        )}
        {hasKeys(exercise.music) && (
          <>
            <PatternFigure music={exercise.music} width={left} height={46} />
            <Label>{sungWords(exercise.music, exercise.passes)}</Label>
          </>
        )}
        <Choosing evaluated={evaluated} mayEdit={mayEdit} actions={actions} />
      </Box>
      <Box>
        <Flex align="baseline" gap="12px" wrap="wrap" fontSize="13px">
          <Box fontWeight={650}>{ladderHeading(segment)}</Box>
          {evaluated.computed.keys.kind === 'ladder' && (
            <Label as="span" fontSize="12px">
              open is room, filled is none
            </Label>
          )}
          {hasKeys(exercise.music) && mayEdit && (
            <Flex gap="12px" ml="auto">
              <WordButton
                fontSize="13px"
                onClick={() => actions.keysBy(-1)}
                disabled={segment.choices.repetitions <= choiceLimits.repetitions[0]}
              >
                − one key
              </WordButton>
              <WordButton
                fontSize="13px"
                onClick={() => actions.keysBy(1)}
                disabled={segment.choices.repetitions >= choiceLimits.repetitions[1]}
              >
                + one key
              </WordButton>
            </Flex>
          )}
        </Flex>
        <Middle
          evaluated={evaluated}
          plan={plan}
          sure={behind?.sure}
          wording={wording}
          width={middle}
          mayEdit={mayEdit}
          actions={actions}
          proposal={proposal}
          onLeave={onLeave}
        />
      </Box>
      <Box>
        <Words
          evaluated={evaluated}
          tonight={plan.document.tonight}
          forbids={forbids}
          wording={wording}
          writing={writing}
          phraseSeconds={phraseSeconds}
          load={behind?.load}
          learned={learned}
        />
        {mayEdit && <WholeSegment segment={segment} actions={actions} />}
        {mayEdit && elsewhere}
      </Box>
    </Box>
  );
}
