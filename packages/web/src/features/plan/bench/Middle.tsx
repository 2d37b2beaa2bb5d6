import { Box, Flex } from '@chakra-ui/react';
import { onOwnPitch, type Section } from '@wide-fern/core';
import {
  breathInWords,
  doneLines,
  ownPitchInWords,
  proposalInWords,
  toldInFigures,
  type Wording,
} from '@wide-fern/words';
import { useState } from 'react';
import { KeyStrip } from '../../../music/keys/KeyStrip';
import { StartWords } from '../../../music/keys/StartWords';
import type { Evaluated, EvaluatedPlan, KeyProposal } from '@wide-fern/plan';
import type { Behind } from '../model/useBehind';
import { WordButton } from '../../../ui/words';
import type { BenchActions } from './actions';
import { KeyByKey } from '../single/KeyByKey';
import { BreathFigure } from './BreathFigure';
import { ChordKeys } from '../../../music/keys/ChordKeys';

/** In how many keys parts do what they were told, and one touch that lets the best be found again. */
function ToldWords({
  segment: {
    choices: { told = {} },
  },
  sections,
  onUntell,
}: {
  readonly segment: Evaluated['segment'];
  readonly sections: readonly Section[];
  readonly onUntell: (part: string | null) => void;
}) {
  const parts = sections.filter(({ id }) => Object.hasOwn(told, id));
  if (parts.length === 0) return null;
  return (
    <Flex gap="0 12px" wrap="wrap" align="baseline" fontSize="13px" mt="2px">
      <Box>By hand: {toldInFigures(told, parts)}.</Box>
      {parts.length > 1 &&
        parts.map(({ id, many }) => (
          <WordButton key={id} fontSize="13px" onClick={() => onUntell(id)}>
            the best for the {many}
          </WordButton>
        ))}
      <WordButton fontSize="13px" onClick={() => onUntell(null)}>
        let the best be found again
      </WordButton>
    </Flex>
  );
}

/** The middle of the bench: the keys, or what is counted, said or moved. */
export function Middle({
  evaluated,
  plan,
  sure,
  wording,
  width,
  mayEdit,
  actions,
  proposal,
  onLeave,
}: {
  readonly evaluated: Evaluated;
  readonly plan: EvaluatedPlan;
  readonly sure: Behind['sure'] | undefined;
  readonly wording: Wording;
  readonly width: number;
  readonly mayEdit: boolean;
  readonly actions: BenchActions;
  readonly proposal: KeyProposal | undefined;
  readonly onLeave: () => void;
}) {
  const [looked, setLooked] = useState<number>();
  const { segment, computed } = evaluated;
  const { music } = segment.exercise;
  const { keys } = computed;
  const { sections } = plan.document.tonight;
  if (music.kind === 'breath') {
    return (
      <>
        <BreathFigure evaluated={evaluated} />
        <Box>{breathInWords(music)}</Box>
      </>
    );
  }
  if (music.kind === 'body' || music.kind === 'spoken') {
    const lines = doneLines(music);
    return (
      <Box as="ol" pl="20px" listStyleType={lines.length > 1 ? 'decimal' : 'none'} mt="4px">
        {lines.map((line) => (
          <Box as="li" key={line} mb="2px" fontSize={music.kind === 'spoken' ? '18px' : '15px'}>
            {line}
          </Box>
        ))}
      </Box>
    );
  }
  if (onOwnPitch(music)) return <Box>{ownPitchInWords(segment.exercise, segment.choices)}</Box>;
  const single = <KeyByKey key={segment.id} {...{ evaluated, wording, mayEdit, actions }} />;
  if (keys.kind === 'chord')
    return (
      <>
        <ChordKeys computed={computed} sections={sections} wording={wording} />
        {single}
      </>
    );
  if (keys.kind !== 'ladder') return null;
  return (
    <KeyStrip
      keys={keys}
      sections={sections}
      sure={sure}
      wording={wording}
      width={width}
      mayEdit={mayEdit}
      onStart={actions.startOn}
      onLook={(tonic) => setLooked(tonic)}
      onTell={actions.tellPart}
      onKeys={(count) => actions.resize(segment.id, count)}
    >
      <StartWords
        keys={keys}
        wording={wording}
        onBest={mayEdit ? () => actions.startOn(null) : undefined}
        looked={looked}
        asked={
          proposal && {
            ...proposalInWords(proposal, wording),
            onDo: () => actions.choose(proposal.choices, `${segment.id} keys`),
            onLeave,
          }
        }
      />
      {mayEdit && <ToldWords {...{ segment, sections }} onUntell={actions.untell} />}
      {single}
    </KeyStrip>
  );
}
