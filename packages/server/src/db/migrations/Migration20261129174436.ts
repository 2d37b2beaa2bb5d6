import { Migration } from '@mikro-orm/migrations';

export class Migration20261129174436 extends Migration {
  override async up(): Promise<void> {
    this.addSql(
      `alter table "choir" add column "approach" varchar(60) not null default 'evening-after-work', add column "level" int not null default 2, add column "approaches" jsonb null;`,
    );
    this.addSql(
      `alter table "choir" add constraint choir_level_check check(level >= 1 and level <= 3);`,
    );
  }

  override async down(): Promise<void> {
    this.addSql(`alter table "choir" drop constraint choir_level_check;`);
    this.addSql(
      `alter table "choir" drop column "approach", drop column "level", drop column "approaches";`,
    );
  }
}
