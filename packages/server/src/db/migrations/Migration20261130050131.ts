import { Migration } from '@mikro-orm/migrations';

export class Migration20261130050131 extends Migration {
  override async up(): Promise<void> {
    this.addSql(
      `create table "plan_link" ("id" uuid not null, "choir_id" uuid not null, "evening_id" uuid not null, "item" varchar(40) not null, "code_hash" varchar(64) not null, "note" varchar(80) not null, "expires_at" timestamptz not null, "created_at" timestamptz not null, constraint "plan_link_pkey" primary key ("id"));`,
    );
    this.addSql(`create index "plan_link_choir_id_index" on "plan_link" ("choir_id");`);
    this.addSql(
      `alter table "plan_link" add constraint "plan_link_code_hash_unique" unique ("code_hash");`,
    );
    this.addSql(`create index "plan_link_expires_at_index" on "plan_link" ("expires_at");`);
    this.addSql(
      `create index "plan_link_evening_id_item_index" on "plan_link" ("evening_id", "item");`,
    );

    this.addSql(
      `alter table "plan_link" add constraint "plan_link_choir_id_foreign" foreign key ("choir_id") references "choir" ("id") on update cascade on delete cascade;`,
    );
    this.addSql(
      `alter table "plan_link" add constraint "plan_link_evening_id_foreign" foreign key ("evening_id") references "evening" ("id") on update cascade on delete cascade;`,
    );
  }

  override async down(): Promise<void> {
    this.addSql(`drop table if exists "plan_link" cascade;`);
  }
}
