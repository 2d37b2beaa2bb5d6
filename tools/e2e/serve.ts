/** The built application on a database of its own, for the browser tests; cleans up after both. */
import { join } from 'node:path';
import { ensureDatabase } from '../postgres/database';
import { throwawayCluster } from '../postgres/throwaway';
import { root } from '../root';
import { startServer } from '../start/server';

const port = process.env.E2E_PORT ?? '4173';
const cluster = await throwawayCluster();
await ensureDatabase(cluster.url, 'e2e');
// Every reply is held against the contract.
process.env.CHECK_REPLIES = 'yes';
// Everybody comes from one address here.
process.env.MOST_CALLS = '100000';
// Mails lie where the tests find them.
process.env.MAIL_FOLDER = join(root, 'packages', 'e2e', 'results', 'mails');
const server = await startServer(root, {
  DATABASE_URL: cluster.url('e2e'),
  PORT: port,
  LOG_LEVEL: 'warn',
});

let stopping = false;
async function stop(): Promise<void> {
  if (stopping) return;
  stopping = true;
  await server.stop();
  await cluster.stop();
  process.exit(0);
}
process.on('SIGTERM', () => void stop());
process.on('SIGINT', () => void stop());
