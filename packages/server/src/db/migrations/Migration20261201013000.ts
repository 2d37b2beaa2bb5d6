import { Migration } from '@mikro-orm/migrations';

/** What a change of a run tells; where nothing but events came to one that goes on, how many it has now. */
const tell = (about: string) => `
create or replace function tell_run() returns trigger
language plpgsql as $$
declare
  found record;
  about jsonb;
begin
  if tg_op = 'DELETE' then found := old; else found := new; end if;
  about := jsonb_build_object('evening', found.evening_id, 'item', found.item);
${about}  perform note_choir_change(found.choir_id, 'run', about);
  if found.ended_at is not null or (tg_op = 'UPDATE' and old.ended_at is not null) then
    perform note_choir_change(found.choir_id, 'led', '{}');
  end if;
  return null;
end $$;`;

const counted = `
  if tg_op = 'UPDATE' and old.ended_at is null and new.ended_at is null and old.events > 0 then
    about := about || jsonb_build_object('run', new.id, 'events', new.events);
  end if;
`;

export class Migration20261201013000 extends Migration {
  override async up(): Promise<void> {
    this.addSql(tell(counted));
  }

  override async down(): Promise<void> {
    this.addSql(tell(''));
  }
}
