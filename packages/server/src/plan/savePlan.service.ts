import { UniqueConstraintViolationException, type EntityManager } from '@mikro-orm/postgresql';
import type { ChangePlan, EditFact, SavePlan, SmallEdit, StoredPlan } from '@wide-fern/contract';
import { withStored } from '@wide-fern/plan';
import type { Account } from '../db/entities/account';
import type { Choir } from '../db/entities/choir';
import type { Evening } from '../db/entities/evening';
import { Plan, PlanVersion } from '../db/entities/plan';
import { lean } from '../db/lean';
import type { Caller } from '../http/endpoint';
import { problem } from '../http/problem';
import { plansAsTheyAre } from '../db/storedPlans';
import { isThinnedAt, thinOut } from './history';
import { checkItem } from './plan.service';

/** Whose plan of which agenda item is stored, by whom. */
interface Place {
  readonly choir: string;
  readonly evening: string;
  readonly item: string;
  readonly caller: Caller;
}

/** A pause after which the plan is kept as it was before it. */
const pause = 10 * 60_000;

/** After so many small changes the document is stored whole: so many are put together at most when it is read. */
const mostPending = 100;

/** Edits that put another plan in place of the one there is: that is kept as it was. */
const isAnother = (edits: readonly EditFact[]): boolean =>
  edits.some(({ code }) => code === 'built' || code === 'fitted' || code === 'replaced');

/** The plan of an evening of the choir, on an item that warms up or cools down. */
const isHere = `
  plan.evening_id = ? and plan.item = ? and plan.choir_id = ? and plan.version = ?
  and evening.id = plan.evening_id and evening.choir_id = plan.choir_id
  and exists (
    select 1 from jsonb_array_elements(evening.agenda) one
     where one ->> 'id' = plan.item and one ->> 'kind' in ('warm-up', 'cool-down'))`;
const here = ({ evening, item, choir }: Place, version: number) => [evening, item, choir, version];

/** Keeps who stored the version that was \`saved\`, when, and what was done. */
const remembered = `
  remembered as (
    insert into plan_version (id, plan_id, version, saved_at, saved_by_id, edits)
      select gen_random_uuid(), id, version, saved_at, saved_by_id, ?::jsonb from saved)`;

/**
 * Stores over the version it started from, where that is the present one; keeps the version, and the plan as it
 * was before a pause, another hand or another plan, in one statement. What is to be kept has to lie there whole.
 */
const saveOver = `
  with was as (
    select id, version, document, saved_at, saved_by_id
      from plan where evening_id = ? and item = ? and choir_id = ?),
  saved as (
    update plan
       set document = ?::jsonb, version = plan.version + 1, saved_at = ?, saved_by_id = ?
      from evening
     where ${isHere}
       and (not exists (select 1 from plan_change where plan_change.plan_id = plan.id)
         or not (?::boolean or plan.saved_at < ? or plan.saved_by_id is distinct from ?))
    returning plan.id, plan.version, plan.saved_at, plan.saved_by_id),
  contained as (
    delete from plan_change using saved where plan_change.plan_id = saved.id),
  ${remembered},
  kept as (
    update plan_version set document = was.document
      from was, saved
     where plan_version.plan_id = saved.id and plan_version.version = saved.version - 1
       and was.version = saved.version - 1
       and (?::boolean or was.saved_at < ? or was.saved_by_id is distinct from saved.saved_by_id))
  select id, version from saved`;

/**
 * Stores what changes the version it started from, beside the document: where that is the present one, by the same
 * hand without a pause, so that nothing has to be kept whole, and not too often.
 */
const changeOver = `
  with saved as (
    update plan
       set version = plan.version + 1, saved_at = ?
      from evening
     where ${isHere}
       and plan.saved_by_id = ? and plan.saved_at >= ?
       and plan.document -> 'segments' @> ?::jsonb
       and (select count(*) from plan_change where plan_change.plan_id = plan.id) < ${mostPending}
    returning plan.id, plan.version, plan.saved_at, plan.saved_by_id),
  changed as (
    insert into plan_change (plan_id, version, changes) select id, version, ?::jsonb from saved),
  ${remembered}
  select id, version from saved`;

/** The segments that small edits are about. They stay what they are until a document is stored whole. */
const segmentsOf = (changes: readonly SmallEdit[]): string[] =>
  changes.flatMap((one) =>
    one.kind === 'move' && one.after !== null ? [one.id, one.after] : [one.id],
  );

