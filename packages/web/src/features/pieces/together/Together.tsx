import { Box } from '@chakra-ui/react';
import { messageOf } from '@wide-fern/client';
import type { Piece } from '@wide-fern/contract';
import { useState } from 'react';
import { useHere } from '../../../here/session';
import { WordButton } from '../../../ui/words';
import { skillsToJudge } from '../model/skills';
import { JudgingView } from './JudgingView';
import { OpenJudging, type Begun } from './OpenJudging';
import { useTogether } from './useTogether';

/** The runs of a piece that several judge, each on a card of their own. */
export default function Together({ piece }: { readonly piece: Piece }) {
  const { account, choir, mayEdit } = useHere();
  const together = useTogether(choir.id, piece.id);
  const [opening, setOpening] = useState<Begun>();
  const { data, error, refetch } = together.judgings;
  if (!data && !error) return null;
  const judgings = data ?? [];
  if (judgings.length === 0 && !mayEdit && !error) return null;
  return (
    <Box mt="16px" fontSize="13px">
      {(judgings.length > 0 || error) && (
        <Box as="h2" fontWeight={650} fontSize="15px" mb="4px">
          Judged together
        </Box>
      )}
      {error && (
        <Box role="alert">
          What was judged together could not be fetched. {messageOf(error)}{' '}
          <WordButton fontSize="13px" onClick={() => void refetch()}>
            try again
          </WordButton>
        </Box>
      )}
      {judgings.map((judging, i) => (
        <JudgingView
          key={judging.id}
          piece={piece.id}
          judging={judging}
          before={judgings.slice(i + 1).find(({ group }) => group === judging.group)}
          together={together}
          onAgain={
            judging.agreed && judgings.findIndex(({ group }) => group === judging.group) === i
              ? () => setOpening({ skills: judging.skills, group: judging.group })
              : undefined
          }
        />
      ))}
      {mayEdit &&
        !error &&
        (opening ? (
          <OpenJudging
            key={opening.group}
            draftKey={`together:${account.id}:${piece.id}:${opening.group}`}
            begun={opening}
            open={together.open}
            onDone={() => setOpening(undefined)}
          />
        ) : (
          <WordButton
            fontSize="13px"
            onClick={() => setOpening({ skills: skillsToJudge(piece), group: '' })}
          >
            judge together
          </WordButton>
        ))}
    </Box>
  );
}
