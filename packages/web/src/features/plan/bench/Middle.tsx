import { Box, Flex } from '@chakra-ui/react';
import {
  chosenStartInWords,
  infeasibleInWords,
  tonicName,
  type SegmentKeys,
  type Wording,
} from '@wide-fern/core';
import { WordButton } from '../../../ui/words';
import { KeyStrip } from './KeyStrip';
import type { Evaluated, EvaluatedPlan } from '../model/evaluate';
import { breathInWords } from '../model/words';
import type { BenchActions } from './actions';
import { BreathFigure } from './BreathFigure';
import { ChordKeys } from './ChordKeys';

/** The middle of the bench: the keys, or what is counted, said or moved. */
export function Middle({
  evaluated,
  plan,
  wording,
  width,
  mayEdit,
  actions,
}: {
  readonly evaluated: Evaluated;
  readonly plan: EvaluatedPlan;
  readonly wording: Wording;
  readonly width: number;
  readonly mayEdit: boolean;
  readonly actions: BenchActions;
}) {
  const { segment, computed } = evaluated;
  const { music } = segment.exercise;
  const { keys } = computed;
  const { bands } = plan.document.tonight;
  if (music.kind === 'breath') {
    return (
      <>
        <BreathFigure evaluated={evaluated} />
        <Box>{breathInWords(music)}</Box>
      </>
    );
  }
  if (music.kind === 'body' || music.kind === 'spoken') {
    const lines = music.kind === 'body' ? music.moves : music.lines;
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
  if (keys.kind === 'chord')
    return <ChordKeys evaluated={evaluated} plan={plan} wording={wording} />;
  if (keys.kind !== 'ladder') return null;
  const { best } = keys;
  const start = (tonic: number | null) => actions.choose({ start: tonic }, `${segment.id} start`);
  return (
    <KeyStrip
      keys={keys}
      bands={bands}
      wording={wording}
      width={width}
      mayEdit={mayEdit}
      onStart={(tonic) => start(best.kind === 'ladder' && tonic === best.start ? null : tonic)}
    >
      <StartWords
        keys={keys}
        chosen={segment.choices.start}
        wording={wording}
        onBest={mayEdit ? () => start(null) : undefined}
      />
    </KeyStrip>
  );
}

/** What is to be said of the start in force: the best one, what another costs, or why none works. */
function startInWords(
  { best, sung, problem }: Extract<SegmentKeys, { kind: 'ladder' }>,
  chosen: number | null,
  wording: Wording,
): string {
  const name = (tonic: number) => tonicName(tonic, wording.mode, wording.accidentals);
  if (best.kind === 'infeasible') return infeasibleInWords(best, problem, wording);
  if (!sung) {
    return `Nobody can start on ${name(chosen ?? 0)}: it leaves a part’s reach in too many keys.`;
  }
  if (sung.start === best.start) return `Best start ${name(best.start)}.`;
  return chosenStartInWords(sung, best, problem, wording);
}

function StartWords({
  keys,
  chosen,
  wording,
  onBest,
}: {
  readonly keys: Extract<SegmentKeys, { kind: 'ladder' }>;
  readonly chosen: number | null;
  readonly wording: Wording;
  readonly onBest: (() => void) | undefined;
}) {
  const { best, sung } = keys;
  const isBest = best.kind === 'ladder' && sung?.start === best.start;
  return (
    <Flex fontSize="13px" gap="8px" align="baseline" role="status" mt="8px">
      <Box
        w="6px"
        h="6px"
        borderRadius="50%"
        bg={isBest ? 'fern' : sung ? 'spore' : 'brick'}
        flexShrink={0}
        position="relative"
        top="-2px"
      />
      <Box>
        {startInWords(keys, chosen, wording)}{' '}
        {!isBest && best.kind === 'ladder' && onBest && (
          <WordButton fontSize="13px" onClick={onBest}>
            take the best, {tonicName(best.start, wording.mode, wording.accidentals)}
          </WordButton>
        )}
      </Box>
    </Flex>
  );
}