interface Saved {
  readonly id: string;
  readonly version: number;
}

/** What whoever stored it is told; now and then the plan's versions are thinned out. */
async function told(
  em: EntityManager,
  { id, version }: Saved,
  { caller }: Place,
  savedAt: Date,
): Promise<StoredPlan> {
  if (isThinnedAt(version)) await thinOut(em, id, savedAt);
  return { id, version, savedAt: savedAt.toISOString(), savedBy: caller.name };
}

/** Undefined where there is no such version, or what was changed since it was stored has to be put on it first. */
async function savedOver(
  em: EntityManager,
  place: Place,
  { version, document, edits }: SavePlan,
): Promise<StoredPlan | undefined> {
  const { choir, evening, item, caller } = place;
  const savedAt = new Date();
  const another = isAnother(edits) ? 'true' : 'false';
  const long = new Date(savedAt.getTime() - pause);
  const [row] = await lean<Saved>(em, saveOver, [
    ...[evening, item, choir],
    ...[JSON.stringify(document), savedAt, caller.id],
    ...here(place, version),
    ...[another, long, caller.id],
    JSON.stringify(edits),
    ...[another, long],
  ]);
  return row && told(em, row, place, savedAt);
}

/** Stores a plan whole, with what was changed since, as the version it is; where that is still the present one. */
async function putTogether(em: EntityManager, place: Place, version: number): Promise<boolean> {
  const [plan] = await plansAsTheyAre(em, place);
  if (plan?.version !== version) return false;
  const [done] = await lean<{ readonly id: string }>(
    em,
    `with whole as (
       update plan set document = ?::jsonb where id = ? and version = ? returning id),
     contained as (
       delete from plan_change using whole where plan_change.plan_id = whole.id)
     select id from whole`,
    [JSON.stringify(plan.document), plan.id, version],
  );
  return done !== undefined;
}

/**
 * Stores a plan over the version it started from, as a window that is worked in does every moment.
 * @returns undefined where there is no such version: then it has to be seen why.
 */
export async function savePlanOver(
  em: EntityManager,
  place: Place,
  body: SavePlan,
): Promise<StoredPlan | undefined> {
  const saved = await savedOver(em, place, body);
  if (saved) return saved;
  return (await putTogether(em, place, body.version)) ? savedOver(em, place, body) : undefined;
}

/**
 * Stores what changes the version it started from.
 * @returns undefined where there is no such version: then it has to be seen why.
 */
export async function changePlanOver(
  em: EntityManager,
  place: Place,
  { version, changes, edits }: ChangePlan,
): Promise<StoredPlan | undefined> {
  const savedAt = new Date();
  const [row] = await lean<Saved>(em, changeOver, [
    savedAt,
    ...here(place, version),
    ...[place.caller.id, new Date(savedAt.getTime() - pause)],
    JSON.stringify(segmentsOf(changes).map((id) => ({ id }))),
    ...[JSON.stringify(changes), JSON.stringify(edits)],
  ]);
  if (row) return told(em, row, place, savedAt);
  const [plan] = await plansAsTheyAre(em, place);
  if (plan?.version !== version) return undefined;
  const { segments } = plan.document;
  if (!segmentsOf(changes).every((one) => segments.some(({ id }) => id === one))) return undefined;
  return savePlanOver(em, place, {
    ...{ version, edits },
    document: withStored(plan.document, changes),
  });
}

/**
 * Stores the first plan of an item, which starts from version 0.
 * @throws Problem changed_meanwhile where there is one already, or the version it started from is not the present one
 */
export async function beginPlan(
  em: EntityManager,
  where: { choir: Choir; evening: Evening; item: string; account: Account },
  { version, document, edits }: SavePlan,
): Promise<StoredPlan> {
  const { choir, evening, item, account } = where;
  checkItem(evening, item);
  if (version !== 0) throw problem('changed_meanwhile');
  const savedAt = new Date();
  const plan = em.create(Plan, { choir, evening, item, document, savedAt, savedBy: account });
  const first = { plan, version: 1, savedAt, savedBy: account };
  em.create(PlanVersion, { ...first, edits, document: null });
  try {
    await em.flush();
  } catch (error) {
    if (error instanceof UniqueConstraintViolationException) throw problem('changed_meanwhile');
    throw error;
  }
  return { id: plan.id, version: 1, savedAt: savedAt.toISOString(), savedBy: account.name };
}
