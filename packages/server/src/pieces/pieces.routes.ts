import { endpoint, type Route } from '../access/endpoint';
import { fileOfPiece, keepFile } from './files.service';
import { addJudgement, addMark, changeMark, removeJudgement, removeMark } from './marks.service';
import { addPiece, changePiece, listPieces, removePiece, showPiece } from './pieces.service';

/** Readers look; who leads keeps pieces, marks bars and judges runs. */
export const piecesRoutes: readonly Route[] = [
  endpoint('listPieces', ({ em, choir, query }) => listPieces(em, choir, query.after)),
  endpoint('addPiece', async ({ em, choir, body }) =>
    showPiece(em, choir, await addPiece(em, choir, body)),
  ),
  endpoint('keepScoreFile', ({ em, choir, query, body }) =>
    keepFile(em, choir, query.name ?? '', body),
  ),
  endpoint('showPiece', ({ em, choir, params }) => showPiece(em, choir, params.piece)),
  endpoint('showScoreFile', ({ em, choir, params }) => fileOfPiece(em, choir, params.piece)),
  endpoint('changePiece', async ({ em, choir, params, body }) => {
    await changePiece(em, choir, params.piece, body);
    return showPiece(em, choir, params.piece);
  }),
  endpoint('removePiece', ({ em, params, ...acting }) => removePiece(em, acting, params.piece)),
  endpoint('addMark', ({ em, choir, params, body }) => addMark(em, choir, params.piece, body)),
  endpoint('changeMark', ({ em, choir, params, body }) => changeMark(em, choir, params, body)),
  endpoint('removeMark', ({ em, choir, params }) => removeMark(em, choir, params)),
  endpoint('addJudgement', ({ em, choir, account, params, body }) =>
    addJudgement(em, { choir, account, piece: params.piece }, body),
  ),
  endpoint('removeJudgement', ({ em, choir, params }) => removeJudgement(em, choir, params)),
];
