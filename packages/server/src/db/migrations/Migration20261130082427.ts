import { Migration } from '@mikro-orm/migrations';

export class Migration20261130082427 extends Migration {
  override async up(): Promise<void> {
    this.addSql(
      `create table "led_once" ("run_id" uuid not null, "place" int not null, "choir_id" uuid not null, "exercise" varchar(60) not null, "led_at" timestamptz not null, "talk" double precision not null, "coach" double precision not null, "after" double precision not null, "singing" double precision not null, "planned" double precision not null, constraint "led_once_pkey" primary key ("run_id", "place"));`,
    );
    this.addSql(
      `create index "led_once_choir_id_led_at_index" on "led_once" ("choir_id", "led_at");`,
    );

    this.addSql(
      `alter table "led_once" add constraint "led_once_run_id_foreign" foreign key ("run_id") references "run" ("id") on update cascade on delete cascade;`,
    );
    this.addSql(
      `alter table "led_once" add constraint "led_once_choir_id_foreign" foreign key ("choir_id") references "choir" ("id") on update cascade on delete cascade;`,
    );
  }

  override async down(): Promise<void> {
    this.addSql(`drop table if exists "led_once" cascade;`);
  }
}
