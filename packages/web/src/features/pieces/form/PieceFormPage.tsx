import { useQuery } from '@tanstack/react-query';
import { useParams } from 'react-router';
import { messageOf, voicesQuery, pieceQuery } from '@wide-fern/client';
import { Frame } from '../../../here/Frame';
import { useHere } from '../../../here/session';
import { Empty, Failed, Loading } from '../../../ui/states';
import { WordLink } from '../../../ui/words';
import { PieceForm } from './PieceForm';

/** Typing a piece in, or changing its words. */
export default function PieceFormPage() {
  const { piece: id } = useParams();
  const { choir, mayEdit } = useHere();
  const piece = useQuery({ ...pieceQuery(choir.id, id ?? ''), enabled: id !== undefined });
  const voices = useQuery(voicesQuery(choir.id));
  const error = piece.error ?? voices.error;
  const isHere = voices.data && (id === undefined || piece.data);
  return (
    <Frame place="Pieces">
      {!mayEdit ? (
        <Empty title="Pieces are kept by those who lead">
          <WordLink to="/pieces">Look at the pieces</WordLink>
        </Empty>
      ) : error && !isHere ? (
        <Failed
          message={messageOf(error)}
          onRetry={() => {
            void piece.refetch();
            void voices.refetch();
          }}
        />
      ) : isHere ? (
        <PieceForm piece={piece.data} sections={voices.data.sections} />
      ) : (
        <Loading what="the piece" />
      )}
    </Frame>
  );
}
