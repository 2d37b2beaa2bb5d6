import { Migration } from '@mikro-orm/migrations';

/** What becomes of a run that several judge is told as a change of its piece, as judgements are. */
const tell = `
create function tell_judging_change() returns trigger
language plpgsql as $$
declare
  found record;
  of_choir uuid;
  of_piece uuid;
begin
  if tg_op = 'DELETE' then found := old; else found := new; end if;
  select piece.choir_id, piece.id into of_choir, of_piece
    from piece_judging j join piece on piece.id = j.piece_id where j.id = found.judging_id;
  if of_choir is not null then
    perform note_choir_change(of_choir, 'piece', jsonb_build_object('piece', of_piece));
  end if;
  return null;
end $$;`;

/** Which function tells of the changes of which table. */
const told = {
  piece_judging: 'tell_choir_change',
  piece_judging_card: 'tell_judging_change',
  piece_recording: 'tell_judging_change',
} as const;

export class Migration20261201075238 extends Migration {
  override async up(): Promise<void> {
    this.addSql(
      `create table "piece_judging" ("id" uuid not null, "piece_id" uuid not null, "judged_on" date not null, "skills" jsonb not null, "who" varchar(80) not null, "tried" varchar(200) not null, "by_id" uuid null, "closed" boolean not null default false, "agreed" jsonb null, "created_at" timestamptz not null, constraint "piece_judging_pkey" primary key ("id"));`,
    );
    this.addSql(`create index "piece_judging_piece_id_index" on "piece_judging" ("piece_id");`);

    this.addSql(
      `create table "piece_judging_card" ("id" uuid not null, "judging_id" uuid not null, "by_id" uuid null, "scores" jsonb not null, "target" varchar(40) null, "created_at" timestamptz not null, constraint "piece_judging_card_pkey" primary key ("id"));`,
    );
    this.addSql(
      `create index "piece_judging_card_judging_id_index" on "piece_judging_card" ("judging_id");`,
    );
    this.addSql(
      `alter table "piece_judging_card" add constraint "piece_judging_card_judging_id_by_id_unique" unique ("judging_id", "by_id");`,
    );

    this.addSql(
      `create table "piece_recording" ("id" uuid not null, "judging_id" uuid not null, "name" varchar(200) not null, "size" int not null, "bytes" bytea not null, "expires_at" timestamptz not null, "created_at" timestamptz not null, constraint "piece_recording_pkey" primary key ("id"));`,
    );
    this.addSql(
      `alter table "piece_recording" add constraint "piece_recording_judging_id_unique" unique ("judging_id");`,
    );

    this.addSql(
      `alter table "piece_judging" add constraint "piece_judging_piece_id_foreign" foreign key ("piece_id") references "piece" ("id") on update cascade on delete cascade;`,
    );
    this.addSql(
      `alter table "piece_judging" add constraint "piece_judging_by_id_foreign" foreign key ("by_id") references "account" ("id") on update cascade on delete set null;`,
    );

    this.addSql(
      `alter table "piece_judging_card" add constraint "piece_judging_card_judging_id_foreign" foreign key ("judging_id") references "piece_judging" ("id") on update cascade on delete cascade;`,
    );
    this.addSql(
      `alter table "piece_judging_card" add constraint "piece_judging_card_by_id_foreign" foreign key ("by_id") references "account" ("id") on update cascade on delete set null;`,
    );

    this.addSql(
      `alter table "piece_recording" add constraint "piece_recording_judging_id_foreign" foreign key ("judging_id") references "piece_judging" ("id") on update cascade on delete cascade;`,
    );

    this.addSql(tell);
    for (const [table, how] of Object.entries(told)) {
      this.addSql(
        `create constraint trigger ${table}_told after insert or update or delete on "${table}" ` +
          `deferrable initially deferred for each row execute function ${how}();`,
      );
    }
  }

  override async down(): Promise<void> {
    this.addSql(
      `alter table "piece_judging_card" drop constraint "piece_judging_card_judging_id_foreign";`,
    );

    this.addSql(
      `alter table "piece_recording" drop constraint "piece_recording_judging_id_foreign";`,
    );

    this.addSql(`drop table if exists "piece_judging" cascade;`);

    this.addSql(`drop table if exists "piece_judging_card" cascade;`);

    this.addSql(`drop table if exists "piece_recording" cascade;`);
    this.addSql('drop function if exists tell_judging_change();');
  }
}
