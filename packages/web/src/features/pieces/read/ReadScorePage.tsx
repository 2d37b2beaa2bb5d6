import { Box, Flex } from '@chakra-ui/react';
import { useQuery } from '@tanstack/react-query';
import { callFile, messageOf, pieceQuery, voicesQuery } from '@wide-fern/client';
import { largestScoreFile } from '@wide-fern/contract';
import { useSearchParams } from 'react-router';
import { Frame } from '../../../here/Frame';
import { useHere } from '../../../here/session';
import { Empty, Failed, Loading } from '../../../ui/states';
import { Name, WordButton, WordLink } from '../../../ui/words';
import { ChooseScore, OpeningState } from './ChooseScore';
import { MapScore } from './MapScore';
import { useOpenScore } from './useOpenScore';

/** Reading a score: choose the file, see what was found in it, say who sings what, keep it. */
export default function ReadScorePage() {
  const { choir, mayEdit } = useHere();
  const [params] = useSearchParams();
  const id = params.get('piece') ?? undefined;
  const piece = useQuery({ ...pieceQuery(choir.id, id ?? ''), enabled: id !== undefined });
  const voices = useQuery(voicesQuery(choir.id));
  const { name, state, open, read, cancel } = useOpenScore();
  if (!mayEdit) {
    return (
      <Frame place="Pieces">
        <Empty title="Scores are read in by those who lead">
          <WordLink to="/pieces">Look at the pieces</WordLink>
        </Empty>
      </Frame>
    );
  }
  const error = voices.error ?? piece.error;
  if (!voices.data || (id !== undefined && !piece.data)) {
    return (
      <Frame place="Pieces">
        {error ? (
          <Failed
            message={messageOf(error)}
            onRetry={() => {
              void voices.refetch();
              void piece.refetch();
            }}
          />
        ) : (
          <Loading what="the parts" />
        )}
      </Frame>
    );
  }
  const kept = piece.data?.piece.score;
  const keptFile = () =>
    callFile('showScoreFile', { params: { choir: choir.id, piece: piece.data!.id } });
  return (
    <Frame place="Pieces">
      <Box px={{ base: '16px', md: '40px' }} pt="14px" pb="32px" maxW="1280px">
        <Flex align="baseline" gap="16px" mb="8px" wrap="wrap">
          <Name as="h1" fontSize="24px">
            {piece.data ? `A score for “${piece.data.piece.title}”` : 'Read a score'}
          </Name>
          <WordLink to={id ? `/pieces/${id}` : '/pieces'} fontSize="13px">
            {id ? 'back to the piece' : 'all pieces'}
          </WordLink>
        </Flex>
        {state.kind !== 'read' && (
          <Box maxW="68ch" mb="12px">
            A choir score as MusicXML, plain or compressed, or as a MIDI file: four staves, two
            staves that parts share, with or without accompaniment. You then say which line is which
            part. Files up to {largestScoreFile / 1_000_000} MB; the file itself is kept.
          </Box>
        )}
        <ChooseScore isRead={state.kind === 'read'} onFile={read}>
          {kept && state.kind === 'none' && (
            <WordButton onClick={() => void open(kept.name, keptFile, undefined)}>
              or say anew who sings what in {kept.name}
            </WordButton>
          )}
        </ChooseScore>
        <OpeningState name={name} state={state} onCancel={cancel} />
        {state.kind === 'read' && (
          <MapScore
            key={name}
            name={name}
            file={state.file}
            found={state.found}
            worker={state.worker}
            sections={voices.data.sections}
            piece={piece.data}
          />
        )}
      </Box>
    </Frame>
  );
}
