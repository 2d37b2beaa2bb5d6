import type { EntityManager } from '@mikro-orm/postgresql';
import type { StoreTemplate, Template } from '@wide-fern/contract';
import type { Choir } from '../choir/choir.entity';
import { notFound, Problem } from '../http/problem';
import { EveningTemplate } from './evening.entity';

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
    throw new Problem(
      409,
      'too_many',
      `A choir keeps at most ${mostTemplates} of these. Throw some away first.`,
    );
  }
  const made = em.create(EveningTemplate, { choir, document });
  await em.flush();
  return { id: made.id, ...document };
}

export async function removeTemplate(em: EntityManager, choir: Choir, id: string): Promise<void> {
  const found = await em.findOne(EveningTemplate, { id, choir });
  if (!found) throw notFound('This evening to begin from');
  em.remove(found);
  await em.flush();
}
