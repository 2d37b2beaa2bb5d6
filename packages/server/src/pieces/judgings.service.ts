import type { EntityManager } from '@mikro-orm/postgresql';
import {
  mostCards,
  mostJudgingsShown,
  type Awaited,
  type Judging,
  type JudgingCard,
  type OpenJudging,
  type SettleJudging,
} from '@wide-fern/contract';
import type { Account } from '../db/entities/account';
import type { Choir } from '../db/entities/choir';
import {
  PieceJudgement,
  PieceJudging,
  PieceJudgingCard,
  PieceRecording,
} from '../db/entities/pieces';
import { notFound, problem } from '../http/problem';
import { withRoom } from '../keeping/room';
import { holdPiece } from './marks.service';

/** Who asks, in which choir. */
export interface Judge {
  readonly choir: Choir;
  readonly account: Account;
}

/** Which run of which piece. */
export interface JudgingPlace {
  readonly piece: string;
  readonly judging: string;
}

/** What one of the judges sees: the others' cards once their own is there, or no more are taken. */
function asJudging(
  one: PieceJudging,
  cards: readonly PieceJudgingCard[],
  recording: PieceRecording | undefined,
  account: Account,
): Judging {
  const own = cards.some(({ by }) => by?.id === account.id);
  return {
    id: one.id,
    judgedOn: one.judgedOn,
    skills: one.skills,
    group: one.who,
    tried: one.tried,
    openedBy: one.by?.name ?? '',
    handedIn: cards.flatMap(({ by }) => by?.name ?? []),
    cards:
      own || one.closed
        ? cards.map(({ scores, target, by }) => ({
            ...{ scores, target: target ?? null },
            ...{ judge: by?.id ?? null, by: by?.name ?? '', isOwn: by?.id === account.id },
          }))
        : null,
    closed: one.closed,
    agreed: one.agreed ?? null,
    recording: recording
      ? {
          name: recording.name,
          size: recording.size,
          until: recording.expiresAt.toISOString(),
        }
      : null,
  };
}

/** Runs with their cards, in the order they were handed in, and their recordings that are still kept. */
async function whole(
  em: EntityManager,
  some: readonly PieceJudging[],
  account: Account,
): Promise<Judging[]> {
  const of = { judging: { id: { $in: some.map(({ id }) => id) } } };
  const cards = await em.find(PieceJudgingCard, of, {
    populate: ['by'],
    orderBy: { createdAt: 'asc', id: 'asc' },
  });
  const recordings = await em.find(PieceRecording, { ...of, expiresAt: { $gt: new Date() } });
  return some.map((one) =>
    asJudging(
      one,
      cards.filter(({ judging }) => judging.id === one.id),
      recordings.find(({ judging }) => judging.id === one.id),
      account,
    ),
  );
}

/** One run as it is stored now, as the judge sees it. */
export async function showJudging(
  em: EntityManager,
  { account, choir }: Judge,
  { piece, judging }: JudgingPlace,
): Promise<Judging> {
  const fresh = em.fork();
  const one = await fresh.findOne(
    PieceJudging,
    { id: judging, piece: { id: piece, choir } },
    { populate: ['by'] },
  );
  if (!one) throw notFound('judging');
  return (await whole(fresh, [one], account))[0]!;
}

/** The runs of a piece that several judged, the latest first. */
export async function listJudgings(
  em: EntityManager,
  { account, choir }: Judge,
  piece: string,
): Promise<Judging[]> {
  const some = await em.find(
    PieceJudging,
    { piece: { id: piece, choir } },
    {
      populate: ['by'],
      orderBy: { judgedOn: 'desc', createdAt: 'desc' },
      limit: mostJudgingsShown,
    },
  );
  return whole(em, some, account);
}

/** A card is waited for so long after its run was opened. */
const waits = "interval '14 days'";

/** That a run `j` waits for a card of an account. */
export const awaitsCard = `not j.closed and j.created_at > now() - ${waits}
  and not exists (select 1 from piece_judging_card card where card.judging_id = j.id and card.by_id = ?)`;

/** The pieces with a run that waits for a card of one's own. */
export async function listAwaited(em: EntityManager, { account, choir }: Judge): Promise<Awaited> {
  return em.execute(
    `select piece.id as piece, piece.title, max(to_char(j.judged_on, 'YYYY-MM-DD')) as "judgedOn"
       from piece_judging j join piece on piece.id = j.piece_id
      where piece.choir_id = ? and ${awaitsCard}
      group by piece.id order by max(j.created_at) desc limit ${mostJudgingsShown}`,
    [choir.id, account.id],
  );
}

