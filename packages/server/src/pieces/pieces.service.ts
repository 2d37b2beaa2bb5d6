import { LockMode, type EntityManager } from '@mikro-orm/postgresql';
import {
  pageSize,
  type ChangePiece,
  type Piece as PieceView,
  type PieceSummary,
  type MappedScore,
  type Ranges,
  type ReadScore,
  type StorePiece,
} from '@wide-fern/contract';
import { openTarget, type OpenTarget } from '@wide-fern/core';
import { record } from '../keeping/records';
import { withRoom } from '../keeping/room';
import type { Account } from '../db/entities/account';
import type { Choir } from '../db/entities/choir';
import { asCursor, fromCursor, type PageOf } from '../db/page';
import { notFound, problem } from '../http/problem';
import { VoicePart } from '../db/entities/voices';
import { analyseScore } from './analysis/analyse';
import { awaitsCard, type Judge } from './judgings.service';
import { asJudgement, asMark, findPiece } from './marks.service';
import { Piece, PieceFile, PieceJudgement, PieceMark } from '../db/entities/pieces';

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

type PieceRow = Pick<
  Piece,
  'id' | 'title' | 'composer' | 'language' | 'tempo' | 'transpose' | 'ranges' | 'seconds'
> & { readonly bars: number | null; readonly created: string; readonly awaited: boolean };

/** The pieces of a choir by their titles, a page at a time. */
export async function listPieces(
  em: EntityManager,
  { choir, account }: Judge,
  after: string | undefined,
): Promise<PageOf<PieceSummary>> {
  const keys = after === undefined ? [] : fromCursor(after, 3);
  const found: PieceRow[] = await em.execute(
    `select id, title, composer, language, tempo, transpose, ranges, seconds,
            created_at::text as created,
            case when by_bar is null then null else
              (select count(distinct n) from jsonb_array_elements(by_bar -> 'numbers') as n where n <> '0')::int
            end as bars,
            exists (select 1 from piece_judging j
                     where j.piece_id = piece.id and ${awaitsCard}) as awaited
       from piece
      where choir_id = ? ${after === undefined ? '' : 'and (lower(title), created_at, id) > (?, ?::timestamptz, ?::uuid)'}
      order by lower(title), created_at, id limit ?`,
    [account.id, choir.id, ...keys, pageSize + 1],
  );
  const rows = found.slice(0, pageSize);
  const last = found.length > pageSize ? rows.at(-1) : undefined;
  const targets = await openTargets(em, choir);
  const next = await nextOf(em, choir);
  const items = rows.map(({ created: _created, ...row }) => ({
    ...row,
    tempo: row.tempo ?? null,
    seconds: row.seconds ?? null,
    target: targets.get(row.id) ?? null,
    next: next.get(row.id) ?? null,
  }));
  return {
    items,
    next: last ? asCursor([last.title.toLowerCase(), last.created, last.id]) : null,
  };
}

export async function showPiece(em: EntityManager, choir: Choir, id: string): Promise<PieceView> {
  const piece = await em.findOne(Piece, { id, choir }, { populate: ['file'] });
  if (!piece) throw notFound('piece');
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

type Read = Pick<ReadScore, 'byBar' | 'seconds'> & { readonly ranges: Ranges };

/** Field by field: the database keeps no order of a document's words. */
const sameMapping = (one: MappedScore['mapping'], other: Piece['mapping']): boolean => {
  const said = (mapping: MappedScore['mapping']) =>
    JSON.stringify(
      mapping.map(({ line, parts, octaveLower = false }) => [line, parts, octaveLower]),
    );
  return said(one) === said(other ?? []);
};

/**
 * What a score asks, read from the kept file on the server: what a page says of it is not taken for
 * true. A file and mapping that were read before are not read again.
 */
async function readMapped(
  em: EntityManager,
  choir: Choir,
  { file: id, mapping }: MappedScore,
  known: Piece | undefined,
): Promise<{ file: PieceFile } & Read> {
  const file = await em.findOne(PieceFile, { id, choir });
  if (!file) throw problem('file_gone');
  if (known?.file?.id === id && known.byBar && sameMapping(mapping, known.mapping)) {
    const { byBar, ranges, seconds } = known;
    return { file, byBar, ranges, seconds: seconds ?? 0 };
  }
  const parts = (await em.find(VoicePart, { choir }, { orderBy: { position: 'asc' } })).map(
    ({ code }) => code,
  );
  const bytes = await file.bytes.loadOrFail();
  const { byBar, ranges, seconds } = await analyseScore({ bytes, mapping, parts });
  return { file, byBar: byBar as ReadScore['byBar'], ranges, seconds };
}

/** The columns of a piece; its file has to be one of the choir's. */
async function columnsOf(
  em: EntityManager,
  choir: Choir,
  { score, ...piece }: StorePiece,
  known?: Piece,
) {
  if (!score) return { ...piece, file: null, mapping: null, byBar: null, seconds: null };
  return { ...piece, mapping: score.mapping, ...(await readMapped(em, choir, score, known)) };
}

export async function addPiece(em: EntityManager, choir: Choir, body: StorePiece): Promise<string> {
  // Read before the choir is locked: nobody waits for a long score.
  const columns = await columnsOf(em, choir, body);
  return withRoom(em, choir, { of: 'pieces', adding: 1 }, async (inner) => {
    const piece = inner.create(Piece, { choir, ...columns });
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
  em.assign(piece, await columnsOf(em, choir, body, piece));
  await em.flush();
}

/** Throws a piece away with its marks and judgements; evenings keep its title. */
export async function removePiece(
  em: EntityManager,
  { choir, account }: { readonly choir: Choir; readonly account: Account },
  id: string,
): Promise<void> {
  const piece = await findPiece(em, choir, id);
  await em.execute(
    `update evening set agenda = (
       select coalesce(jsonb_agg(case when item ->> 'piece' = ? then item || '{"piece": null}' else item end order by place), '[]')
         from jsonb_array_elements(agenda) with ordinality as each(item, place))
      where choir_id = ? and agenda @> jsonb_build_array(jsonb_build_object('piece', ?::text))`,
    [id, choir.id, id],
  );
  em.remove(piece);
  record(em, { choir, by: account, kind: 'deleted', about: `“${piece.title}”` });
  await em.flush();
}
