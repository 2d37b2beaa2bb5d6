import {
  LockMode,
  UniqueConstraintViolationException,
  type EntityManager,
} from '@mikro-orm/postgresql';
import type { Plan as PlanView, SavePlan } from '@wide-fern/contract';
import type { Account } from '../account/account.entity';
import type { Choir } from '../choir/choir.entity';
import type { Evening } from '../evening/evening.entity';
import { changedMeanwhile } from '../http/errors';
import { notFound } from '../http/problem';
import { Plan } from './plan.entity';

const asView = (plan: Plan): PlanView => ({
  id: plan.id,
  version: plan.version,
  savedAt: plan.savedAt.toISOString(),
  savedBy: plan.savedBy?.name ?? '',
  document: plan.document,
});

/** A warm-up belongs to an agenda item that is one, or that cools down. */
function checkItem(evening: Evening, item: string): void {
  const found = evening.agenda.find(({ id }) => id === item);
  if (found?.kind !== 'warm-up' && found?.kind !== 'cool-down') {
    throw notFound('This part of the evening');
  }
}

/** The plan of an agenda item, or null while there is none. */
export async function showPlan(
  em: EntityManager,
  choir: Choir,
  evening: Evening,
  item: string,
): Promise<PlanView | null> {
  checkItem(evening, item);
  const plan = await em.findOne(Plan, { choir, evening, item }, { populate: ['savedBy'] });
  return plan ? asView(plan) : null;
}

/**
 * Stores a plan that started from the given version (0: there was none). When someone else saved
 * in between it is refused, and nothing is stored.
 */
export async function savePlan(
  em: EntityManager,
  where: { choir: Choir; evening: Evening; item: string; account: Account },
  { version, document }: SavePlan,
): Promise<PlanView> {
  const { choir, evening, item, account } = where;
  checkItem(evening, item);
  const savedAt = new Date();
  const plan = await em.findOne(Plan, { choir, evening, item });
  if (!plan) {
    if (version !== 0) throw changedMeanwhile();
    const first = em.create(Plan, { choir, evening, item, document, savedAt, savedBy: account });
    try {
      await em.flush();
    } catch (error) {
      if (error instanceof UniqueConstraintViolationException) throw changedMeanwhile();
      throw error;
    }
    return asView(first);
  }
  await em.lock(plan, LockMode.OPTIMISTIC, version);
  plan.document = document;
  plan.savedAt = savedAt;
  plan.savedBy = account;
  await em.flush();
  return asView(plan);
}
