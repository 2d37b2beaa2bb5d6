import { Migration } from '@mikro-orm/migrations';

export class Migration20261125222521 extends Migration {
  override async up(): Promise<void> {
    this.addSql(
      `create table "exercise_mark" ("id" uuid not null, "choir_id" uuid not null, "code" varchar(60) not null, "favourite" boolean not null, "hidden" boolean not null, "note" varchar(1000) not null, constraint "exercise_mark_pkey" primary key ("id"));`,
    );
    this.addSql(
      `alter table "exercise_mark" add constraint "exercise_mark_choir_id_code_unique" unique ("choir_id", "code");`,
    );

    this.addSql(
      `create table "own_exercise" ("id" uuid not null, "choir_id" uuid not null, "code" varchar(60) not null, "version" int not null default 1, "document" jsonb not null, "removed_at" timestamptz null, "created_at" timestamptz not null, constraint "own_exercise_pkey" primary key ("id"));`,
    );
    this.addSql(
      `alter table "own_exercise" add constraint "own_exercise_choir_id_code_unique" unique ("choir_id", "code");`,
    );

    this.addSql(
      `create table "exercise_version" ("id" uuid not null, "exercise_id" uuid not null, "version" int not null, "document" jsonb not null, "saved_at" timestamptz not null, "saved_by_id" uuid null, constraint "exercise_version_pkey" primary key ("id"));`,
    );
    this.addSql(
      `alter table "exercise_version" add constraint "exercise_version_exercise_id_version_unique" unique ("exercise_id", "version");`,
    );

    this.addSql(
      `alter table "exercise_mark" add constraint "exercise_mark_choir_id_foreign" foreign key ("choir_id") references "choir" ("id") on update cascade on delete cascade;`,
    );

    this.addSql(
      `alter table "own_exercise" add constraint "own_exercise_choir_id_foreign" foreign key ("choir_id") references "choir" ("id") on update cascade on delete cascade;`,
    );

    this.addSql(
      `alter table "exercise_version" add constraint "exercise_version_exercise_id_foreign" foreign key ("exercise_id") references "own_exercise" ("id") on update cascade on delete cascade;`,
    );
    this.addSql(
      `alter table "exercise_version" add constraint "exercise_version_saved_by_id_foreign" foreign key ("saved_by_id") references "account" ("id") on update cascade on delete set null;`,
    );

    this.addSql(`alter table "choir" add column "phrase_seconds" int not null default 9;`);
    this.addSql(
      `alter table "choir" add constraint choir_phrase_check check(phrase_seconds >= 2 and phrase_seconds <= 60);`,
    );
  }

  override async down(): Promise<void> {
    this.addSql(
      `alter table "exercise_version" drop constraint "exercise_version_exercise_id_foreign";`,
    );

    this.addSql(`drop table if exists "exercise_mark" cascade;`);

    this.addSql(`drop table if exists "own_exercise" cascade;`);

    this.addSql(`drop table if exists "exercise_version" cascade;`);

    this.addSql(`alter table "choir" drop constraint choir_phrase_check;`);
    this.addSql(`alter table "choir" drop column "phrase_seconds";`);
  }
}
