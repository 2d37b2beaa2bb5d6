import type { EntityManager } from '@mikro-orm/postgresql';

/**
 * Runs one statement as the driver takes it, its values beside it: for the few that are asked for most,
 * where the mapper would cost more than the database, and for files, which it would write out in letters.
 * @param sql with `?` for each value
 */
export async function lean<Row>(
  em: EntityManager,
  sql: string,
  values: readonly (string | number | Date | Buffer | null)[],
): Promise<Row[]> {
  const query = em.getKnex().raw<{ readonly rows: Row[] }>(sql, [...values]);
  const transaction = em.getTransactionContext<Parameters<typeof query.transacting>[0]>();
  const { rows } = await (transaction ? query.transacting(transaction) : query);
  return rows;
}
