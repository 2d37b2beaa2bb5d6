import type { EntityManager } from '@mikro-orm/postgresql';
import type { Plan, SmallEdit } from '@wide-fern/contract';
import { upcastStored, withStored } from '@wide-fern/plan';
import { lean } from './lean';

interface Row {
  readonly id: string;
  readonly item: string;
  readonly version: number;
  readonly saved_at: Date | string;
  readonly saved_by: string | null;
  readonly document: { readonly schema: number };
  readonly changes: SmallEdit[][] | null;
}

/** A plan as it is, and the agenda item it belongs to. */
export interface PlanOf extends Plan {
  readonly item: string;
}

/** In one statement: a plan that is stored meanwhile is read as it was before or after, never as half of each. */
const read = `
  select plan.id, plan.item, plan.version, plan.saved_at, account.name as saved_by, plan.document,
         (select jsonb_agg(changes order by plan_change.version)
            from plan_change where plan_change.plan_id = plan.id) as changes
    from plan left join account on account.id = plan.saved_by_id
   where plan.choir_id = ? and plan.evening_id = ?`;

/** The plans of an evening as they are: as they were last stored whole, with what was changed since. */
export async function plansAsTheyAre(
  em: EntityManager,
  { choir, evening, item }: { choir: string; evening: string; item?: string },
): Promise<PlanOf[]> {
  const rows = await lean<Row>(
    em,
    item === undefined ? read : `${read} and plan.item = ?`,
    item === undefined ? [choir, evening] : [choir, evening, item],
  );
  return rows.map(({ saved_at, saved_by, document, changes, ...row }) => ({
    ...row,
    savedAt: new Date(saved_at).toISOString(),
    savedBy: saved_by ?? '',
    document: withStored(upcastStored(document), (changes ?? []).flat()),
  }));
}
