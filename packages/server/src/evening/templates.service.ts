import type { EntityManager } from '@mikro-orm/postgresql';
import type { StoreTemplate, Template } from '@wide-fern/contract';
import type { Choir } from '../db/entities/choir';
import { withRoom } from '../keeping/room';
import { notFound } from '../http/problem';
import { EveningTemplate } from '../db/entities/evening';

export async function listTemplates(em: EntityManager, choir: Choir): Promise<Template[]> {
  const all = await em.find(EveningTemplate, { choir }, { orderBy: { createdAt: 'asc' } });
  return all.map(({ id, document }) => ({ id, ...document }));
}

export async function addTemplate(
  em: EntityManager,
  choir: Choir,
  document: StoreTemplate,
): Promise<Template> {
  return withRoom(em, choir, { of: 'templates', adding: 1 }, async (inner) => {
    const made = inner.create(EveningTemplate, { choir, document });
    await inner.flush();
    return { id: made.id, ...document };
  });
}

export async function removeTemplate(em: EntityManager, choir: Choir, id: string): Promise<void> {
  const gone = await em.nativeDelete(EveningTemplate, { id, choir });
  if (gone === 0) throw notFound('template');
}
