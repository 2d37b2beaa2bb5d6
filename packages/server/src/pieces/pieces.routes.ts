import {
  changePieceSchema,
  judgementBodySchema,
  largestScoreFile,
  pieceMarkBodySchema,
  storePieceSchema,
  z,
} from '@wide-fern/contract';
import { inChoir, type Route } from '../http/route';
import { fileOfPiece, keepFile } from './files.service';
import {
  addJudgement,
  addMark,
  addPiece,
  changeMark,
  changePiece,
  listPieces,
  removeJudgement,
  removeMark,
  removePiece,
  showPiece,
} from './pieces.service';

const pieces = '/choirs/:choir/pieces';
const one = `${pieces}/:piece`;
const mark = `${one}/marks/:mark`;

/** Readers look; who leads keeps pieces, marks bars and judges runs. */
export const piecesRoutes: readonly Route[] = [
  inChoir('reader', {
    method: 'get',
    path: pieces,
    handle: async ({ em, choir }) => ({ body: await listPieces(em, choir) }),
  }),
  inChoir('deputy', {
    method: 'post',
    path: pieces,
    body: storePieceSchema,
    handle: async ({ em, choir, body }) => ({
      status: 201,
      body: await showPiece(em, choir, await addPiece(em, choir, body)),
    }),
  }),
  inChoir('deputy', {
    method: 'post',
    path: '/choirs/:choir/score-files',
    raw: largestScoreFile,
    body: z.instanceof(Buffer, { message: 'Send the file itself.' }),
    handle: async ({ em, choir, query, body }) => ({
      status: 201,
      body: await keepFile(em, choir, query.name ?? '', body),
    }),
  }),
  inChoir('reader', {
    method: 'get',
    path: one,
    handle: async ({ em, choir, params }) => ({ body: await showPiece(em, choir, params.piece!) }),
  }),
  inChoir('reader', {
    method: 'get',
    path: `${one}/score-file`,
    handle: async ({ em, choir, params }) => ({
      file: await fileOfPiece(em, choir, params.piece!),
    }),
  }),
  inChoir('deputy', {
    method: 'put',
    path: one,
    body: changePieceSchema,
    handle: async ({ em, choir, params, body }) => {
      await changePiece(em, choir, params.piece!, body);
      return { body: await showPiece(em, choir, params.piece!) };
    },
  }),
  inChoir('deputy', {
    method: 'delete',
    path: one,
    handle: async ({ em, choir, params }) => {
      await removePiece(em, choir, params.piece!);
      return {};
    },
  }),
  inChoir('deputy', {
    method: 'post',
    path: `${one}/marks`,
    body: pieceMarkBodySchema,
    handle: async ({ em, choir, params, body }) => ({
      status: 201,
      body: await addMark(em, choir, params.piece!, body),
    }),
  }),
  inChoir('deputy', {
    method: 'put',
    path: mark,
    body: pieceMarkBodySchema,
    handle: async ({ em, choir, params, body }) => ({
      body: await changeMark(em, choir, { piece: params.piece!, mark: params.mark! }, body),
    }),
  }),
  inChoir('deputy', {
    method: 'delete',
    path: mark,
    handle: async ({ em, choir, params }) => {
      await removeMark(em, choir, { piece: params.piece!, mark: params.mark! });
      return {};
    },
  }),
  inChoir('deputy', {
    method: 'post',
    path: `${one}/judgements`,
    body: judgementBodySchema,
    handle: async ({ em, choir, account, params, body }) => ({
      status: 201,
      body: await addJudgement(em, { choir, account, piece: params.piece! }, body),
    }),
  }),
  inChoir('deputy', {
    method: 'delete',
    path: `${one}/judgements/:judgement`,
    handle: async ({ em, choir, params }) => {
      const where = { piece: params.piece!, judgement: params.judgement! };
      await removeJudgement(em, choir, where);
      return {};
    },
  }),
];
