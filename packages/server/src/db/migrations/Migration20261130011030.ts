import { Migration } from '@mikro-orm/migrations';

export class Migration20261130011030 extends Migration {
  override async up(): Promise<void> {
    this.addSql(`alter table "plan_version" add column "document" jsonb null;`);
  }

  override async down(): Promise<void> {
    this.addSql(`alter table "plan_version" drop column "document";`);
  }
}
