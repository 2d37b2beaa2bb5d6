import { Migration } from '@mikro-orm/migrations';

export class Migration20261130110222 extends Migration {
  override async up(): Promise<void> {
    this.addSql(
      `alter table "run" add column "allotted" double precision null, add column "planned" double precision null, add column "real" double precision null;`,
    );

    // Worked out anew from the events: what ended before is asked for what it is asked now.
    this.addSql(`delete from "led_once";`);
    this.addSql(
      `alter table "led_once" add column "name" varchar(120) not null, add column "phase" varchar(20) not null, add column "purposes" jsonb not null, add column "top" int null, add column "managed" varchar(8) null;`,
    );
  }

  override async down(): Promise<void> {
    this.addSql(
      `alter table "led_once" drop column "name", drop column "phase", drop column "purposes", drop column "top", drop column "managed";`,
    );

    this.addSql(
      `alter table "run" drop column "allotted", drop column "planned", drop column "real";`,
    );
  }
}
