import { usualRecordingDays } from '@wide-fern/contract';
import { endpoint, type Route } from '../access/endpoint';
import { fileOfPiece, keepFile } from './files.service';
import { addJudgement, addMark, changeMark, removeJudgement, removeMark } from './marks.service';
import {
  handInCard,
  listAwaited,
  listJudgings,
  openJudging,
  removeJudging,
  settleJudging,
} from './judgings.service';
import { keepRecording, removeRecording, showRecording } from './recordings.service';
import { addPiece, changePiece, listPieces, removePiece, showPiece } from './pieces.service';

/** Readers look and judge where they are asked; who leads keeps pieces, marks bars and judges runs. */
export const piecesRoutes: readonly Route[] = [
  endpoint('listPieces', ({ em, choir, account, query }) =>
    listPieces(em, { choir, account }, query.after),
  ),
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
  endpoint('listAwaited', ({ em, choir, account }) => listAwaited(em, { choir, account })),
  endpoint('listJudgings', ({ em, choir, account, params }) =>
    listJudgings(em, { choir, account }, params.piece),
  ),
  endpoint('openJudging', ({ em, choir, account, params, body }) =>
    openJudging(em, { choir, account }, params, body),
  ),
  endpoint('removeJudging', ({ em, choir, params }) => removeJudging(em, choir, params)),
  endpoint('handInCard', ({ em, choir, account, params, body }) =>
    handInCard(em, { choir, account }, params, body),
  ),
  endpoint('settleJudging', ({ em, choir, account, params, body }) =>
    settleJudging(em, { choir, account }, params, body),
  ),
  endpoint('keepRecording', ({ em, choir, account, params, query, body }) =>
    keepRecording(em, { choir, account }, params, {
      name: query.name ?? '',
      days: Number(query.days ?? usualRecordingDays),
      sent: body,
    }),
  ),
  endpoint('showRecording', ({ em, choir, params }) => showRecording(em, choir, params)),
  endpoint('removeRecording', ({ em, choir, params }) => removeRecording(em, choir, params)),
];
