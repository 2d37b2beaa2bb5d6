import { Box, Flex } from '@chakra-ui/react';
import type { Piece } from '@wide-fern/contract';
import type { Demand, PieceAnalysis } from '@wide-fern/core';
import { messageOf } from '@wide-fern/client';
import { useHere } from '../../../here/session';
import { Label, WordButton } from '../../../ui/words';
import type { ChosenBars } from '../model/bars';
import { useMarks } from '../model/changes';
import { demandInWords } from '@wide-fern/words';

/** The skills that the figures suggest, with their bars: offered, not decided. */
export function Demands({
  piece,
  analysis,
  onChoose,
}: {
  readonly piece: Piece;
  readonly analysis: PieceAnalysis;
  readonly onChoose: (bars: ChosenBars) => void;
}) {
  const { choir, mayEdit } = useHere();
  const { add } = useMarks(choir.id, piece.id);
  const isMarked = ({ skill, fromBar, toBar }: Demand) =>
    piece.marks.some(
      (mark) => mark.skill === skill && mark.fromBar <= toBar && mark.toBar >= fromBar,
    );
  if (analysis.demands.length === 0) {
    return <Label>Nothing in the figures stands out for tonight’s voices.</Label>;
  }
  return (
    <Box
      maxH="320px"
      overflowY="auto"
      tabIndex={0}
      role="group"
      aria-label="What the figures suggest"
    >
      {add.error && (
        <Box role="alert" color="brick" fontSize="13px">
          {messageOf(add.error)}
        </Box>
      )}
      <Box as="ul" listStyleType="none">
        {analysis.demands.map((demand) => {
          const { kind, skill, parts, fromBar, toBar } = demand;
          return (
            <Flex
              as="li"
              key={`${kind} ${parts.join()} ${fromBar}`}
              gap="10px"
              fontSize="13px"
              mb="3px"
            >
              <Box flex="1">
                <b>{parts.join(' ')}</b> {demandInWords(demand)}
                <Box as="span" color="inkSoft">
                  {' '}
                  · {skill}
                </Box>
              </Box>
              <WordButton fontSize="13px" onClick={() => onChoose({ from: fromBar, to: toBar })}>
                choose
              </WordButton>
              {mayEdit &&
                (isMarked(demand) ? (
                  <Label as="span" w="52px">
                    marked
                  </Label>
                ) : (
                  <WordButton
                    fontSize="13px"
                    w="52px"
                    textAlign="left"
                    disabled={add.isPending}
                    onClick={() =>
                      add.mutate({ fromBar, toBar, parts: [...parts], skill, note: '' })
                    }
                  >
                    mark it
                  </WordButton>
                ))}
            </Flex>
          );
        })}
      </Box>
    </Box>
  );
}
