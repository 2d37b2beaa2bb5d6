import { Box, Flex } from '@chakra-ui/react';
import type { Piece } from '@wide-fern/contract';
import { troubledPart, type Section, type PieceAnalysis } from '@wide-fern/core';
import { useMemo, useState } from 'react';
import { useHere } from '../../../here/session';
import { lazily, missing } from '../../../ui/lazily';
import { Label, WordButton } from '../../../ui/words';
import type { ChosenBars } from '../model/bars';
import type { Asks } from '../../../here/score/messages';
import type { ScoreWorker } from '../../../here/score/scoreWorker';
import { useAsked } from '../score/useAsked';
import { BarsField } from './BarsField';
import { Demands } from './Demands';
import { HearPiece } from './HearPiece';
import { MakeExercise } from './MakeExercise';
import { MarkBars } from './MarkBars';

const ScoreStaff = lazily(() => import('../../../music/notation/ScoreStaff'), {
  room: <Label>Fetching the notation …</Label>,
  absent: missing('The notation'),
});

/** More bars than this are not engraved at once. */
const mostEngraved = 16;
const acts = ['make an exercise', 'mark trouble', 'what the figures suggest'] as const;

/** The places of printed bars in the score. */
function placesOf(
  analysis: PieceAnalysis,
  { from, to }: ChosenBars,
): readonly [from: number, to: number] {
  const first = analysis.bars.findIndex(({ number }) => number >= from);
  const last = analysis.bars.findLastIndex(({ number }) => number <= to);
  return [Math.max(0, first), Math.max(first, last)];
}

/** The chosen bars: in notation, to be heard, marked, and made into an exercise. */
export function ChosenPanel({
  piece,
  worker,
  analysis,
  sections,
  chosen,
  onChoose,
  pace,
  transpose,
  width,
  onBar,
}: {
  readonly piece: Piece;
  readonly worker: ScoreWorker;
  readonly analysis: PieceAnalysis;
  readonly sections: readonly Section[];
  readonly chosen: ChosenBars | undefined;
  readonly onChoose: (bars: ChosenBars) => void;
  readonly pace: number;
  readonly transpose: number;
  readonly width: number;
  readonly onBar: (bar: number | undefined) => void;
}) {
  const { choir, mayEdit } = useHere();
  const [act, setAct] = useState<(typeof acts)[number]>('make an exercise');
  const mapping = piece.piece.score!.mapping;
  const places = useMemo(
    () => (chosen ? placesOf(analysis, chosen) : undefined),
    [analysis, chosen],
  );
  const engraved = useMemo((): Asks['bars']['asked'] | undefined => {
    if (!places) return undefined;
    return {
      mapping,
      sections: sections.map(({ id, many, octave, comfort }) => ({ id, many, octave, comfort })),
      places: [places[0], Math.min(places[1], places[0] + mostEngraved - 1)],
      transpose,
    };
  }, [mapping, sections, places, transpose]);
  const { answer: score } = useAsked(worker, 'bars', engraved);
  const numbers = useMemo(
    () =>
      engraved && {
        numbers: analysis.bars
          .slice(engraved.places[0], engraved.places[1] + 1)
          .map(({ number }) => number),
      },
    [engraved, analysis.bars],
  );
  const beside = width >= 900;
  const mayDo = mayEdit ? acts : acts.slice(2);
  const shownAct = mayEdit ? act : 'what the figures suggest';
  return (
    <Flex mt="14px" gap="32px" align="flex-start" direction={beside ? 'row' : 'column'}>
      <Box flex={beside ? '1 1 66%' : '1'} minW={0} w="100%">
        <HearPiece
          piece={piece}
          worker={worker}
          analysis={analysis}
          sections={sections}
          chosen={chosen}
          pace={pace}
          transpose={transpose}
          onBar={onBar}
        />
        {chosen && places ? (
          <Box bg="sheet" borderWidth="1px" p="8px" mt="8px" minH="180px">
            {score && <ScoreStaff score={score} writing={choir.writing} closed={numbers} />}
            {places[1] - places[0] + 1 > mostEngraved && (
              <Label>The first {mostEngraved} of the chosen bars are shown.</Label>
            )}
          </Box>
        ) : (
          <Label mt="12px">
            Choose bars above to see them in notation, mark them, or make an exercise of them.
          </Label>
        )}
      </Box>
      <Box flex={beside ? '0 0 368px' : '1'} w="100%">
        <BarsField analysis={analysis} chosen={chosen} onChoose={onChoose} />
        <Flex gap="14px" mb="8px" wrap="wrap">
          {mayDo.map((one) => (
            <WordButton
              key={one}
              fontSize="13px"
              aria-pressed={shownAct === one}
              fontWeight={shownAct === one ? 700 : 400}
              color={shownAct === one ? 'ink' : 'fern'}
              onClick={() => setAct(one)}
            >
              {one}
            </WordButton>
          ))}
        </Flex>
        {shownAct === 'what the figures suggest' && (
          <Demands piece={piece} analysis={analysis} onChoose={onChoose} />
        )}
        {shownAct === 'mark trouble' && (
          <MarkBars
            piece={piece}
            analysis={analysis}
            sections={sections}
            chosen={chosen}
            onChoose={onChoose}
          />
        )}
        {shownAct === 'make an exercise' &&
          (chosen && places ? (
            <MakeExercise
              key={`${chosen.from}-${chosen.to}`}
              piece={piece}
              worker={worker}
              sections={sections}
              chosen={chosen}
              places={places}
              troubled={troubledPart(analysis, piece.marks, chosen)}
              transpose={transpose}
            />
          ) : (
            <Label>Choose the bars first, above.</Label>
          ))}
      </Box>
    </Flex>
  );
}
