import { pageOf, pageQuerySchema } from '../page';
import {
  changePieceSchema,
  judgementBodySchema,
  judgementSchema,
  keptFileSchema,
  largestScoreFile,
  pieceMarkBodySchema,
  pieceMarkSchema,
  pieceSchema,
  pieceSummarySchema,
  storePieceSchema,
} from '../piece';
import { z } from '../zod';
import { changed, type Endpoints } from './described';

/** Pieces, their score files, marks and judgements. */
export const pieces = {
  listPieces: {
    access: 'reader',
    query: pageQuerySchema,
    reply: pageOf(pieceSummarySchema),
    errors: ['invalid'],
  },
  addPiece: {
    access: 'deputy',
    body: storePieceSchema,
    reply: pieceSchema,
    makes: true,
    errors: ['invalid', 'file_gone', 'too_many', 'unreadable_score', 'too_busy'],
  },
  keepScoreFile: {
    access: 'deputy',
    query: z.object({ name: z.string().max(400).optional() }),
    file: { most: largestScoreFile, what: 'score' },
    reply: keptFileSchema,
    makes: true,
    limited: 'calls',
    errors: ['invalid', 'too_large', 'too_busy', 'too_many', 'too_many_attempts'],
  },
  showPiece: { access: 'reader', reply: pieceSchema, errors: [] },
  changePiece: {
    access: 'deputy',
    body: changePieceSchema,
    reply: pieceSchema,
    errors: [...changed, 'file_gone', 'unreadable_score', 'too_busy'],
  },
  removePiece: { access: 'deputy', errors: [] },
  showScoreFile: { access: 'reader', reply: 'file', errors: [] },
  addMark: {
    access: 'deputy',
    body: pieceMarkBodySchema,
    reply: pieceMarkSchema,
    makes: true,
    errors: ['invalid'],
  },
  changeMark: {
    access: 'deputy',
    body: pieceMarkBodySchema,
    reply: pieceMarkSchema,
    errors: ['invalid'],
  },
  removeMark: { access: 'deputy', errors: [] },
  addJudgement: {
    access: 'deputy',
    body: judgementBodySchema,
    reply: judgementSchema,
    makes: true,
    errors: ['invalid'],
  },
  removeJudgement: { access: 'deputy', errors: [] },
} as const satisfies Endpoints;
