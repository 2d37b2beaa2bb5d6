import type { EntityManager } from '@mikro-orm/postgresql';
import type { PlanDocument } from '@wide-fern/contract';
import { withoutPersons } from '@wide-fern/plan';
import type { Choir } from '../db/entities/choir';
import { asPart, partsOf } from '../voices/parts.service';

/** A plan as a reader sees it, without what tells of persons. */
export async function discreetPlan<P extends { readonly document: PlanDocument }>(
  em: EntityManager,
  choir: Choir,
  plan: P,
): Promise<P> {
  const parts = (await partsOf(em, choir)).map(asPart);
  const share = (choir.sharePercent ?? 85) / 100;
  const setting = { share, trims: choir.trims ?? undefined };
  return { ...plan, document: withoutPersons(plan.document, parts, setting) };
}
