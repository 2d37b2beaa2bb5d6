import { Migration } from '@mikro-orm/migrations';

/**
 * Where voices change their register is kept; a singer's part may be undecided; a whole room is
 * checked; a choir says how its times of day are shown.
 */
export class Migration20261129073238 extends Migration {
  override async up(): Promise<void> {
    this.addSql(`alter table "range_check" drop constraint if exists "range_check_means_check";`);
    this.addSql(
      `alter table "choir" add column "clock" text check ("clock" in ('24', '12')) not null default '24';`,
    );
    this.addSql(`alter table "singer" add column "changes" jsonb not null default '[]';`);
    this.addSql(`alter table "singer" alter column "part_id" drop not null;`);
    this.addSql(`alter table "range_check" add column "changes" jsonb not null default '[]';`);
    this.addSql(
      `alter table "range_check" add constraint "range_check_means_check" check("means" in ('by-ear', 'microphone', 'section', 'room'));`,
    );
  }

  override async down(): Promise<void> {
    this.addSql(`alter table "choir" drop column "clock";`);
    this.addSql(`alter table "range_check" drop constraint if exists "range_check_means_check";`);
    this.addSql(`alter table "range_check" drop column "changes";`);
    this.addSql(
      `alter table "range_check" add constraint "range_check_means_check" check("means" in ('by-ear', 'microphone', 'section'));`,
    );
    this.addSql(`alter table "singer" drop column "changes";`);
    this.addSql(`alter table "singer" alter column "part_id" set not null;`);
  }
}
