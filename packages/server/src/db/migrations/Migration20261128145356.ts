import { Migration } from '@mikro-orm/migrations';

export class Migration20261128145356 extends Migration {
  override async up(): Promise<void> {
    this.addSql(
      `create table "choir_change" ("id" bigserial primary key, "choir_id" uuid not null, "transaction" bigint not null, "kind" varchar(20) not null, "about" jsonb not null, "at" timestamptz not null default now());`,
    );
    this.addSql(
      `create index "choir_change_choir_id_id_index" on "choir_change" ("choir_id", "id");`,
    );
    this.addSql(
      `alter table "choir_change" add constraint "choir_change_choir_id_transaction_kind_about_unique" unique ("choir_id", "transaction", "kind", "about");`,
    );

    this.addSql(
      `create table "plan_version" ("id" uuid not null, "plan_id" uuid not null, "version" int not null, "saved_at" timestamptz not null, "saved_by_id" uuid null, "edits" jsonb not null, constraint "plan_version_pkey" primary key ("id"));`,
    );
    this.addSql(
      `alter table "plan_version" add constraint "plan_version_plan_id_version_unique" unique ("plan_id", "version");`,
    );

    this.addSql(
      `alter table "choir_change" add constraint "choir_change_choir_id_foreign" foreign key ("choir_id") references "choir" ("id") on update cascade on delete cascade;`,
    );

    this.addSql(
      `alter table "plan_version" add constraint "plan_version_plan_id_foreign" foreign key ("plan_id") references "plan" ("id") on update cascade on delete cascade;`,
    );
    this.addSql(
      `alter table "plan_version" add constraint "plan_version_saved_by_id_foreign" foreign key ("saved_by_id") references "account" ("id") on update cascade on delete set null;`,
    );
  }

  override async down(): Promise<void> {
    this.addSql(`drop table if exists "choir_change" cascade;`);

    this.addSql(`drop table if exists "plan_version" cascade;`);
  }
}
