import type { EntityManager } from '@mikro-orm/postgresql';
import type { StoreTemplate, Template } from '@wide-fern/contract';
import type { Choir } from '../db/entities/choir';
import { notFound, problem } from '../http/problem';
import { EveningTemplate } from '../db/entities/evening';

/** A choir keeps at most so many. */
const mostTemplates = 40;

export async function listTemplates(em: EntityManager, choir: Choir): Promise<Template[]> {
  const all = await em.find(EveningTemplate, { choir }, { orderBy: { createdAt: 'asc' } });
  return all.map(({ id, document }) => ({ id, ...document }));
}

export async function addTemplate(
  em: EntityManager,
  choir: Choir,
  document: StoreTemplate,
): Promise<Template> {
  if ((await em.count(EveningTemplate, { choir })) >= mostTemplates) {
    throw problem('too_many', { of: 'templates', most: mostTemplates });
  }
  const made = em.create(EveningTemplate, { choir, document });
  await em.flush();
  return { id: made.id, ...document };
}

export async function removeTemplate(em: EntityManager, choir: Choir, id: string): Promise<void> {
  const found = await em.findOne(EveningTemplate, { id, choir });
  if (!found) throw notFound('template');
  em.remove(found);
  await em.flush();
}
