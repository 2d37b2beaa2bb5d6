import type { EntityManager } from '@mikro-orm/postgresql';
import type {
  Plan as PlanView,
  PlanVersion as VersionView,
  WholeVersion,
} from '@wide-fern/contract';
import type { Choir } from '../db/entities/choir';
import type { Evening } from '../db/entities/evening';
import { upcastStored } from '@wide-fern/plan';
import { pageOfRows, type PageOf } from '../db/page';
import { notFound } from '../http/problem';
import { plansAsTheyAre } from '../db/storedPlans';
import { wholeVersions } from './history';
import { Plan, PlanVersion } from '../db/entities/plan';

/** A warm-up belongs to an agenda item that is one, or that cools down. */
export function checkItem(evening: Evening, item: string): void {
  const found = evening.agenda.find(({ id }) => id === item);
  if (found?.kind !== 'warm-up' && found?.kind !== 'cool-down') {
    throw notFound('item');
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
  const [plan] = await plansAsTheyAre(em, { choir: choir.id, evening: evening.id, item });
  if (!plan) return null;
  const { id, version, savedAt, savedBy, document } = plan;
  return { id, version, savedAt, savedBy, document };
}

/** The versions a plan has had, the newest first, a page at a time; none while there is no plan. */
export async function listPlanVersions(
  em: EntityManager,
  where: { choir: Choir; evening: Evening; item: string },
  after: string | undefined,
): Promise<PageOf<VersionView>> {
  checkItem(where.evening, where.item);
  const plan = await em.findOne(Plan, where);
  if (!plan) return { items: [], next: null };
  const { items, next } = await pageOfRows(
    em,
    PlanVersion,
    { plan },
    { populate: ['savedBy'], orderBy: { version: 'desc' }, after },
  );
  const whole = await wholeVersions(em, plan.id);
  const versions = items.map((one) => ({ ...asVersion(one), whole: whole.has(one.version) }));
  return { items: versions, next };
}

const asVersion = ({ version, savedAt, savedBy, edits }: PlanVersion) => ({
  version,
  savedAt: savedAt.toISOString(),
  savedBy: savedBy?.name ?? '',
  edits,
});

/** A plan as it was in a version that is kept whole. */
export async function showPlanVersion(
  em: EntityManager,
  where: { choir: Choir; evening: Evening; item: string },
  version: number,
): Promise<WholeVersion> {
  checkItem(where.evening, where.item);
  const found = await em.findOne(
    PlanVersion,
    { plan: where, version, document: { $ne: null } },
    { populate: ['savedBy', 'document'] },
  );
  if (!found?.document) throw notFound('version');
  return { ...asVersion(found), document: upcastStored(found.document) };
}
