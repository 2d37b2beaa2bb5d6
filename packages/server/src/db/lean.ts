import type { EntityManager } from '@mikro-orm/postgresql';

/**
 * Runs one statement as the driver takes it, its values beside it: for the few that are asked for most,
 * where the mapper would cost more than the database. Outside of transactions only.
 * @param sql with `?` for each value
 */
export async function lean<Row>(
  em: EntityManager,
  sql: string,
  values: readonly (string | number | Date | null)[],
): Promise<Row[]> {
  const { rows } = await em.getKnex().raw<{ readonly rows: Row[] }>(sql, [...values]);
  return rows;
}
