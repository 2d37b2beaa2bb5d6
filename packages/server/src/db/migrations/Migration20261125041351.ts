import { Migration } from '@mikro-orm/migrations';

export class Migration20261125041351 extends Migration {
  override async up(): Promise<void> {
    this.addSql(
      `create table "account" ("id" uuid not null, "email" varchar(254) not null, "name" varchar(80) not null, "password_hash" varchar(255) not null, "created_at" timestamptz not null, constraint "account_pkey" primary key ("id"));`,
    );
    this.addSql(`alter table "account" add constraint "account_email_unique" unique ("email");`);

    this.addSql(
      `create table "account_session" ("id" varchar(64) not null, "account_id" uuid not null, "created_at" timestamptz not null, "expires_at" timestamptz not null, constraint "account_session_pkey" primary key ("id"));`,
    );
    this.addSql(
      `create index "account_session_account_id_index" on "account_session" ("account_id");`,
    );
    this.addSql(
      `create index "account_session_expires_at_index" on "account_session" ("expires_at");`,
    );

    this.addSql(
      `create table "attempt" ("key" varchar(120) not null, "hits" int not null, "resets_at" timestamptz not null, constraint "attempt_pkey" primary key ("key"));`,
    );
    this.addSql(`create index "attempt_resets_at_index" on "attempt" ("resets_at");`);

    this.addSql(
      `create table "choir" ("id" uuid not null, "name" varchar(80) not null, "time_zone" varchar(64) not null, "accidentals" text check ("accidentals" in ('flats', 'sharps')) not null default 'flats', "share_percent" int not null default 85, "demo_anchor" date null, "created_at" timestamptz not null, constraint "choir_pkey" primary key ("id"), constraint choir_share_check check (share_percent >= 1 and share_percent <= 100));`,
    );

    this.addSql(
      `create table "evening" ("id" uuid not null, "choir_id" uuid not null, "name" varchar(120) null, "starts_at" timestamptz not null, "ends_at" timestamptz not null, "place" varchar(80) not null, "agenda" jsonb not null, "created_at" timestamptz not null, constraint "evening_pkey" primary key ("id"), constraint evening_end_check check (ends_at > starts_at));`,
    );
    this.addSql(
      `create index "evening_choir_id_starts_at_index" on "evening" ("choir_id", "starts_at");`,
    );

    this.addSql(
      `create table "member" ("id" uuid not null, "choir_id" uuid not null, "account_id" uuid not null, "role" text check ("role" in ('director', 'deputy', 'reader')) not null, "created_at" timestamptz not null, constraint "member_pkey" primary key ("id"));`,
    );
    this.addSql(`create index "member_account_id_index" on "member" ("account_id");`);
    this.addSql(
      `alter table "member" add constraint "member_choir_id_account_id_unique" unique ("choir_id", "account_id");`,
    );

    this.addSql(
      `create table "piece" ("id" uuid not null, "choir_id" uuid not null, "title" varchar(120) not null, "ranges" jsonb not null, "created_at" timestamptz not null, constraint "piece_pkey" primary key ("id"));`,
    );
    this.addSql(`create index "piece_choir_id_index" on "piece" ("choir_id");`);

    this.addSql(
      `create table "plan" ("id" uuid not null, "choir_id" uuid not null, "evening_id" uuid not null, "item" varchar(40) not null, "document" jsonb not null, "version" int not null default 1, "saved_at" timestamptz not null, "saved_by_id" uuid null, "created_at" timestamptz not null, constraint "plan_pkey" primary key ("id"));`,
    );
    this.addSql(`create index "plan_choir_id_index" on "plan" ("choir_id");`);
    this.addSql(
      `alter table "plan" add constraint "plan_evening_id_item_unique" unique ("evening_id", "item");`,
    );

    this.addSql(
      `create table "voice_part" ("id" uuid not null, "choir_id" uuid not null, "code" varchar(8) not null, "one" varchar(40) not null, "many" varchar(40) not null, "position" int not null, "octave" int not null, "comfort_low" int not null, "comfort_high" int not null, "reach_low" int not null, "reach_high" int not null, constraint "voice_part_pkey" primary key ("id"), constraint voice_part_limits_check check (0 <= reach_low and reach_low <= comfort_low and comfort_low <= comfort_high and comfort_high <= reach_high and reach_high <= 127));`,
    );
    this.addSql(
      `alter table "voice_part" add constraint "voice_part_choir_id_code_unique" unique ("choir_id", "code");`,
    );
    this.addSql(
      `alter table "voice_part" add constraint "voice_part_choir_id_position_unique" unique ("choir_id", "position");`,
    );

    this.addSql(
      `create table "singer" ("id" uuid not null, "choir_id" uuid not null, "part_id" uuid not null, "name" varchar(80) not null, "comfort_low" int not null, "comfort_high" int not null, "reach_low" int not null, "reach_high" int not null, "created_at" timestamptz not null, constraint "singer_pkey" primary key ("id"), constraint singer_limits_check check (0 <= reach_low and reach_low <= comfort_low and comfort_low <= comfort_high and comfort_high <= reach_high and reach_high <= 127));`,
    );
    this.addSql(`create index "singer_choir_id_index" on "singer" ("choir_id");`);
    this.addSql(`create index "singer_part_id_index" on "singer" ("part_id");`);

    this.addSql(
      `alter table "account_session" add constraint "account_session_account_id_foreign" foreign key ("account_id") references "account" ("id") on update cascade on delete cascade;`,
    );

    this.addSql(
      `alter table "evening" add constraint "evening_choir_id_foreign" foreign key ("choir_id") references "choir" ("id") on update cascade on delete cascade;`,
    );

    this.addSql(
      `alter table "member" add constraint "member_choir_id_foreign" foreign key ("choir_id") references "choir" ("id") on update cascade on delete cascade;`,
    );
    this.addSql(
      `alter table "member" add constraint "member_account_id_foreign" foreign key ("account_id") references "account" ("id") on update cascade on delete cascade;`,
    );

    this.addSql(
      `alter table "piece" add constraint "piece_choir_id_foreign" foreign key ("choir_id") references "choir" ("id") on update cascade on delete cascade;`,
    );

    this.addSql(
      `alter table "plan" add constraint "plan_choir_id_foreign" foreign key ("choir_id") references "choir" ("id") on update cascade on delete cascade;`,
    );
    this.addSql(
      `alter table "plan" add constraint "plan_evening_id_foreign" foreign key ("evening_id") references "evening" ("id") on update cascade on delete cascade;`,
    );
    this.addSql(
      `alter table "plan" add constraint "plan_saved_by_id_foreign" foreign key ("saved_by_id") references "account" ("id") on update cascade on delete set null;`,
    );

    this.addSql(
      `alter table "voice_part" add constraint "voice_part_choir_id_foreign" foreign key ("choir_id") references "choir" ("id") on update cascade on delete cascade;`,
    );

    this.addSql(
      `alter table "singer" add constraint "singer_choir_id_foreign" foreign key ("choir_id") references "choir" ("id") on update cascade on delete cascade;`,
    );
    this.addSql(
      `alter table "singer" add constraint "singer_part_id_foreign" foreign key ("part_id") references "voice_part" ("id") on update cascade;`,
    );
  }

