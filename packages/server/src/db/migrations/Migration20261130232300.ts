import { Migration } from '@mikro-orm/migrations';

/** What a change of a run tells: the run itself, and where it is over or was, that what is learned is another. */
const tell = (learned: string) => `
create or replace function tell_run() returns trigger
language plpgsql as $$
declare
  found record;
begin
  if tg_op = 'DELETE' then found := old; else found := new; end if;
  perform note_choir_change(found.choir_id, 'run',
    jsonb_build_object('evening', found.evening_id, 'item', found.item));
${learned}  return null;
end $$;`;

const learned = `
  if found.ended_at is not null or (tg_op = 'UPDATE' and old.ended_at is not null) then
    perform note_choir_change(found.choir_id, 'led', '{}');
  end if;
`;

export class Migration20261130232300 extends Migration {
  override async up(): Promise<void> {
    this.addSql(tell(learned));
  }

  override async down(): Promise<void> {
    this.addSql(tell(''));
  }
}
