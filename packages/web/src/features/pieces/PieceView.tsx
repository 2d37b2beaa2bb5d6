import { Box, Flex } from '@chakra-ui/react';
import type { Piece } from '@wide-fern/contract';
import type { Section } from '@wide-fern/core';
import { useRef } from 'react';
import { useHere } from '../../here/session';
import { useWidth } from '../../ui/useSize';
import { Label, Name, WordButton, WordLink } from '../../ui/words';
import { AskedByHand } from './AskedByHand';
import { ScoreView } from './ScoreView';
import { Judgements } from './panel/Judgements';
import { PieceActs } from './panel/PieceActs';
import { usePieceScore } from './score/usePieceScore';
import { lazily } from '../../ui/lazily';

// What few pieces have is fetched when a piece is looked at.
const Together = lazily(() => import('./together/Together'));

/** A piece with its score on its way, or typed by hand; below it how its runs were judged. */
export function PieceView({
  piece,
  sections,
  phrase,
}: {
  readonly piece: Piece;
  readonly sections: readonly Section[];
  readonly phrase: number;
}) {
  const { choir, mayEdit } = useHere();
  const frame = useRef<HTMLDivElement>(null);
  const width = useWidth(frame);
  const score = usePieceScore(choir.id, piece);
  const { title, composer } = piece.piece;
  const margin = width < 700 ? 16 : 40;
  const head = (
    <Flex align="baseline" gap="12px" wrap="wrap">
      <Name
        as="h1"
        fontSize={{ base: '24px', md: '34px' }}
        lineHeight={{ base: '30px', md: '42px' }}
      >
        {title}
      </Name>
      {composer && <Label as="span">{composer}</Label>}
    </Flex>
  );
  return (
    <Box ref={frame} px={`${margin}px`} pt="12px" pb="32px">
      {score.kind === 'ready' ? (
        <ScoreView
          piece={piece}
          worker={score.worker}
          sections={sections}
          phrase={phrase}
          width={width - 2 * margin}
          head={head}
        />
      ) : (
        <>
          {head}
          {score.kind === 'reading' && (
            <Box role="status" color="inkSoft" mt="8px">
              Reading the score … {score.share > 0 && `${Math.round(score.share * 100)} %`}
            </Box>
          )}
          {score.kind === 'failed' && (
            <Box role="alert" mt="8px">
              {score.message} <WordButton onClick={score.retry}>try again</WordButton>
            </Box>
          )}
          <AskedByHand piece={piece} sections={sections} />
          {score.kind === 'none' && mayEdit && (
            <Box mt="12px" maxW="68ch">
              With a score the longest phrases, the widest leaps and the hard bars are seen, heard
              and made into exercises.{' '}
              <WordLink to={`/pieces/read?piece=${piece.id}`}>Read its score</WordLink>
            </Box>
          )}
        </>
      )}
      <Flex gap="40px" wrap="wrap" mt="20px" pt="14px" borderTopWidth="1px" borderColor="ink">
        <Box flex="1 1 440px" minW={0}>
          <Judgements piece={piece} />
          <Together piece={piece} />
        </Box>
        <PieceActs piece={piece} />
      </Flex>
    </Box>
  );
}
