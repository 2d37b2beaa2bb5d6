import { Migration } from '@mikro-orm/migrations';

export class Migration20261125185929 extends Migration {
  override async up(): Promise<void> {
    this.addSql(
      `create table "singer_evening" ("id" uuid not null, "evening_id" uuid not null, "singer_id" uuid not null, "away" boolean not null default false, "states" jsonb not null default '[]', constraint "singer_evening_pkey" primary key ("id"));`,
    );
    this.addSql(`create index "singer_evening_singer_id_index" on "singer_evening" ("singer_id");`);
    this.addSql(
      `alter table "singer_evening" add constraint "singer_evening_evening_id_singer_id_unique" unique ("evening_id", "singer_id");`,
    );

    this.addSql(
      `create table "range_check" ("id" uuid not null, "singer_id" uuid not null, "checked_on" date not null, "comfort_low" int not null, "comfort_high" int not null, "reach_low" int not null, "reach_high" int not null, "light_top" int null, "means" text check ("means" in ('by-ear', 'microphone', 'section')) not null, "created_at" timestamptz not null, constraint "range_check_pkey" primary key ("id"), constraint range_check_limits_check check (0 <= reach_low and reach_low <= comfort_low and comfort_low <= comfort_high and comfort_high <= reach_high and reach_high <= 127));`,
    );
    this.addSql(
      `create index "range_check_singer_id_checked_on_index" on "range_check" ("singer_id", "checked_on");`,
    );

    this.addSql(
      `alter table "singer_evening" add constraint "singer_evening_evening_id_foreign" foreign key ("evening_id") references "evening" ("id") on update cascade on delete cascade;`,
    );
    this.addSql(
      `alter table "singer_evening" add constraint "singer_evening_singer_id_foreign" foreign key ("singer_id") references "singer" ("id") on update cascade on delete cascade;`,
    );

    this.addSql(
      `alter table "range_check" add constraint "range_check_singer_id_foreign" foreign key ("singer_id") references "singer" ("id") on update cascade on delete cascade;`,
    );

    this.addSql(`alter table "choir" add column "trims" jsonb null;`);

    this.addSql(
      `alter table "evening" add column "condition" text check ("condition" in ('rested', 'after-work', 'morning', 'cold', 'returning')) not null default 'rested';`,
    );

    this.addSql(`alter table "voice_part" drop constraint "voice_part_choir_id_position_unique";`);

    this.addSql(
      `alter table "voice_part" add column "telling_end" text check ("telling_end" in ('top', 'bottom')) not null default 'top', add column "change_low" int null, add column "change_high" int null;`,
    );
    // Parts that exist are a mixed choir's; the zones are those they are made with from now on.
    this.addSql(`update "voice_part" set "telling_end" = 'bottom' where "code" in ('A', 'B');`);
    this.addSql(
      `update "voice_part" set ("change_low", "change_high") = (select low, high from (values ('S', 76, 78), ('A', 65, 76), ('T', 62, 67), ('B', 57, 62)) as zone (code, low, high) where zone.code = "voice_part"."code");`,
    );
    this.addSql(
      `update "voice_part" set "change_low" = "comfort_high", "change_high" = "comfort_high" where "change_low" is null;`,
    );
    this.addSql(
      `alter table "voice_part" alter column "change_low" set not null, alter column "change_high" set not null;`,
    );

    this.addSql(
      `alter table "singer" add column "also" jsonb not null default '[]', add column "light_top" int null, add column "states" jsonb not null default '[]', add column "on_leave" boolean not null default false, add column "notes" text not null default '', add column "checked_on" date null, add column "version" int not null default 1;`,
    );
    this.addSql(
      `alter table "singer" alter column "comfort_low" type int using ("comfort_low"::int);`,
    );
    this.addSql(`alter table "singer" alter column "comfort_low" drop not null;`);
    this.addSql(
      `alter table "singer" alter column "comfort_high" type int using ("comfort_high"::int);`,
    );
    this.addSql(`alter table "singer" alter column "comfort_high" drop not null;`);
    this.addSql(`alter table "singer" alter column "reach_low" type int using ("reach_low"::int);`);
    this.addSql(`alter table "singer" alter column "reach_low" drop not null;`);
    this.addSql(
      `alter table "singer" alter column "reach_high" type int using ("reach_high"::int);`,
    );
    this.addSql(`alter table "singer" alter column "reach_high" drop not null;`);
    this.addSql(
      `alter table "singer" add constraint singer_limits_known_check check(num_nulls(comfort_low, comfort_high, reach_low, reach_high) % 4 = 0);`,
    );
  }

  override async down(): Promise<void> {
    this.addSql(`drop table if exists "singer_evening" cascade;`);

    this.addSql(`drop table if exists "range_check" cascade;`);

    this.addSql(`alter table "choir" drop column "trims";`);

    this.addSql(`alter table "evening" drop column "condition";`);

    this.addSql(`alter table "singer" drop constraint singer_limits_known_check;`);
    this.addSql(
      `alter table "singer" drop column "also", drop column "light_top", drop column "states", drop column "on_leave", drop column "notes", drop column "checked_on", drop column "version";`,
    );

    this.addSql(
      `alter table "singer" alter column "comfort_low" type int4 using ("comfort_low"::int4);`,
    );
    this.addSql(`alter table "singer" alter column "comfort_low" set not null;`);
    this.addSql(
      `alter table "singer" alter column "comfort_high" type int4 using ("comfort_high"::int4);`,
    );
    this.addSql(`alter table "singer" alter column "comfort_high" set not null;`);
    this.addSql(
      `alter table "singer" alter column "reach_low" type int4 using ("reach_low"::int4);`,
    );
    this.addSql(`alter table "singer" alter column "reach_low" set not null;`);
    this.addSql(
      `alter table "singer" alter column "reach_high" type int4 using ("reach_high"::int4);`,
    );
    this.addSql(`alter table "singer" alter column "reach_high" set not null;`);

    this.addSql(
      `alter table "voice_part" drop column "telling_end", drop column "change_low", drop column "change_high";`,
    );

    this.addSql(
      `CREATE UNIQUE INDEX voice_part_choir_id_position_unique ON public.voice_part USING btree (choir_id, "position");`,
    );
  }
}
