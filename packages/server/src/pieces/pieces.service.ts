import { LockMode, type EntityManager } from '@mikro-orm/postgresql';
import {
  mostPieces,
  type ChangePiece,
  type Judgement,
  type JudgementBody,
  type Piece as PieceView,
  type PieceMark as MarkView,
  type PieceMarkBody,
  type PieceSummary,
  type StorePiece,
} from '@wide-fern/contract';
import { openTarget, type OpenTarget } from '@wide-fern/core';
import type { Account } from '../account/account.entity';
import type { Choir } from '../choir/choir.entity';
import { notFound, Problem } from '../http/problem';
import { Piece, PieceFile, PieceJudgement, PieceMark } from './pieces.entity';

async function findPiece(em: EntityManager, choir: Choir, id: string): Promise<Piece> {
  const piece = await em.findOne(Piece, { id, choir });
  if (!piece) throw notFound('This piece');
  return piece;
}

/** The judgements of pieces, in the order of time, by the piece's id. */
async function judgementsBy(
  em: EntityManager,
  choir: Choir,
): Promise<Map<string, PieceJudgement[]>> {
  const all = await em.find(
    PieceJudgement,
    { piece: { choir } },
    { orderBy: { judgedOn: 'asc', createdAt: 'asc' } },
  );
  const byPiece = new Map<string, PieceJudgement[]>();
  for (const one of all) {
    const list = byPiece.get(one.piece.id);
    if (list) list.push(one);
    else byPiece.set(one.piece.id, [one]);
  }
  return byPiece;
}

const asTarget = (found: OpenTarget | undefined): PieceSummary['target'] =>
  found
    ? {
        skill: found.skill,
        since: found.since,
        ...(found.score === undefined ? {} : { score: found.score }),
        ...(found.last === undefined ? {} : { last: found.last }),
      }
    : null;

/** The open targets of a choir's pieces, by the piece's id. */
export async function openTargets(
  em: EntityManager,
  choir: Choir,
): Promise<Map<string, NonNullable<PieceSummary['target']>>> {
  const judged = await judgementsBy(em, choir);
  return new Map(
    [...judged].flatMap(([id, list]) => {
      const target = asTarget(
        openTarget(list.map((one) => ({ ...one, target: one.target ?? null }))),
      );
      return target ? [[id, target] as const] : [];
    }),
  );
}

/** When each piece is on next, by its id. */
async function nextOf(em: EntityManager, choir: Choir): Promise<Map<string, string>> {
  const rows: { piece: string; at: Date | string }[] = await em.execute(
    `select item ->> 'piece' as piece, min(evening.starts_at) as at
       from evening cross join lateral jsonb_array_elements(evening.agenda) as item
      where evening.choir_id = ? and evening.ends_at > now() and item ->> 'piece' is not null
      group by 1`,
    [choir.id],
  );
  return new Map(rows.map(({ piece, at }) => [piece, new Date(at).toISOString()]));
}

/** All pieces of a choir by their titles. */
export async function listPieces(em: EntityManager, choir: Choir): Promise<PieceSummary[]> {
  const rows: (Pick<
    Piece,
    'id' | 'title' | 'composer' | 'language' | 'tempo' | 'transpose' | 'ranges' | 'seconds'
  > & {
    bars: number | null;
  })[] = await em.execute(
    `select id, title, composer, language, tempo, transpose, ranges, seconds,
            case when by_bar is null then null else
              (select count(distinct n) from jsonb_array_elements(by_bar -> 'numbers') as n where n <> '0')::int
            end as bars
       from piece where choir_id = ? order by lower(title), created_at, id`,
    [choir.id],
  );
  const targets = await openTargets(em, choir);
  const next = await nextOf(em, choir);
  return rows.map((row) => ({
    ...row,
    tempo: row.tempo ?? null,
    seconds: row.seconds ?? null,
    target: targets.get(row.id) ?? null,
    next: next.get(row.id) ?? null,
  }));
}

const asMark = ({ id, fromBar, toBar, parts, skill, note }: PieceMark): MarkView => ({
  id,
  fromBar,
  toBar,
  parts,
  skill,
  note,
});
const asJudgement = ({ id, judgedOn, scores, target, by }: PieceJudgement): Judgement => ({
  id,
  judgedOn,
  scores,
  target: target ?? null,
  by: by?.name ?? '',
});

