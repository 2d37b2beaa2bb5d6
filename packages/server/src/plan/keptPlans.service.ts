import type { EntityManager } from '@mikro-orm/postgresql';
import type { KeepPlan, KeptPlan as KeptView, WholeKeptPlan } from '@wide-fern/contract';
import { upcastStored } from '@wide-fern/plan';
import type { Account } from '../db/entities/account';
import type { Choir } from '../db/entities/choir';
import { KeptPlan } from '../db/entities/plan';
import { notFound } from '../http/problem';
import { withRoom } from '../keeping/room';

const asView = (kept: KeptPlan): KeptView => ({
  id: kept.id,
  name: kept.name,
  keptAt: kept.createdAt.toISOString(),
  keptBy: kept.keptBy?.name ?? '',
  exercises: upcastStored(kept.document).segments.map(({ exercise }) => exercise.name),
});

/** The plans a choir keeps to begin from, the newest first. */
export async function listKeptPlans(em: EntityManager, choir: Choir): Promise<KeptView[]> {
  const all = await em.find(
    KeptPlan,
    { choir },
    { populate: ['keptBy'], orderBy: { createdAt: 'desc', id: 'desc' } },
  );
  return all.map(asView);
}

/** Keeps a plan under a name, where there is room for it. */
export async function keepPlan(
  em: EntityManager,
  { choir, account }: { readonly choir: Choir; readonly account: Account },
  { name, document }: KeepPlan,
): Promise<KeptView> {
  return withRoom(em, choir, { of: 'keptPlans', adding: 1 }, async (inner) => {
    const keptBy = inner.getReference('Account', account.id);
    const made = inner.create(KeptPlan, { choir, name, document, keptBy });
    await inner.flush();
    return { ...asView(made), keptBy: account.name };
  });
}

async function found(em: EntityManager, choir: Choir, id: string): Promise<KeptPlan> {
  const kept = await em.findOne(KeptPlan, { id, choir }, { populate: ['keptBy'] });
  if (!kept) throw notFound('template');
  return kept;
}

/** One of them with its document. */
export async function showKeptPlan(
  em: EntityManager,
  choir: Choir,
  id: string,
): Promise<WholeKeptPlan> {
  const kept = await found(em, choir, id);
  return { ...asView(kept), document: upcastStored(kept.document) };
}

export async function removeKeptPlan(em: EntityManager, choir: Choir, id: string): Promise<void> {
  const gone = await em.nativeDelete(KeptPlan, { id, choir });
  if (gone === 0) throw notFound('template');
}