/** Opens a run to judge together, under an id of the caller's: asked again, it is there already. */
export async function openJudging(
  em: EntityManager,
  judge: Judge,
  { piece: id, judging }: JudgingPlace,
  { group, ...body }: OpenJudging,
): Promise<Judging> {
  await withRoom(em, judge.choir, { of: 'judgings', adding: 1 }, async (inner) => {
    const piece = await holdPiece(inner, judge.choir, id);
    const known = await inner.findOne(PieceJudging, { id: judging });
    if (known && known.piece.id !== id) throw notFound('judging');
    if (known) return;
    inner.create(PieceJudging, { id: judging, piece, by: judge.account, who: group, ...body });
    await inner.flush();
  });
  return showJudging(em, judge, { piece: id, judging });
}

/** The run while something is done to it: whoever hands in or settles waits for whoever does already. */
async function holdJudging(
  em: EntityManager,
  choir: Choir,
  { piece, judging }: JudgingPlace,
): Promise<PieceJudging> {
  // In this order, as whoever throws the piece away.
  await holdPiece(em, choir, piece);
  const [held]: unknown[] = await em.execute(
    'select 1 from piece_judging where id = ? and piece_id = ? for no key update',
    [judging, piece],
  );
  const one = held ? await em.findOne(PieceJudging, { id: judging }) : undefined;
  if (!one) throw notFound('judging');
  return one;
}

/** @throws Problem invalid where something is judged that was not asked for */
function refuseOthers({ scores }: JudgingCard, { skills }: PieceJudging): void {
  const other = scores.find(({ skill }) => !skills.includes(skill));
  if (other) throw problem('invalid', { what: 'skill-not-asked', skill: other.skill }).at('scores');
}

/** Hands one's card in, in place of the one before. */
export async function handInCard(
  em: EntityManager,
  judge: Judge,
  place: JudgingPlace,
  card: JudgingCard,
): Promise<Judging> {
  await em.transactional(async (inner) => {
    const judging = await holdJudging(inner, judge.choir, place);
    if (judging.closed) throw problem('judging_over');
    refuseOthers(card, judging);
    const { account: by } = judge;
    const before = await inner.findOne(PieceJudgingCard, { judging, by });
    if (before) {
      inner.assign(before, card);
      return;
    }
    const here = await inner.count(PieceJudgingCard, { judging });
    if (here >= mostCards) throw problem('too_many', { of: 'cards', most: mostCards, here });
    inner.create(PieceJudgingCard, { judging, by, ...card });
  });
  return showJudging(em, judge, place);
}

/**
 * Takes no more cards; what is agreed on, if anything yet, counts as the judgement of the run where the
 * whole choir sang.
 * @throws Problem judging_over where it was agreed on already
 */
export async function settleJudging(
  em: EntityManager,
  judge: Judge,
  place: JudgingPlace,
  { agreed }: SettleJudging,
): Promise<Judging> {
  const settle = async (inner: EntityManager) => {
    const judging = await holdJudging(inner, judge.choir, place);
    if (judging.agreed) throw problem('judging_over');
    if (agreed) refuseOthers(agreed, judging);
    if ((await inner.count(PieceJudgingCard, { judging })) === 0) {
      throw problem('invalid', { what: 'no-card' });
    }
    inner.assign(judging, { closed: true, agreed });
    if (!agreed || judging.who !== '') return;
    const { id, piece, judgedOn } = judging;
    inner.create(PieceJudgement, { id, piece, judgedOn, by: judge.account, ...agreed });
  };
  await withRoom(em, judge.choir, { of: 'judgements', adding: agreed ? 1 : 0 }, settle);
  return showJudging(em, judge, place);
}

/** Throws a run with its cards and its recording away; what was agreed on stays judged. */
export async function removeJudging(
  em: EntityManager,
  choir: Choir,
  { piece, judging }: JudgingPlace,
): Promise<void> {
  const found = await em.findOne(PieceJudging, { id: judging, piece: { id: piece, choir } });
  const gone = found ? await em.nativeDelete(PieceJudging, { id: found.id }) : 0;
  if (gone === 0) throw notFound('judging');
}
