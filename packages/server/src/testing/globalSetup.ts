import { MikroORM } from '@mikro-orm/postgresql';
import { throwawayCluster } from '../../../../tools/postgres/throwaway';
import { ensureDatabase } from '../../../../tools/postgres/database';
import { migrate } from '../db/migrate';
import { ormConfig } from '../db/orm.config';
import { templateName, type Shared } from './database';

/** One throw-away PostgreSQL for all files, with a migrated template that each file clones. */
export default async function setup(): Promise<void> {
  const cluster = await throwawayCluster();
  await ensureDatabase(cluster.url, templateName);
  const orm = await MikroORM.init(ormConfig(cluster.url(templateName)));
  await migrate(orm);
  await orm.close(true);
  process.env.TEST_DATABASE_SERVER = cluster.url('');
  (globalThis as Shared).testCluster = cluster;
}
