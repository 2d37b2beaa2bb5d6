import { Migration } from '@mikro-orm/migrations';

/**
 * Whoever changes anything of sessions, accounts, members or choirs, by whatever way, tells every
 * process, so that none remembers who may call for longer than that.
 */
const tell = `
create function tell_sign_in_change() returns trigger
language plpgsql as $$
begin
  perform pg_notify('sign_in_change', '');
  return null;
end $$;`;

/** What of each table decides who may call: a browser that was seen again changes nothing. */
const tables = [
  ['account_session', 'update of expires_at, account_id or delete'],
  ['account', 'update or delete'],
  ['member', 'insert or update or delete'],
  ['choir', 'update or delete'],
] as const;

export class Migration20261128215900 extends Migration {
  override async up(): Promise<void> {
    this.addSql(tell);
    for (const [table, when] of tables) {
      this.addSql(
        `create trigger ${table}_sign_in after ${when} on "${table}" ` +
          'for each statement execute function tell_sign_in_change();',
      );
    }
  }

  override async down(): Promise<void> {
    for (const [table] of tables) {
      this.addSql(`drop trigger if exists ${table}_sign_in on "${table}";`);
    }
    this.addSql('drop function if exists tell_sign_in_change();');
  }
}
