import { randomBytes } from 'node:crypto';
import { MikroORM } from '@mikro-orm/postgresql';
import { execute } from '../../../../tools/postgres/database';
import { pino } from 'pino';
import { ormConfig } from '../db/orm.config';
import { changeHub, type ChangeHub } from '../events/hub';

export const templateName = 'template';
/** What set-up and tear-down share. */
export type Shared = typeof globalThis & { testCluster?: { stop: () => Promise<void> } };

/** A database of its own for the file that calls this, cloned from the migrated template. */
export function testDatabase(): {
  readonly orm: MikroORM;
  readonly url: string;
  readonly hub: ChangeHub;
} {
  const server = process.env.TEST_DATABASE_SERVER ?? '';
  const name = `t_${process.env.JEST_WORKER_ID ?? '0'}_${randomBytes(4).toString('hex')}`;
  const hub = changeHub(server + name, pino({ level: 'silent' }));
  const database = { orm: undefined as unknown as MikroORM, url: server + name, hub };
  beforeAll(async () => {
    await execute(`${server}postgres`, `create database ${name} template ${templateName}`);
    database.orm = await MikroORM.init(ormConfig(database.url));
  });
  afterAll(async () => {
    await hub.close();
    await database.orm?.close(true);
    await execute(`${server}postgres`, `drop database if exists ${name} with (force)`);
  });
  return database;
}
