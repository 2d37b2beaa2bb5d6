import { Migration } from '@mikro-orm/migrations';

/** One change for each run that something was added to: its events are stored with it. */
const tell = `
create function tell_run() returns trigger
language plpgsql as $$
declare
  found record;
begin
  if tg_op = 'DELETE' then found := old; else found := new; end if;
  perform note_choir_change(found.choir_id, 'run',
    jsonb_build_object('evening', found.evening_id, 'item', found.item));
  return null;
end $$;`;

export class Migration20261130072918 extends Migration {
  override async up(): Promise<void> {
    this.addSql(
      `create table "run" ("id" uuid not null, "choir_id" uuid not null, "evening_id" uuid not null, "item" varchar(40) not null, "started_at" timestamptz not null, "ended_at" timestamptz null, "led_by_id" uuid null, "head" jsonb not null, "events" int not null, "created_at" timestamptz not null, constraint "run_pkey" primary key ("id"));`,
    );
    this.addSql(`create index "run_choir_id_index" on "run" ("choir_id");`);
    this.addSql(`create index "run_evening_id_item_index" on "run" ("evening_id", "item");`);

    this.addSql(
      `create table "run_event" ("run_id" uuid not null, "id" varchar(40) not null, "n" int not null, "at" double precision not null, "act" jsonb not null, constraint "run_event_pkey" primary key ("run_id", "id"));`,
    );

    this.addSql(
      `alter table "run" add constraint "run_choir_id_foreign" foreign key ("choir_id") references "choir" ("id") on update cascade on delete cascade;`,
    );
    this.addSql(
      `alter table "run" add constraint "run_evening_id_foreign" foreign key ("evening_id") references "evening" ("id") on update cascade on delete cascade;`,
    );
    this.addSql(
      `alter table "run" add constraint "run_led_by_id_foreign" foreign key ("led_by_id") references "account" ("id") on update cascade on delete set null;`,
    );

    this.addSql(
      `alter table "run_event" add constraint "run_event_run_id_foreign" foreign key ("run_id") references "run" ("id") on update cascade on delete cascade;`,
    );
    this.addSql(tell);
    this.addSql(
      'create constraint trigger run_told after insert or update or delete on "run" ' +
        'deferrable initially deferred for each row execute function tell_run();',
    );
  }

  override async down(): Promise<void> {
    this.addSql(`alter table "run_event" drop constraint "run_event_run_id_foreign";`);

    this.addSql(`drop table if exists "run" cascade;`);

    this.addSql(`drop table if exists "run_event" cascade;`);
    this.addSql('drop function if exists tell_run();');
  }
}
