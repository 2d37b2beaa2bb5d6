import { Migration } from '@mikro-orm/migrations';

export class Migration20261130151037 extends Migration {
  override async up(): Promise<void> {
    // Worked out anew from the events when the server starts.
    this.addSql(`delete from "led_once";`);
    this.addSql(`alter table "exercise_mark" add column "learned_from" timestamptz null;`);

    this.addSql(`alter table "led_once" add column "strained" jsonb not null default '[]';`);
  }

  override async down(): Promise<void> {
    this.addSql(`alter table "exercise_mark" drop column "learned_from";`);

    this.addSql(`alter table "led_once" drop column "strained";`);
  }
}
