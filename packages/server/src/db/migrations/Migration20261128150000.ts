import { Migration } from '@mikro-orm/migrations';

/**
 * Whoever stores something, by whatever way, tells the other windows of the choir: deferred triggers
 * write one change for each thing a transaction touched, when it ends, and notify. Ids rise in the
 * order in which a choir's transactions end, since only one at a time writes them.
 */
const note = `
create function note_choir_change(of_choir uuid, of_kind text, of_about jsonb) returns void
language plpgsql as $$
declare
  change_id bigint;
begin
  perform pg_advisory_xact_lock(460012, hashtext(of_choir::text));
  insert into choir_change (choir_id, transaction, kind, about, at)
    select id, txid_current(), of_kind, of_about, now() from choir where id = of_choir
    on conflict do nothing
    returning id into change_id;
  if change_id is not null then
    perform pg_notify('choir_change', jsonb_build_object(
      'choir', of_choir, 'id', change_id, 'kind', of_kind, 'about', of_about)::text);
  end if;
end $$;`;

const tell = `
create function tell_choir_change() returns trigger
language plpgsql as $$
declare
  found record;
  of_choir uuid;
  kind text;
  about jsonb := '{}';
begin
  if tg_op = 'DELETE' then found := old; else found := new; end if;
  case tg_table_name
    when 'choir' then of_choir := found.id; kind := 'choir';
    when 'member' then of_choir := found.choir_id; kind := 'members';
    when 'voice_part' then of_choir := found.choir_id; kind := 'voices';
    when 'singer' then of_choir := found.choir_id; kind := 'singers';
    when 'range_check' then
      select choir_id into of_choir from singer where id = found.singer_id; kind := 'singers';
    when 'singer_evening' then
      select choir_id into of_choir from evening where id = found.evening_id;
      kind := 'presence'; about := jsonb_build_object('evening', found.evening_id);
    when 'evening' then
      of_choir := found.choir_id; kind := 'evening'; about := jsonb_build_object('evening', found.id);
    when 'evening_template' then of_choir := found.choir_id; kind := 'templates';
    when 'plan' then
      of_choir := found.choir_id; kind := 'plan';
      about := jsonb_build_object('evening', found.evening_id, 'item', found.item);
    when 'own_exercise' then
      of_choir := found.choir_id; kind := 'exercises'; about := jsonb_build_object('exercise', found.code);
    when 'exercise_mark' then of_choir := found.choir_id; kind := 'exercises';
    when 'piece' then
      of_choir := found.choir_id; kind := 'piece'; about := jsonb_build_object('piece', found.id);
    else
      select choir_id into of_choir from piece where id = found.piece_id;
      kind := 'piece'; about := jsonb_build_object('piece', found.piece_id);
  end case;
  if of_choir is not null then perform note_choir_change(of_choir, kind, about); end if;
  return null;
end $$;`;

const tables = [
  'choir',
  'member',
  'voice_part',
  'singer',
  'range_check',
  'singer_evening',
  'evening',
  'evening_template',
  'plan',
  'own_exercise',
  'exercise_mark',
  'piece',
  'piece_mark',
  'piece_judgement',
];

export class Migration20261128150000 extends Migration {
  override async up(): Promise<void> {
    this.addSql(note);
    this.addSql(tell);
    for (const table of tables) {
      this.addSql(
        `create constraint trigger ${table}_told after insert or update or delete on "${table}" ` +
          'deferrable initially deferred for each row execute function tell_choir_change();',
      );
    }
  }

  override async down(): Promise<void> {
    for (const table of tables) this.addSql(`drop trigger if exists ${table}_told on "${table}";`);
    this.addSql('drop function if exists tell_choir_change();');
    this.addSql('drop function if exists note_choir_change(uuid, text, jsonb);');
  }
}