/** A piece whole: what it asks, its marks and its judgements. */
export async function showPiece(em: EntityManager, choir: Choir, id: string): Promise<PieceView> {
  const piece = await em.findOne(Piece, { id, choir }, { populate: ['file'] });
  if (!piece) throw notFound('This piece');
  const marks = await em.find(
    PieceMark,
    { piece },
    { orderBy: { fromBar: 'asc', toBar: 'asc', createdAt: 'asc' } },
  );
  const judgements = await em.find(
    PieceJudgement,
    { piece },
    { populate: ['by'], orderBy: { judgedOn: 'desc', createdAt: 'desc' } },
  );
  const { title, composer, language, tempo, transpose, notes, ranges, file } = piece;
  const { mapping, byBar, seconds } = piece;
  const score =
    file && mapping && byBar
      ? { file: file.id, name: file.name, size: file.size, mapping, byBar, seconds: seconds ?? 0 }
      : null;
  return {
    id: piece.id,
    version: piece.version,
    piece: {
      title,
      composer: composer ?? '',
      language: language ?? '',
      tempo: tempo ?? null,
      transpose: transpose ?? 0,
      notes: notes ?? '',
      ranges,
      score,
    },
    marks: marks.map(asMark),
    judgements: judgements.map(asJudgement),
  };
}

/** The columns of a piece; its file has to be one of the choir's. */
async function columnsOf(em: EntityManager, choir: Choir, { score, ...piece }: StorePiece) {
  if (!score) return { ...piece, file: null, mapping: null, byBar: null, seconds: null };
  const file = await em.findOne(PieceFile, { id: score.file, choir });
  if (!file) {
    throw new Problem(
      409,
      'file_gone',
      'The file of this score is not kept any more. Read it in once more; what you chose is still here.',
    );
  }
  const { mapping, byBar, seconds } = score;
  return { ...piece, file, mapping, byBar, seconds };
}

export async function addPiece(em: EntityManager, choir: Choir, body: StorePiece): Promise<string> {
  return em.transactional(async (inner) => {
    await inner.execute('select 1 from choir where id = ? for update', [choir.id]);
    if ((await inner.count(Piece, { choir })) >= mostPieces) {
      throw new Problem(
        409,
        'too_many',
        `A choir keeps at most ${mostPieces} pieces. Throw some away first.`,
      );
    }
    const piece = inner.create(Piece, { choir, ...(await columnsOf(inner, choir, body)) });
    await inner.flush();
    return piece.id;
  });
}

/** Changes a piece that was at the given version. */
export async function changePiece(
  em: EntityManager,
  choir: Choir,
  id: string,
  { version, piece: body }: ChangePiece,
): Promise<void> {
  const piece = await findPiece(em, choir, id);
  await em.lock(piece, LockMode.OPTIMISTIC, version);
  em.assign(piece, await columnsOf(em, choir, body));
  await em.flush();
}

/** Throws a piece away with its marks and judgements; evenings keep its title. */
export async function removePiece(em: EntityManager, choir: Choir, id: string): Promise<void> {
  const piece = await findPiece(em, choir, id);
  await em.execute(
    `update evening set agenda = (
       select coalesce(jsonb_agg(case when item ->> 'piece' = ? then item || '{"piece": null}' else item end order by place), '[]')
         from jsonb_array_elements(agenda) with ordinality as each(item, place))
      where choir_id = ? and agenda @> jsonb_build_array(jsonb_build_object('piece', ?::text))`,
    [id, choir.id, id],
  );
  em.remove(piece);
  await em.flush();
}

export async function addMark(
  em: EntityManager,
  choir: Choir,
  id: string,
  body: PieceMarkBody,
): Promise<MarkView> {
  const piece = await findPiece(em, choir, id);
  const mark = em.create(PieceMark, { piece, ...body });
  await em.flush();
  return asMark(mark);
}

async function findMark(em: EntityManager, choir: Choir, piece: string, id: string) {
  const mark = await em.findOne(PieceMark, { id, piece: { id: piece, choir } });
  if (!mark) throw notFound('This mark');
  return mark;
}

export async function changeMark(
  em: EntityManager,
  choir: Choir,
  where: { piece: string; mark: string },
  body: PieceMarkBody,
): Promise<MarkView> {
  const mark = await findMark(em, choir, where.piece, where.mark);
  em.assign(mark, body);
  await em.flush();
  return asMark(mark);
}

export async function removeMark(
  em: EntityManager,
  choir: Choir,
  where: { piece: string; mark: string },
): Promise<void> {
  em.remove(await findMark(em, choir, where.piece, where.mark));
  await em.flush();
}

export async function addJudgement(
  em: EntityManager,
  { choir, account, piece: id }: { choir: Choir; account: Account; piece: string },
  body: JudgementBody,
): Promise<Judgement> {
  const piece = await findPiece(em, choir, id);
  const judgement = em.create(PieceJudgement, { piece, by: account, ...body });
  await em.flush();
  return asJudgement(judgement);
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
  if (!found) throw notFound('This judgement');
  em.remove(found);
  await em.flush();
}
