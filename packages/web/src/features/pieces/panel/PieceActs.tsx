import { Box, Flex } from '@chakra-ui/react';
import type { Piece } from '@wide-fern/contract';
import { useState } from 'react';
import { useNavigate } from 'react-router';
import { messageOf, callFile } from '@wide-fern/client';
import { useHere } from '../../../here/session';
import { saveFile } from '../../../ui/saveFile';
import { WordButton, WordLink } from '../../../ui/words';
import { removePiece } from '../model/changes';
import { languageInWords } from '@wide-fern/words';

/** What else can be done with a piece: its words changed, its score read anew or handed back, thrown away. */
export function PieceActs({ piece }: { readonly piece: Piece }) {
  const { choir, mayEdit } = useHere();
  const navigate = useNavigate();
  const [asking, setAsking] = useState(false);
  const [trouble, setTrouble] = useState<string>();
  const { score, notes, language } = piece.piece;
  const handBack = async () => {
    setTrouble(undefined);
    try {
      const bytes = await callFile('showScoreFile', {
        params: { choir: choir.id, piece: piece.id },
      });
      saveFile(score!.name, 'application/octet-stream', bytes);
    } catch (error) {
      setTrouble(messageOf(error));
    }
  };
  const remove = async () => {
    setTrouble(undefined);
    try {
      await removePiece(choir.id, piece.id);
      await navigate('/pieces');
    } catch (error) {
      setAsking(false);
      setTrouble(messageOf(error));
    }
  };
  return (
    <Box flex="1 1 280px" fontSize="13px">
      <Box as="h2" fontWeight={650} fontSize="15px" mb="4px">
        About it
      </Box>
      {language && <Box>Sung in {languageInWords(language)}.</Box>}
      {notes && (
        <Box whiteSpace="pre-wrap" maxW="68ch" mb="6px">
          {notes}
        </Box>
      )}
      {score && (
        <Box mb="4px">
          Its score: {score.name}, {Math.max(1, Math.round(score.size / 1000))} kB.{' '}
          <WordButton fontSize="13px" onClick={() => void handBack()}>
            hand it back
          </WordButton>
        </Box>
      )}
      {mayEdit && (
        <Flex gap="14px" wrap="wrap">
          <WordLink to={`/pieces/${piece.id}/change`}>change its words</WordLink>
          <WordLink to={`/pieces/read?piece=${piece.id}`}>
            {score ? 'read another score, or say anew who sings what' : 'read its score'}
          </WordLink>
          <WordButton fontSize="13px" onClick={() => setAsking(true)}>
            throw it away
          </WordButton>
        </Flex>
      )}
      {trouble && (
        <Box role="alert" color="brick">
          {trouble}
        </Box>
      )}
      {asking && (
        <Box role="group" aria-label="Throw it away" mt="6px" maxW="60ch">
          Its score, {piece.marks.length} marks and {piece.judgements.length} judgements go with it
          and cannot be brought back. Exercises made of it stay; evenings keep its title.
          <Flex gap="14px" mt="4px">
            <WordButton fontSize="13px" color="brick" onClick={() => void remove()}>
              throw it away for good
            </WordButton>
            <WordButton fontSize="13px" onClick={() => setAsking(false)}>
              keep it
            </WordButton>
          </Flex>
        </Box>
      )}
    </Box>
  );
}
