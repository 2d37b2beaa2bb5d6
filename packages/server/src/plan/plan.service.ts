import {
  LockMode,
  UniqueConstraintViolationException,
  type EntityManager,
} from '@mikro-orm/postgresql';
import type {
  EditFact,
  Plan as PlanView,
  PlanVersion as VersionView,
  SavePlan,
  StoredPlan,
  WholeVersion,
} from '@wide-fern/contract';
import type { Account } from '../db/entities/account';
import type { Choir } from '../db/entities/choir';
import type { Evening } from '../db/entities/evening';
import { upcastStored } from '@wide-fern/plan';
import { lean } from '../db/lean';
import { pageOfRows, type PageOf } from '../db/page';
import { notFound, problem } from '../http/problem';
import { isThinnedAt, thinOut, wholeVersions } from './history';
import { Plan, PlanVersion } from '../db/entities/plan';

const asView = (plan: Plan): PlanView => ({
  id: plan.id,
  version: plan.version,
  savedAt: plan.savedAt.toISOString(),
  savedBy: plan.savedBy?.name ?? '',
  document: upcastStored(plan.document),
});

/** What whoever stored it is told. */
const stored = ({ id, version, savedAt, savedBy }: Plan): StoredPlan => ({
  ...{ id, version, savedAt: savedAt.toISOString(), savedBy: savedBy?.name ?? '' },
});

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
  const plan = await em.findOne(Plan, { choir, evening, item }, { populate: ['savedBy'] });
  return plan ? asView(plan) : null;
}

/** A pause after which the plan is kept as it was before it. */
const pause = 10 * 60_000;

/** Edits that put another plan in place of the one there is: that is kept as it was. */
const isAnother = (edits: readonly EditFact[]): boolean =>
  edits.some(({ code }) => code === 'built' || code === 'fitted' || code === 'replaced');

/**
 * Stores over the version it started from, where that is the present one; keeps the version, and the plan as it
 * was before a pause, another hand or another plan, in one statement.
 */
const saveOver = `
  with was as (
    select id, version, document, saved_at, saved_by_id
      from plan where evening_id = ? and item = ? and choir_id = ?),
  saved as (
    update plan
       set document = ?::jsonb, version = plan.version + 1, saved_at = ?, saved_by_id = ?
      from evening
     where plan.evening_id = ? and plan.item = ? and plan.version = ? and plan.choir_id = ?
       and evening.id = plan.evening_id and evening.choir_id = plan.choir_id
       and exists (
         select 1 from jsonb_array_elements(evening.agenda) one
          where one ->> 'id' = plan.item and one ->> 'kind' in ('warm-up', 'cool-down'))
    returning plan.id, plan.version, plan.saved_at, plan.saved_by_id),
  remembered as (
    insert into plan_version (id, plan_id, version, saved_at, saved_by_id, edits)
      select gen_random_uuid(), id, version, saved_at, saved_by_id, ?::jsonb from saved),
  kept as (
    update plan_version set document = was.document
      from was, saved
     where plan_version.plan_id = saved.id and plan_version.version = saved.version - 1
       and was.version = saved.version - 1
       and (?::boolean or was.saved_at < ? or was.saved_by_id is distinct from saved.saved_by_id))
  select id, version from saved`;

/**
 * Stores a plan over the version it started from, as a window that is worked in does every moment.
 * @returns undefined where there is no such version: then it has to be seen why.
 */
export async function savePlanOver(
  em: EntityManager,
  where: { choir: string; evening: string; item: string; account: Account },
  { version, document, edits }: SavePlan,
): Promise<StoredPlan | undefined> {
  const { choir, evening, item, account } = where;
  const savedAt = new Date();
  const [row] = await lean<{ id: string; version: number }>(em, saveOver, [
    evening,
    item,
    choir,
    JSON.stringify(document),
    savedAt,
    account.id,
    evening,
    item,
    version,
    choir,
    JSON.stringify(edits),
    isAnother(edits) ? 'true' : 'false',
    new Date(savedAt.getTime() - pause),
  ]);
  if (!row) return undefined;
  if (isThinnedAt(row.version)) {
    const plan = await em.findOne(Plan, { id: row.id });
    if (plan) await thinOut(em, plan, savedAt);
  }
  const { name: savedBy } = account;
  return { id: row.id, version: row.version, savedAt: savedAt.toISOString(), savedBy };
}

/**
 * Stores a plan that started from the given version (0: there was none). When someone else saved
 * in between it is refused, and nothing is stored.
 */
export async function savePlan(
  em: EntityManager,
  where: { choir: Choir; evening: Evening; item: string; account: Account },
  { version, document, edits }: SavePlan,
): Promise<StoredPlan> {
  const { choir, evening, item, account } = where;
  checkItem(evening, item);
  const savedAt = new Date();
  const plan = await em.findOne(Plan, { choir, evening, item });
  if (!plan) {
    if (version !== 0) throw problem('changed_meanwhile');
    const first = em.create(Plan, { choir, evening, item, document, savedAt, savedBy: account });
    remember(em, first, edits, 1);
    await flushOrClash(em);
    return stored(first);
  }
  await em.lock(plan, LockMode.OPTIMISTIC, version);
  plan.document = document;
  plan.savedAt = savedAt;
  plan.savedBy = account;
  remember(em, plan, edits, version + 1);
  await flushOrClash(em);
  await thinOut(em, plan, savedAt);
  return stored(plan);
}

/** Stores what was changed; the same version made twice at once is a clash. */
async function flushOrClash(em: EntityManager): Promise<void> {
  try {
    await em.flush();
  } catch (error) {
    if (error instanceof UniqueConstraintViolationException) throw problem('changed_meanwhile');
    throw error;
  }
}

/** Keeps who saved a version when, and what was done; the caller flushes. */
function remember(em: EntityManager, plan: Plan, edits: EditFact[], version: number): void {
  const { savedAt, savedBy } = plan;
  em.create(PlanVersion, {
    plan,
    version,
    savedAt,
    savedBy: savedBy ?? null,
    edits,
    document: null,
  });
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
