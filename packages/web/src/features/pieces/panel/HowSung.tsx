import { Box, Flex } from '@chakra-ui/react';
import type { Piece } from '@wide-fern/contract';
import type { PieceAnalysis } from '@wide-fern/core';
import { useState } from 'react';
import { messageOf } from '@wide-fern/client';
import { useHere } from '../../../here/session';
import { Stepper } from '../../../ui/Stepper';
import { Label, WordButton } from '../../../ui/words';
import { bodyOf, storePiece } from '../model/changes';
import { keyInWords, metreInWords, sizeInWords, transposeInWords } from '@wide-fern/words';

/** How fast and how high a piece is sung; everything below follows at once, and can be kept. */
export function HowSung({
  piece,
  analysis,
  sung,
  onChange,
}: {
  readonly piece: Piece;
  readonly analysis: PieceAnalysis;
  readonly sung: { readonly tempo: number | null; readonly transpose: number };
  readonly onChange: (sung: { tempo: number | null; transpose: number }) => void;
}) {
  const { choir, mayEdit } = useHere();
  const [trouble, setTrouble] = useState<string>();
  const [storing, setStoring] = useState(false);
  const { tempo, transpose } = sung;
  const written = Math.round(analysis.tempo * 10) / 10;
  const isChanged = tempo !== piece.piece.tempo || transpose !== piece.piece.transpose;
  const keep = async () => {
    setStoring(true);
    setTrouble(undefined);
    try {
      await storePiece(choir.id, { ...bodyOf(piece), tempo, transpose }, piece);
    } catch (error) {
      setTrouble(messageOf(error));
    } finally {
      setStoring(false);
    }
  };
  const set = (next: Partial<typeof sung>) => onChange({ ...sung, ...next });
  const bars = analysis.bars.filter(({ counted }) => counted).length;
  return (
    <Box fontSize="13px">
      <Flex gap="14px" align="center" wrap="wrap" justify="flex-end">
        <Flex gap="2px" align="center" role="group" aria-label="Key">
          <WordButton
            fontSize="13px"
            px="7px"
            minH="24px"
            aria-label="Sing it a semitone lower"
            disabled={transpose <= -12}
            onClick={() => set({ transpose: transpose - 1 })}
          >
            −
          </WordButton>
          <Box as="span" role="status">
            {keyInWords(analysis.key, transpose, choir.writing)}, {transposeInWords(transpose)}
          </Box>
          <WordButton
            fontSize="13px"
            px="7px"
            minH="24px"
            aria-label="Sing it a semitone higher"
            disabled={transpose >= 12}
            onClick={() => set({ transpose: transpose + 1 })}
          >
            +
          </WordButton>
        </Flex>
        <Stepper
          label=""
          name="Tempo in beats a minute"
          labelWidth="0"
          value={tempo ?? written}
          limits={[20, 240]}
          step={2}
          unit="beats a minute"
          disabled={false}
          onChange={(value) => set({ tempo: value === written ? null : value })}
        />
        <Label as="span">
          {metreInWords(analysis.metre)} · {sizeInWords(bars, analysis.seconds)}
        </Label>
      </Flex>
      {isChanged && (
        <Flex gap="12px" justify="flex-end">
          {mayEdit && (
            <WordButton fontSize="13px" disabled={storing} onClick={() => void keep()}>
              we sing it so
            </WordButton>
          )}
          <WordButton
            fontSize="13px"
            onClick={() => onChange({ tempo: piece.piece.tempo, transpose: piece.piece.transpose })}
          >
            as before
          </WordButton>
        </Flex>
      )}
      {trouble && (
        <Box role="alert" color="brick">
          {trouble}
        </Box>
      )}
    </Box>
  );
}
