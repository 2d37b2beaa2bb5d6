import { useQuery } from '@tanstack/react-query';
import { useParams } from 'react-router';
import { messageOf, choirQuery, pieceQuery } from '@wide-fern/client';
import { Frame } from '../../here/Frame';
import { useHere } from '../../here/session';
import { Failed, Loading } from '../../ui/states';
import { WordLink } from '../../ui/words';
import { useTonight } from '../../here/useTonight';
import { PieceView } from './PieceView';

/** One piece: what it asks of whom, and where. */
export default function PiecePage() {
  const { piece: id = '' } = useParams();
  const { choir } = useHere();
  const piece = useQuery(pieceQuery(choir.id, id));
  const settings = useQuery(choirQuery(choir.id));
  const { tonight, error: tonightError, retry } = useTonight();
  const error = piece.error ?? settings.error ?? tonightError;
  const isHere = piece.data && settings.data && tonight;
  return (
    <Frame place="Pieces">
      {error && !isHere ? (
        <>
          <Failed
            message={messageOf(error)}
            onRetry={() => {
              void piece.refetch();
              void settings.refetch();
              retry();
            }}
          />
          <WordLink to="/pieces" ml="24px">
            All pieces
          </WordLink>
        </>
      ) : isHere ? (
        <PieceView
          key={piece.data.piece.score?.file ?? piece.data.id}
          piece={piece.data}
          sections={tonight.sections}
          phrase={settings.data.phraseSeconds}
        />
      ) : (
        <Loading what="the piece" />
      )}
    </Frame>
  );
}
