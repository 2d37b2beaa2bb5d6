import { createHash } from 'node:crypto';
import type { EntityManager } from '@mikro-orm/postgresql';

/** By its words: under which name the database keeps how it does a statement. */
const names = new Map<string, string>();

function nameOf(sql: string): string {
  const known = names.get(sql);
  if (known !== undefined) return known;
  const name = createHash('sha256').update(sql).digest('hex').slice(0, 24);
  names.set(sql, name);
  return name;
}

/**
 * Runs one statement as the driver takes it, its values beside it: for the few that are asked for most,
 * where the mapper would cost more than the database, and for files, which it would write out in letters.
 * Each connection reads a statement once, and knows it by its name from then on.
 * @param sql with `?` for each value; always the same words, for every other is kept too
 */
export async function lean<Row>(
  em: EntityManager,
  sql: string,
  values: readonly (string | number | Date | Buffer | null)[],
): Promise<Row[]> {
  const query = em
    .getKnex()
    .raw<{ readonly rows: Row[] }>(sql, [...values])
    .options({ name: nameOf(sql) });
  const transaction = em.getTransactionContext<Parameters<typeof query.transacting>[0]>();
  const { rows } = await (transaction ? query.transacting(transaction) : query);
  return rows;
}
