import type { EntityManager } from '@mikro-orm/postgresql';
import type {
  Judgement,
  JudgementBody,
  PieceMark as MarkView,
  PieceMarkBody,
} from '@wide-fern/contract';
import { withRoom } from '../keeping/room';
import type { Account } from '../db/entities/account';
import type { Choir } from '../db/entities/choir';
import { Piece, PieceJudgement, PieceMark } from '../db/entities/pieces';
import { notFound } from '../http/problem';

export async function findPiece(em: EntityManager, choir: Choir, id: string): Promise<Piece> {
  const piece = await em.findOne(Piece, { id, choir });
  if (!piece) throw notFound('piece');
  return piece;
}

export const asMark = ({ id, fromBar, toBar, parts, skill, note }: PieceMark): MarkView => ({
  id,
  fromBar,
  toBar,
  parts,
  skill,
  note,
});
export const asJudgement = ({ id, judgedOn, scores, target, by }: PieceJudgement): Judgement => ({
  id,
  judgedOn,
  scores,
  target: target ?? null,
  by: by?.name ?? '',
});

/** The piece while something is added to it: whoever throws it away waits. */
export async function holdPiece(em: EntityManager, choir: Choir, id: string): Promise<Piece> {
  const piece = await findPiece(em, choir, id);
  const rows: unknown[] = await em.execute('select 1 from piece where id = ? for key share', [id]);
  if (rows.length === 0) throw notFound('piece');
  return piece;
}

/** Marks bars that give trouble. */
export function addMark(
  em: EntityManager,
  choir: Choir,
  id: string,
  body: PieceMarkBody,
): Promise<MarkView> {
  return withRoom(em, choir, { of: 'marks', adding: 1 }, async (inner) => {
    const piece = await holdPiece(inner, choir, id);
    const mark = inner.create(PieceMark, { piece, ...body });
    await inner.flush();
    return asMark(mark);
  });
}

/** Where a mark is: in which piece, and which one. */
interface MarkPlace {
  readonly piece: string;
  readonly mark: string;
}

const markAt = (choir: Choir, { piece, mark }: MarkPlace) => ({
  id: mark,
  piece: { id: piece, choir },
});

export async function changeMark(
  em: EntityManager,
  choir: Choir,
  where: MarkPlace,
  body: PieceMarkBody,
): Promise<MarkView> {
  const mark = await em.findOne(PieceMark, markAt(choir, where));
  // Thrown away meanwhile, it is told so: nothing is changed that is not here.
  const changed = mark ? await em.nativeUpdate(PieceMark, { id: mark.id }, body) : 0;
  if (!mark || changed === 0) throw notFound('mark');
  return asMark(em.assign(mark, body));
}

export async function removeMark(em: EntityManager, choir: Choir, where: MarkPlace): Promise<void> {
  const mark = await em.findOne(PieceMark, markAt(choir, where));
  const gone = mark ? await em.nativeDelete(PieceMark, { id: mark.id }) : 0;
  if (gone === 0) throw notFound('mark');
}

/** Keeps how a run of a piece was. */
export function addJudgement(
  em: EntityManager,
  { choir, account, piece: id }: { choir: Choir; account: Account; piece: string },
  body: JudgementBody,
): Promise<Judgement> {
  return withRoom(em, choir, { of: 'judgements', adding: 1 }, async (inner) => {
    const piece = await holdPiece(inner, choir, id);
    const judgement = inner.create(PieceJudgement, { piece, by: account, ...body });
    await inner.flush();
    return asJudgement(judgement);
  });
}

export async function removeJudgement(
  em: EntityManager,
  choir: Choir,
  where: { piece: string; judgement: string },
): Promise<void> {
  const found = await em.findOne(PieceJudgement, {
    id: where.judgement,
    piece: { id: where.piece, choir },
  });
  const gone = found ? await em.nativeDelete(PieceJudgement, { id: found.id }) : 0;
  if (gone === 0) throw notFound('judgement');
}
