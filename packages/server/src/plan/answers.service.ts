import type { EntityManager } from '@mikro-orm/postgresql';
import type { Answer, SendAnswer } from '@wide-fern/contract';
import type { Choir } from '../db/entities/choir';
import { SingerAnswer } from '../db/entities/plan';
import { notFound, problem } from '../http/problem';
import { lockChoir } from '../keeping/room';
import { goodLink } from './planLinks.service';

/** So much that singers of a choir sent is kept at once. */
const mostAnswers = 600;

/**
 * Keeps what a singer sends from the page to practise from, where its link asks; sent again under its id, it
 * takes the place of what was sent before.
 */
export async function sendAnswer(
  em: EntityManager,
  id: string,
  { secret, part, said }: SendAnswer,
): Promise<void> {
  const link = await goodLink(em, secret, 'practice', 'practice');
  if (!link.asks) throw notFound('practice');
  const { choir } = link;
  await em.transactional(async (inner) => {
    await lockChoir(inner, choir);
    const before = await inner.findOne(SingerAnswer, { id });
    if (before && before.choir.id !== choir.id) throw notFound('answer');
    const sent = { part: link.part ?? part, said, sentAt: new Date() };
    if (before) {
      inner.assign(before, sent);
      return;
    }
    const here = await inner.count(SingerAnswer, { choir });
    if (here >= mostAnswers) throw problem('too_many', { of: 'answers', most: mostAnswers, here });
    inner.create(SingerAnswer, { id, choir, ...sent });
  });
}

/** What singers sent, the latest first. */
export async function listAnswers(em: EntityManager, choir: Choir): Promise<Answer[]> {
  const found = await em.find(SingerAnswer, { choir }, { orderBy: { sentAt: 'desc', id: 'asc' } });
  return found.map(({ id, part, said, sentAt }) => ({
    ...{ id, part: part ?? null, said },
    sentAt: sentAt.toISOString(),
  }));
}

export async function dropAnswer(em: EntityManager, choir: Choir, id: string): Promise<void> {
  if ((await em.nativeDelete(SingerAnswer, { id, choir })) === 0) throw notFound('answer');
}
