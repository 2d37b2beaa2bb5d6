import { Migration } from '@mikro-orm/migrations';

export class Migration20261201052220 extends Migration {
  override async up(): Promise<void> {
    this.addSql(`alter table "plan_link" add column "bars" jsonb null;`);
  }

  override async down(): Promise<void> {
    this.addSql(`alter table "plan_link" drop column "bars";`);
  }
}