  override async down(): Promise<void> {
    this.addSql(
      `alter table "account_session" drop constraint "account_session_account_id_foreign";`,
    );

    this.addSql(`alter table "member" drop constraint "member_account_id_foreign";`);

    this.addSql(`alter table "plan" drop constraint "plan_saved_by_id_foreign";`);

    this.addSql(`alter table "evening" drop constraint "evening_choir_id_foreign";`);

    this.addSql(`alter table "member" drop constraint "member_choir_id_foreign";`);

    this.addSql(`alter table "piece" drop constraint "piece_choir_id_foreign";`);

    this.addSql(`alter table "plan" drop constraint "plan_choir_id_foreign";`);

    this.addSql(`alter table "voice_part" drop constraint "voice_part_choir_id_foreign";`);

    this.addSql(`alter table "singer" drop constraint "singer_choir_id_foreign";`);

    this.addSql(`alter table "plan" drop constraint "plan_evening_id_foreign";`);

    this.addSql(`alter table "singer" drop constraint "singer_part_id_foreign";`);

    this.addSql(`drop table if exists "account" cascade;`);

    this.addSql(`drop table if exists "account_session" cascade;`);

    this.addSql(`drop table if exists "attempt" cascade;`);

    this.addSql(`drop table if exists "choir" cascade;`);

    this.addSql(`drop table if exists "evening" cascade;`);

    this.addSql(`drop table if exists "member" cascade;`);

    this.addSql(`drop table if exists "piece" cascade;`);

    this.addSql(`drop table if exists "plan" cascade;`);

    this.addSql(`drop table if exists "voice_part" cascade;`);

    this.addSql(`drop table if exists "singer" cascade;`);
  }
}
