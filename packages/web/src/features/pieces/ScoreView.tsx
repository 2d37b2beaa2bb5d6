import { Box, Flex } from '@chakra-ui/react';
import type { Piece } from '@wide-fern/contract';
import type { Section } from '@wide-fern/core';
import { useCallback, useMemo, useState, type ReactNode } from 'react';
import { useHere } from '../../here/session';
import { Signs, SignsWord, useSigns } from '../../ui/Signs';
import { Label } from '../../ui/words';
import { signsOf } from '../../music/signs';
import { ChosenPanel } from './panel/ChosenPanel';
import { HowSung } from './panel/HowSung';
import { AskedOfPart } from './drawing/AskedOfPart';
import { BarStrip } from './drawing/BarStrip';
import type { ChosenBars } from './model/bars';
import { noteOfPiece, pieceSentence } from '@wide-fern/words';
import { useChosenBars } from './model/useChosenBars';
import type { Asks } from '../../here/score/messages';
import type { ScoreWorker } from '../../here/score/scoreWorker';
import { useAsked } from './score/useAsked';

/** How a lane and its words are wide. */
const laneWidth = 304;

/** What a score asks of each part, bar by bar, and the chosen bars beneath. */
export function ScoreView({
  piece,
  worker,
  sections,
  phrase,
  width,
  head,
}: {
  readonly piece: Piece;
  readonly worker: ScoreWorker;
  readonly sections: readonly Section[];
  readonly phrase: number;
  readonly width: number;
  readonly head: ReactNode;
}) {
  const { choir } = useHere();
  const { score, tempo: storedTempo, transpose: storedTranspose } = piece.piece;
  const [sung, setSung] = useState<{ tempo: number | null; transpose: number }>({
    tempo: storedTempo,
    transpose: storedTranspose,
  });
  const [written, setWritten] = useState<number>();
  const mapping = useMemo(() => score?.mapping ?? [], [score]);
  const pace = sung.tempo !== null && written !== undefined ? sung.tempo / written : 1;
  const setting = useMemo(
    (): Asks['analyse']['asked'] => ({
      mapping,
      sections: sections.map(({ id, comfort }) => ({ id, comfort })),
      pace,
      transpose: sung.transpose,
      phrase,
    }),
    [mapping, sections, pace, sung.transpose, phrase],
  );
  const signs = useSigns('piece');
  const { answer: analysis, error } = useAsked(worker, 'analyse', setting);
  const { chosen, choose } = useChosenBars();
  const [sounding, setSounding] = useState<number>();
  const onBar = useCallback((bar: number | undefined) => setSounding(bar), []);
  if (error) {
    return (
      <>
        {head}
        <Box role="alert">{error}</Box>
      </>
    );
  }
  if (!analysis) {
    return (
      <>
        {head}
        <Box role="status" color="inkSoft">
          Looking through the score …
        </Box>
      </>
    );
  }
  // The score's own tempo is known with its first answer.
  if (written === undefined) setWritten(analysis.tempo);
  const longest = Math.max(
    1,
    ...analysis.parts.flatMap(({ figures }) => Object.values(figures.histogram)),
  );
  const columns = Math.max(1, Math.min(4, Math.floor(width / 290)));
  const shown: ChosenBars | undefined = chosen && {
    from: Math.min(chosen.from, analysis.bars.at(-1)!.number),
    to: Math.min(chosen.to, analysis.bars.at(-1)!.number),
  };
  return (
    <>
      <Flex justify="space-between" align="baseline" gap="16px" wrap="wrap">
        {head}
        <HowSung piece={piece} analysis={analysis} sung={sung} onChange={setSung} />
      </Flex>
      <Box textStyle="name" fontSize="18px" lineHeight="26px" mb="10px" role="status">
        {pieceSentence(analysis, sections, { phrase, writing: choir.writing })}
      </Box>
      <Box
        display="grid"
        gridTemplateColumns={`repeat(${columns}, minmax(0, ${columns === 4 ? `${laneWidth}px` : '1fr'}))`}
        rowGap="14px"
        mb="8px"
      >
        {analysis.parts.map((part, i) => (
          <AskedOfPart
            key={part.part}
            part={part}
            sections={sections}
            longest={longest}
            isFirst={i % columns === 0}
            note={noteOfPiece(analysis, choir.writing)}
          />
        ))}
      </Box>
      <Label mb="2px">
        How hard each bar is for each part, and your own marks. <SignsWord {...signs} />
      </Label>
      <Signs shown={signs} load={signsOf.piece} />
      <BarStrip
        analysis={analysis}
        marks={piece.marks}
        chosen={shown}
        onChoose={choose}
        sounding={sounding}
        width={width}
      />
      <ChosenPanel
        piece={piece}
        worker={worker}
        analysis={analysis}
        sections={sections}
        chosen={shown}
        onChoose={choose}
        pace={pace}
        transpose={sung.transpose}
        width={width}
        onBar={onBar}
      />
    </>
  );
}
