import type { MikroORM } from '@mikro-orm/postgresql';
import type { RequestHandler } from 'express';

/** Whether the process and its database answer; 503 when the database does not. */
export const health =
  (orm: MikroORM): RequestHandler =>
  async (_request, response) => {
    let database = 'ok';
    try {
      await orm.em.getConnection().execute('select 1');
    } catch {
      database = 'away';
    }
    response
      .status(database === 'ok' ? 200 : 503)
      .setHeader('Cache-Control', 'no-store')
      .json({ process: 'ok', database, uptimeSeconds: Math.floor(process.uptime()) });
  };
