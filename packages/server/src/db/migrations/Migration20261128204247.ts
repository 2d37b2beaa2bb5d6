import { Migration } from '@mikro-orm/migrations';

export class Migration20261128204247 extends Migration {
  override async up(): Promise<void> {
    this.addSql(
      `create table "account_secret" ("id" varchar(64) not null, "account_id" uuid not null, "purpose" text check ("purpose" in ('password', 'email')) not null, "email" varchar(254) null, "expires_at" timestamptz not null, constraint "account_secret_pkey" primary key ("id"));`,
    );
    this.addSql(
      `create index "account_secret_account_id_index" on "account_secret" ("account_id");`,
    );
    this.addSql(
      `create index "account_secret_expires_at_index" on "account_secret" ("expires_at");`,
    );

    this.addSql(
      `create table "audit_record" ("id" uuid not null, "choir_id" uuid not null, "at" timestamptz not null, "by" varchar(80) not null, "kind" varchar(40) not null, "about" varchar(200) not null, constraint "audit_record_pkey" primary key ("id"));`,
    );
    this.addSql(`create index "audit_record_at_index" on "audit_record" ("at");`);
    this.addSql(
      `create index "audit_record_choir_id_at_index" on "audit_record" ("choir_id", "at");`,
    );

    this.addSql(
      `create table "invitation" ("id" uuid not null, "choir_id" uuid not null, "code_hash" varchar(64) not null, "role" text check ("role" in ('director', 'deputy', 'reader')) not null, "note" varchar(80) not null, "by_id" uuid not null, "expires_at" timestamptz not null, "created_at" timestamptz not null, constraint "invitation_pkey" primary key ("id"));`,
    );
    this.addSql(`create index "invitation_choir_id_index" on "invitation" ("choir_id");`);
    this.addSql(
      `alter table "invitation" add constraint "invitation_code_hash_unique" unique ("code_hash");`,
    );
    this.addSql(`create index "invitation_expires_at_index" on "invitation" ("expires_at");`);

    this.addSql(
      `alter table "account_secret" add constraint "account_secret_account_id_foreign" foreign key ("account_id") references "account" ("id") on update cascade on delete cascade;`,
    );

    this.addSql(
      `alter table "audit_record" add constraint "audit_record_choir_id_foreign" foreign key ("choir_id") references "choir" ("id") on update cascade on delete cascade;`,
    );

    this.addSql(
      `alter table "invitation" add constraint "invitation_choir_id_foreign" foreign key ("choir_id") references "choir" ("id") on update cascade on delete cascade;`,
    );
    this.addSql(
      `alter table "invitation" add constraint "invitation_by_id_foreign" foreign key ("by_id") references "account" ("id") on update cascade on delete cascade;`,
    );

    this.addSql(
      `alter table "account" add column "factor_secret" varchar(64) null, add column "factor_offered" varchar(64) null, add column "factor_step" int null, add column "kept_codes" jsonb not null default '[]', add column "closes_at" timestamptz null;`,
    );

    this.addSql(
      `alter table "account_session" add column "browser" varchar(80) not null default '', add column "last_seen_at" timestamptz not null default now();`,
    );
    this.addSql(`alter table "account_session" alter column "last_seen_at" drop default;`);

    this.addSql(`alter table "attempt" add column "strikes" int not null default 0;`);

    // The one demo choir that strangers shared makes way for one of each visitor's own.
    this.addSql(`delete from "choir" where "demo_anchor" is not null;`);
    this.addSql(`delete from "account" where "password_hash" = '!';`);
    this.addSql(`alter table "choir" drop column "demo_anchor";`);

    this.addSql(
      `alter table "choir" add column "demo_until" timestamptz null, add column "closes_at" timestamptz null;`,
    );

    this.addSql(`alter table "member" add column "removed_at" timestamptz null;`);
  }

  override async down(): Promise<void> {
    this.addSql(`drop table if exists "account_secret" cascade;`);

    this.addSql(`drop table if exists "audit_record" cascade;`);

    this.addSql(`drop table if exists "invitation" cascade;`);

    this.addSql(
      `alter table "account" drop column "factor_secret", drop column "factor_offered", drop column "factor_step", drop column "kept_codes", drop column "closes_at";`,
    );

    this.addSql(`alter table "account_session" drop column "browser", drop column "last_seen_at";`);

    this.addSql(`alter table "attempt" drop column "strikes";`);

    this.addSql(`alter table "choir" drop column "demo_until", drop column "closes_at";`);

    this.addSql(`alter table "choir" add column "demo_anchor" date null;`);

    this.addSql(`alter table "member" drop column "removed_at";`);
  }
}
