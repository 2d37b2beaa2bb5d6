import { Migration } from '@mikro-orm/migrations';

export class Migration20261201021409 extends Migration {
  override async up(): Promise<void> {
    this.addSql(
      `create table "singer_answer" ("id" uuid not null, "choir_id" uuid not null, "part" varchar(8) null, "said" jsonb not null, "sent_at" timestamptz not null, constraint "singer_answer_pkey" primary key ("id"));`,
    );
    this.addSql(
      `create index "singer_answer_choir_id_sent_at_index" on "singer_answer" ("choir_id", "sent_at");`,
    );

    this.addSql(
      `alter table "singer_answer" add constraint "singer_answer_choir_id_foreign" foreign key ("choir_id") references "choir" ("id") on update cascade on delete cascade;`,
    );

    this.addSql(`alter table "range_check" drop constraint if exists "range_check_means_check";`);

    this.addSql(`alter table "plan_link" add column "asks" boolean not null default false;`);

    this.addSql(
      `alter table "range_check" add constraint "range_check_means_check" check("means" in ('by-ear', 'microphone', 'section', 'room', 'at-home'));`,
    );
  }

  override async down(): Promise<void> {
    this.addSql(`drop table if exists "singer_answer" cascade;`);

    this.addSql(`alter table "range_check" drop constraint if exists "range_check_means_check";`);

    this.addSql(`alter table "plan_link" drop column "asks";`);

    this.addSql(
      `alter table "range_check" add constraint "range_check_means_check" check("means" in ('by-ear', 'microphone', 'section', 'room'));`,
    );
  }
}
