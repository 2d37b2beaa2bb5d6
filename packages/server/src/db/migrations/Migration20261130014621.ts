import { Migration } from '@mikro-orm/migrations';

const tell = `
create function tell_kept_plan() returns trigger
language plpgsql as $$
begin
  perform note_choir_change(coalesce(new.choir_id, old.choir_id), 'templates', '{}');
  return null;
end $$;`;

export class Migration20261130014621 extends Migration {
  override async up(): Promise<void> {
    this.addSql(
      `create table "kept_plan" ("id" uuid not null, "choir_id" uuid not null, "name" varchar(60) not null, "document" jsonb not null, "kept_by_id" uuid null, "created_at" timestamptz not null, constraint "kept_plan_pkey" primary key ("id"));`,
    );
    this.addSql(`create index "kept_plan_choir_id_index" on "kept_plan" ("choir_id");`);

    this.addSql(
      `alter table "kept_plan" add constraint "kept_plan_choir_id_foreign" foreign key ("choir_id") references "choir" ("id") on update cascade on delete cascade;`,
    );
    this.addSql(
      `alter table "kept_plan" add constraint "kept_plan_kept_by_id_foreign" foreign key ("kept_by_id") references "account" ("id") on update cascade on delete set null;`,
    );
    this.addSql(tell);
    this.addSql(
      'create constraint trigger kept_plan_told after insert or update or delete on "kept_plan" ' +
        'deferrable initially deferred for each row execute function tell_kept_plan();',
    );
  }

  override async down(): Promise<void> {
    this.addSql(`drop table if exists "kept_plan" cascade;`);
    this.addSql('drop function if exists tell_kept_plan();');
  }
}
