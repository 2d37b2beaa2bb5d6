import { Migration } from '@mikro-orm/migrations';

export class Migration20261130220548 extends Migration {
  override async up(): Promise<void> {
    this.addSql(`alter table "choir" add column "courses" jsonb null;`);
    // Worked out anew from what happened, when the server starts.
    this.addSql(`delete from "led_once";`);
    this.addSql(
      `alter table "led_once" add column "keys" int not null default 0, add column "breath" double precision null;`,
    );
  }

  override async down(): Promise<void> {
    this.addSql(`alter table "choir" drop column "courses";`);
    this.addSql(`alter table "led_once" drop column "keys", drop column "breath";`);
  }
}
