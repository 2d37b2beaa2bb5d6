import { Migration } from '@mikro-orm/migrations';

export class Migration20261201183822 extends Migration {
  override async up(): Promise<void> {
    this.addSql(
      `create table "plan_change" ("plan_id" uuid not null, "version" int not null, "changes" jsonb not null, constraint "plan_change_pkey" primary key ("plan_id", "version"));`,
    );

    this.addSql(
      `alter table "plan_change" add constraint "plan_change_plan_id_foreign" foreign key ("plan_id") references "plan" ("id") on update cascade on delete cascade;`,
    );
  }

  override async down(): Promise<void> {
    this.addSql(`drop table if exists "plan_change" cascade;`);
  }
}
