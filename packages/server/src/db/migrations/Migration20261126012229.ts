import { Migration } from '@mikro-orm/migrations';

export class Migration20261126012229 extends Migration {
  override async up(): Promise<void> {
    this.addSql(
      `create table "evening_template" ("id" uuid not null, "choir_id" uuid not null, "document" jsonb not null, "created_at" timestamptz not null, constraint "evening_template_pkey" primary key ("id"));`,
    );
    this.addSql(
      `create index "evening_template_choir_id_index" on "evening_template" ("choir_id");`,
    );

    this.addSql(
      `create table "piece_file" ("id" uuid not null, "choir_id" uuid not null, "name" varchar(200) not null, "size" int not null, "bytes" bytea not null, "created_at" timestamptz not null, constraint "piece_file_pkey" primary key ("id"));`,
    );
    this.addSql(`create index "piece_file_choir_id_index" on "piece_file" ("choir_id");`);

    this.addSql(
      `create table "piece_judgement" ("id" uuid not null, "piece_id" uuid not null, "judged_on" date not null, "by_id" uuid null, "scores" jsonb not null, "target" varchar(40) null, "created_at" timestamptz not null, constraint "piece_judgement_pkey" primary key ("id"));`,
    );
    this.addSql(`create index "piece_judgement_piece_id_index" on "piece_judgement" ("piece_id");`);

    this.addSql(
      `create table "piece_mark" ("id" uuid not null, "piece_id" uuid not null, "from_bar" int not null, "to_bar" int not null, "parts" jsonb not null, "skill" varchar(40) not null, "note" varchar(200) not null, "created_at" timestamptz not null, constraint "piece_mark_pkey" primary key ("id"));`,
    );
    this.addSql(`create index "piece_mark_piece_id_index" on "piece_mark" ("piece_id");`);

    this.addSql(
      `alter table "evening_template" add constraint "evening_template_choir_id_foreign" foreign key ("choir_id") references "choir" ("id") on update cascade on delete cascade;`,
    );

    this.addSql(
      `alter table "piece_file" add constraint "piece_file_choir_id_foreign" foreign key ("choir_id") references "choir" ("id") on update cascade on delete cascade;`,
    );

    this.addSql(
      `alter table "piece_judgement" add constraint "piece_judgement_piece_id_foreign" foreign key ("piece_id") references "piece" ("id") on update cascade on delete cascade;`,
    );
    this.addSql(
      `alter table "piece_judgement" add constraint "piece_judgement_by_id_foreign" foreign key ("by_id") references "account" ("id") on update cascade on delete set null;`,
    );

    this.addSql(
      `alter table "piece_mark" add constraint "piece_mark_piece_id_foreign" foreign key ("piece_id") references "piece" ("id") on update cascade on delete cascade;`,
    );

    this.addSql(
      `alter table "evening" add column "version" int not null default 1, add column "occasion" varchar(40) not null default 'evening after work', add column "forbids" jsonb not null default '[]';`,
    );

    this.addSql(
      `alter table "piece" add column "version" int not null default 1, add column "composer" varchar(120) not null default '', add column "language" varchar(60) not null default '', add column "tempo" double precision null, add column "transpose" int not null default 0, add column "notes" text not null default '', add column "file_id" uuid null, add column "mapping" jsonb null, add column "by_bar" jsonb null, add column "seconds" double precision null;`,
    );
    this.addSql(
      `alter table "piece" add constraint "piece_file_id_foreign" foreign key ("file_id") references "piece_file" ("id") on update cascade on delete set null;`,
    );
  }

  override async down(): Promise<void> {
    this.addSql(`alter table "piece" drop constraint "piece_file_id_foreign";`);

    this.addSql(`drop table if exists "evening_template" cascade;`);

    this.addSql(`drop table if exists "piece_file" cascade;`);

    this.addSql(`drop table if exists "piece_judgement" cascade;`);

    this.addSql(`drop table if exists "piece_mark" cascade;`);

    this.addSql(
      `alter table "evening" drop column "version", drop column "occasion", drop column "forbids";`,
    );

    this.addSql(
      `alter table "piece" drop column "version", drop column "composer", drop column "language", drop column "tempo", drop column "transpose", drop column "notes", drop column "file_id", drop column "mapping", drop column "by_bar", drop column "seconds";`,
    );
  }
}
