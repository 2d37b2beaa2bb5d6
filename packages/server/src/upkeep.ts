import type { EntityManager, MikroORM } from '@mikro-orm/postgresql';
import type { Logger } from 'pino';

const hour = 60 * 60_000;

/** What is over by itself: of these, rows whose time has passed are deleted. */
const over = [
  'delete from choir where closes_at < now()',
  'delete from account where closes_at < now()',
  'delete from account_session where expires_at < now()',
  'delete from account_secret where expires_at < now()',
  'delete from invitation where expires_at < now()',
  'delete from plan_link where expires_at < now()',
  `delete from member where removed_at < now() - interval '30 days'`,
  `delete from own_exercise where removed_at < now() - interval '90 days'`,
  `delete from singer_answer where sent_at < now() - interval '60 days'`,
  'delete from piece_recording where expires_at < now()',
  `delete from audit_record where at < now() - interval '1 year'`,
];

/** What else is deleted when its time has come. */
export type Tidying = (em: EntityManager) => Promise<void>;

/** Deletes what was to be deleted by now. */
export async function tidyUp(orm: MikroORM, more: readonly Tidying[] = []): Promise<void> {
  const em = orm.em.fork();
  for (const tidying of more) await tidying(em);
  for (const statement of over) await em.execute(statement);
}

/** Does so at once and every hour; several processes may do it together. */
export function keepTidy(
  orm: MikroORM,
  log: Logger,
  more: readonly Tidying[],
): { readonly stop: () => void } {
  const run = () => {
    tidyUp(orm, more).catch((error: unknown) =>
      log.error({ err: error }, 'tidying up did not work'),
    );
  };
  run();
  const timer = setInterval(run, hour);
  timer.unref();
  return { stop: () => clearInterval(timer) };
}
