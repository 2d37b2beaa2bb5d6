import { Migration } from '@mikro-orm/migrations';

/** A choir says by which names its notes are shown and typed. */
export class Migration20261129000259 extends Migration {
  override async up(): Promise<void> {
    this.addSql(
      `alter table "choir" add column "naming" text check ("naming" in ('octaves', 'marks', 'german', 'solfege', 'solfege3')) not null default 'octaves';`,
    );
  }

  override async down(): Promise<void> {
    this.addSql(`alter table "choir" drop column "naming";`);
  }
}
