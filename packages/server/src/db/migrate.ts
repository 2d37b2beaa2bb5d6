import type { MikroORM } from '@mikro-orm/postgresql';

/** Any number, the same in every process: one migrates, the others wait. */
const lock = 460_011;

/** Brings the schema up to date; several processes may start at once. */
export async function migrate(orm: MikroORM): Promise<void> {
  await orm.em.fork().transactional(async (em) => {
    await em.execute('select pg_advisory_xact_lock(?)', [lock]);
    await orm.getMigrator().up();
  });
}
