import type { Server } from 'node:http';
import { MikroORM } from '@mikro-orm/postgresql';
import { pino } from 'pino';
import { createApp } from './app';
import { changeHub } from './events/hub';
import { freeBytesAt } from './http/diskGuard';
import { migrate } from './db/migrate';
import { ormConfig } from './db/orm.config';
import { throwOldDemosAway } from './demo/demo.service';
import { folderMailer, smtpMailer } from './mail/mailer';
import { endLeftRuns, workOutRuns } from './run/leftRuns';
import { keepTidy } from './upkeep';

/** The server process: settings from the environment, see docs/running.md. */
const { DATABASE_URL, WEB_ROOT, LOG_LEVEL = 'info', TRUSTED_PROXIES = '0' } = process.env;
const { SMTP_URL, MAIL_FROM, MAIL_FOLDER = '.data/mails', MOST_CALLS, DATA_DISK } = process.env;
const port = Number(process.env.PORT ?? 4600);
const host = '127.0.0.1';

const log = pino({
  level: LOG_LEVEL,
  // Errors may quote values of a statement; their text stays out of the log, their kind and place do not.
  serializers: {
    err: (error: Error & { code?: string }) => ({
      type: error.name,
      code: error.code,
      stack: error.stack?.split('\n').filter((line) => line.trimStart().startsWith('at ')),
    }),
  },
});

if (!DATABASE_URL) throw new Error('DATABASE_URL is not set. Start with: npm start');
const orm = await MikroORM.init(ormConfig(DATABASE_URL));
await migrate(orm);

const hub = changeHub(DATABASE_URL, log);
const mailer = SMTP_URL
  ? smtpMailer(SMTP_URL, log, MAIL_FROM)
  : folderMailer(MAIL_FOLDER, log, MAIL_FROM);
const upkeep = keepTidy(orm, log, [throwOldDemosAway, endLeftRuns, workOutRuns]);
const app = createApp({
  orm,
  log,
  hub,
  trustedProxies: Number(TRUSTED_PROXIES),
  checkReplies: process.env.CHECK_REPLIES === 'yes',
  mailer,
  ...(DATA_DISK ? { free: freeBytesAt(DATA_DISK) } : {}),
  publicUrl: (process.env.PUBLIC_URL ?? `http://${host}:${port}`).replace(/\/+$/, ''),
  hasDemo: process.env.DEMO !== 'no',
  ...(MOST_CALLS ? { mostCalls: Number(MOST_CALLS) } : {}),
  ...(WEB_ROOT ? { webRoot: WEB_ROOT } : {}),
});
const server: Server = app.listen(port, host, (error?: Error) => {
  if (error) {
    log.fatal({ err: error }, `port ${port} cannot be opened`);
    process.exit(1);
  }
  log.info({ port }, 'listening');
  process.send?.({ kind: 'ready', port });
});

// Longer than browsers and proxies keep a connection, so that they close it and never find it closed.
server.keepAliveTimeout = 75_000;
server.headersTimeout = 80_000;

let stopping = false;
async function stop(): Promise<void> {
  if (stopping) return;
  stopping = true;
  // Whatever still hangs after that long, the database's own wait among it, does not keep us for ever.
  setTimeout(() => {
    log.error('something did not end in time; ending without it');
    process.exit(1);
  }, 15_000).unref();
  const closed = new Promise<void>((done) => server.close(() => done()));
  server.closeIdleConnections();
  upkeep.stop();
  await hub.close();
  // A connection that hangs does not keep us; what was acknowledged is stored already.
  const late = setTimeout(() => server.closeAllConnections(), 3000);
  await closed;
  clearTimeout(late);
  await orm.close(true);
  process.disconnect?.();
}
process.on('SIGTERM', () => void stop());
process.on('SIGINT', () => void stop());
// When whoever started us is gone, so are we.
process.on('disconnect', () => void stop());
